import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { HttpException, Logger } from '@nestjs/common'
import { JobsService, type JobSettings } from './jobs.service'

/** What happens to jobs that are too much, with jobs that are so on purpose. */
const SCRIPT = `
const { worker } = require(${JSON.stringify(createRequire(__filename).resolve('workerpool'))})
const value = (value) => ({ value })
worker({
  // Its name tells what it does: the jobs of the server, with other work in them.
  gradeDesign: (n) => value(n),
  checkDesign: () => { for (;;); },
  drawThumbnail: () => { const kept = []; for (;;) kept.push(new Array(1e5).fill('x'.repeat(kept.length))); },
  unpack: () => process.exit(3),
  runtimeScript: (ms) => new Promise((done) => setTimeout(() => done(value(String(process.pid))), ms)),
  scanCodebase: () => ({ refused: { status: 400, body: { message: 'It is none.' } } }),
  bundleApp: () => ({ failed: { message: 'no room', code: 'ENOSPC' } }),
})
`

let folder: string
let jobs: JobsService
const open = (settings: JobSettings = {}): void => {
  jobs = new JobsService({ script: join(folder, 'worker.cjs'), ...settings })
}
// The end of a process goes to the log with all it said; the runner of the tests would take it for its own.
beforeAll(() => Logger.overrideLogger(false))
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-jobs-'))
  writeFileSync(join(folder, 'worker.cjs'), SCRIPT)
})
afterEach(async () => {
  await jobs.onApplicationShutdown()
  rmSync(folder, { recursive: true, force: true })
})

const messageOf = async (job: Promise<unknown>): Promise<string> => {
  const error = await job.then(
    () => new Error('It was done.'),
    (reason: unknown) => reason as Error,
  )
  return error.message
}
const grade = (n: number): Promise<unknown> => jobs.run('gradeDesign', n)

test('a job that is stuck is ended and said, and the next one is done', async () => {
  open({ limits: { checkDesign: { what: 'Checking the design', seconds: 0.2 } } })
  const [stuck, other] = await Promise.all([messageOf(jobs.run('checkDesign', {})), grade(7)])
  expect(stuck).toBe(
    'Checking the design took longer than 0.2 s and was stopped. Nothing was changed.',
  )
  expect(other).toBe(7)
  expect(await grade(8)).toBe(8)
})

test('a job that needs too much memory, or ends its process, is said, and the next one is done', async () => {
  open({ memoryMb: 40 })
  const ended =
    'needed more memory than it may have, or failed, and was ended. Nothing was changed.'
  expect(await messageOf(jobs.run('drawThumbnail', {}))).toBe(`Drawing the first screen ${ended}`)
  expect(await messageOf(jobs.run('unpack', '', '', ''))).toBe(`Unpacking the archive ${ended}`)
  expect(await grade(9)).toBe(9)
})

test('at most two processes do what is asked', async () => {
  open()
  const pids = await Promise.all(
    Array.from({ length: 8 }, () => jobs.run('runtimeScript', 20 as never)),
  )
  expect(new Set(pids).size).toBe(2)
})

test('what is asked beyond all measure is refused at once', async () => {
  open()
  const busy = await Promise.allSettled(Array.from({ length: 210 }, (_, n) => grade(n)))
  const refused = busy.flatMap((one) =>
    one.status === 'rejected' ? [one.reason as HttpException] : [],
  )
  expect(refused.length).toBeGreaterThan(0)
  expect(refused[0]!.getStatus()).toBe(503)
  expect(refused[0]!.message).toBe('The server has too much to do. Wait a moment, then try again.')
})

test('what a job throws arrives as it was thrown', async () => {
  open()
  await expect(jobs.run('scanCodebase', '', [])).rejects.toMatchObject({
    status: 400,
    response: { message: 'It is none.' },
  })
  await expect(jobs.run('bundleApp', [])).rejects.toMatchObject({ code: 'ENOSPC' })
})
