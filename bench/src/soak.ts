// npm run bench:soak [-- --minutes N]: uses a server and a desk for minutes or hours and says whether anything grows.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { chromium, type Browser } from '@playwright/test'
import { median } from './median-time.js'
import { measureMemory } from './soak/memory.js'
import { createCaller, playRound } from './soak/round.js'

const MAIN = new URL('../../server/dist/main.js', import.meta.url).pathname
const CHROMIUM = process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium-headless-shell'
/** Until then everything is loaded that is loaded once. */
const WARM_SHARE = 0.3
/** A figure that grows by more, from the median of the beginning to that of the end, fails the run. */
const MOST_GROWTH = 1.2

/** Figures after each round, in MB, by what they are of. */
type Figures = ReadonlyMap<string, number>

const { minutes } = parseArgs({ options: { minutes: { type: 'string', default: '10' } } }).values
const until = Date.now() + Number(minutes) * 60_000
const data = mkdtempSync(join(tmpdir(), 'unimorph-soak-'))
const server = spawn(process.execPath, [MAIN, '--port', '0', '--data', data])
const address = await new Promise<string>((found, fail) => {
  server.stdout.on('data', (text: Buffer) => {
    const [, url] = /(http:\S+)/.exec(text.toString()) ?? []
    if (url !== undefined) found(url)
  })
  server.stderr.on('data', (text: Buffer) => process.stderr.write(text))
  server.on('exit', (code) => fail(new Error(`The server ended with ${String(code)}.`)))
})

const databaseMb = (): number =>
  ['', '-wal'].reduce((sum, end) => {
    const file = statSync(join(data, `unimorph.sqlite${end}`), { throwIfNoEntry: false })
    return sum + (file?.size ?? 0) / 1e6
  }, 0)

const nameOfProcess = (command: string): string | undefined => {
  if (command.includes('jobs/worker.js')) return 'worker processes'
  if (command.includes('server/dist/main.js')) return 'server'
  if (command.includes('--type=renderer')) return 'page'
  return undefined
}

const measure = (): Figures =>
  new Map([...measureMemory(process.pid, nameOfProcess), ['database', databaseMb()]])

const play = async (browser: Browser): Promise<readonly Figures[]> => {
  const call = createCaller(address)
  const context = await browser.newContext({ baseURL: address })
  const page = await context.newPage()
  const rounds: Figures[] = []
  while (Date.now() < until) {
    await playRound(rounds.length, call, page)
    rounds.push(measure())
    const shown = [...rounds.at(-1)!].map(([name, mb]) => `${name} ${mb.toFixed(0)}`)
    console.log(`round ${String(rounds.length)}: ${shown.join(', ')} MB`)
  }
  return rounds
}

const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] })
try {
  const rounds = await play(browser)
  const warm = rounds.slice(Math.floor(rounds.length * WARM_SHARE))
  const third = Math.max(1, Math.floor(warm.length / 3))
  console.log('\nMB, medians of the first and the last third after warming up')
  let isFlat = true
  for (const name of warm[0]!.keys()) {
    const of = (part: readonly Figures[]): number => median(part.map((one) => one.get(name) ?? 0))
    const [first, last] = [of(warm.slice(0, third)), of(warm.slice(-third))]
    const growth = last / first
    if (growth > MOST_GROWTH) isFlat = false
    console.log(
      `  ${name.padEnd(18)} ${first.toFixed(1).padStart(8)} ${last.toFixed(1).padStart(8)}  × ${growth.toFixed(2)}`,
    )
  }
  console.log(`${String(rounds.length)} rounds; ${isFlat ? 'nothing grows' : 'something grows'}`)
  process.exitCode = isFlat ? 0 : 1
} finally {
  await browser.close()
  server.removeAllListeners('exit')
  server.kill()
  rmSync(data, { recursive: true, force: true })
}
