import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import type { Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import type { NestExpressApplication } from '@nestjs/platform-express'
import { strToU8, zipSync } from 'fflate'
import request from 'supertest'
import { createApp } from '../create-app'
import { connect } from '../database/connection'
import { DATABASE_FILE } from '../database/claim-folder'
import { SharedJobs } from '../testing/shared-jobs'
import { backUp } from './back-up'
import { keepDaily } from './daily'
import { restore } from './restore'

const design = JSON.parse(
  readFileSync(resolve(__dirname, '../../../demo/designs/tidewrack.json'), 'utf8'),
) as object
const jobs = new SharedJobs()
afterAll(() => jobs.end())

let folder: string
let app: NestExpressApplication | undefined
let http: ReturnType<typeof request>

const open = async (data: string): Promise<void> => {
  await app?.close()
  mkdirSync(data, { recursive: true })
  const folders = { allowed: [], uploads: join(data, 'codebases') }
  app = await createApp(join(data, DATABASE_FILE), '127.0.0.1', folders, jobs)
  await app.init()
  http = request(app.getHttpServer() as Server)
}
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-backups-'))
})
afterEach(async () => {
  await app?.close()
  app = undefined
  rmSync(folder, { recursive: true, force: true })
})

const at = (...path: string[]): string => join(folder, ...path)
const create = async (name: string): Promise<string> => {
  const { body } = await http.post('/api/projects').send({ name, design }).expect(201)
  return (body as { id: string }).id
}
const rename = (id: string, name: string) =>
  http.post(`/api/projects/${id}/edits`).send({ edit: { kind: 'rename', layer: 'home', name } })
const BUTTON = `export const Press = ({ label }: { label: string }) => <button>{label}</button>\n`
const sendCodebase = (id: string) => {
  const zip = zipSync({
    'package.json': strToU8('{"name":"shop","dependencies":{"react":"19"}}'),
    'src/Press.tsx': strToU8(BUTTON),
  })
  return http
    .post(`/api/projects/${id}/codebase`)
    .send({ name: 'shop.zip', data: Buffer.from(zip).toString('base64') })
}
/** All that a person sees of a project. */
const seen = async (id: string): Promise<unknown> => {
  const { body: project } = await http.get(`/api/projects/${id}`).expect(200)
  const { body: found } = await http.get(`/api/projects/${id}/codebase`).expect(200)
  const { codebase, glossary } = found as { codebase?: unknown; glossary?: unknown }
  return { project: project as unknown, codebase, glossary }
}

test('a backup of a server that is written to is restored elsewhere as it was', async () => {
  await open(at('data'))
  const id = await create('Shore')
  await sendCodebase(id).expect(201)
  const before = await seen(id)
  // Writes go on while it is taken; each is in it whole, or not at all.
  let isTaken = false
  const taking = backUp(at('data'), at('shore.sqlite')).finally(() => (isTaken = true))
  let written = 0
  while (!isTaken) await rename(id, `name ${String(written++)}`).expect(201)
  await taking
  expect(readdirSync(folder).sort()).toEqual(['data', 'shore.sqlite'])

  expect(await restore(at('shore.sqlite'), at('other'))).toBeUndefined()
  rmSync(at('data'), { recursive: true })
  await open(at('other'))
  const after = (await seen(id)) as { project: { edits: { edit: { name: string } }[] } }
  expect(after).toMatchObject({
    ...(before as object),
    project: { name: 'Shore', design: (before as { project: { design: object } }).project.design },
  })
  const names = after.project.edits.map(({ edit }) => edit.name)
  expect(names).toEqual(names.map((_, i) => `name ${String(i)}`))
  expect(names.length).toBeLessThanOrEqual(written)
})

test('what was there before a backup was restored is kept beside it', async () => {
  await open(at('data'))
  const id = await create('Old')
  await backUp(at('data'), at('old.sqlite'))
  const later = await create('Later')
  await app!.close()
  app = undefined
  const kept = await restore(at('old.sqlite'), at('data'))
  await open(at('data'))
  await http.get(`/api/projects/${id}`).expect(200)
  await http.get(`/api/projects/${later}`).expect(404)
  await open(kept!)
  await http.get(`/api/projects/${later}`).expect(200)
})

const messageOf = async (work: Promise<unknown>): Promise<string> => {
  const error = await work.then(
    () => new Error('It was done.'),
    (reason: unknown) => reason as Error,
  )
  return error.message
}

test('what is no backup, or from a newer version, is refused, and nothing is changed', async () => {
  await open(at('data'))
  await create('Shore')
  writeFileSync(at('text'), 'no database at all, but long enough to have been one'.repeat(40))
  expect(await messageOf(restore(at('text'), at('data')))).toMatch(
    /text is no backup of Unimorph: /,
  )
  expect(await messageOf(restore(at('data', DATABASE_FILE), at('data')))).toContain(
    'it lacks the tables of one',
  )
  await backUp(at('data'), at('newer.sqlite'))
  const newer = await connect(at('newer.sqlite'))
  newer.exec(
    `INSERT INTO migrations (timestamp, name) VALUES (9999999999999, 'Future9999999999999')`,
  )
  newer.close()
  expect(await messageOf(restore(at('newer.sqlite'), at('data')))).toContain('a newer version')
  expect(readdirSync(at('data'))).not.toContain('restoring')
  expect((await http.get('/api/projects')).body).toHaveLength(1)
})

test('a file of a backup that would lie elsewhere is not written', async () => {
  await open(at('data'))
  await backUp(at('data'), at('evil.sqlite'))
  const evil = await connect(at('evil.sqlite'))
  evil.exec(`INSERT INTO backup_files VALUES ('../../outside', 'x')`)
  evil.close()
  expect(await messageOf(restore(at('evil.sqlite'), at('data')))).toContain(
    'leads out of its folder',
  )
  expect(existsSync(at('outside'))).toBe(false)
})

test('a backup takes no name that is taken, follows no link, and needs a database', async () => {
  await open(at('data'))
  await sendCodebase(await create('Shore')).expect(201)
  symlinkSync('/etc/hostname', at('data', 'codebases', 'link'))
  await backUp(at('data'), at('a.sqlite'))
  expect(await messageOf(backUp(at('data'), at('a.sqlite')))).toContain('is there already')
  expect(await messageOf(backUp(at('none'), at('b.sqlite')))).toContain('has no database')
  expect(await messageOf(backUp(at('data'), at('none/b.sqlite')))).toContain('is not there')
  const copy = await connect(at('a.sqlite'))
  const paths = copy.prepare('SELECT path FROM backup_files ORDER BY path').all()
  copy.close()
  expect(paths).toEqual([
    { path: expect.stringMatching(/^codebases\/[^/]+\/package\.json$/) as string },
    { path: expect.stringMatching(/^codebases\/[^/]+\/src\/Press\.tsx$/) as string },
  ])
})

test('a copy of each day is made once, and kept for a week; other files stay', async () => {
  const made: string[] = []
  const copy = async (file: string): Promise<void> => {
    made.push(file)
    writeFileSync(file, '')
  }
  mkdirSync(at('backups'))
  writeFileSync(at('backups', 'by-hand.sqlite'), '')
  // The server was killed while it wrote this one.
  writeFileSync(at('backups', 'unimorph-2030-12-31.sqlite.part'), '')
  for (let day = 1; day <= 9; day++) {
    await keepDaily(folder, new Date(Date.UTC(2031, 0, day, 8)), copy)
    await keepDaily(folder, new Date(Date.UTC(2031, 0, day, 9)), copy)
  }
  expect(made).toHaveLength(9)
  expect(readdirSync(at('backups')).sort()).toEqual([
    'by-hand.sqlite',
    ...[3, 4, 5, 6, 7, 8, 9].map((day) => `unimorph-2031-01-0${String(day)}.sqlite`),
  ])
})
