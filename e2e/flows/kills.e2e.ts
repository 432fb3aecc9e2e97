import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { strToU8, zipSync } from 'fflate'
import { addressOf, startServer, type Started } from './server.js'

/**
 * A server that is killed while it writes, again and again: what it acknowledged is there afterwards, and a codebase that was
 * being replaced is the old one or the new one, whole.
 */
const KILLS = process.env.TEST_DEEP ? 500 : 50
const WRITES = 50
/** Writes that are on their way at once. */
const AT_ONCE = 4
const FILES = 30

const DESIGN = {
  format: 'unimorph-design',
  version: 1,
  screens: [{ type: 'frame', key: 'home', box: { x: 0, y: 0, width: 10, height: 10 } }],
}

/** The same numbers in each run, from 0 to 1 (a linear congruential generator). */
const createRandom = (seed: number): (() => number) => {
  let state = seed
  return () => (state = (state * 1664525 + 1013904223) % 2 ** 32) / 2 ** 32
}

const archiveOf = (version: number): string => {
  const files = Array.from({ length: FILES }, (_, i) => [
    `src/part-${String(i)}.ts`,
    strToU8(`export const version = ${String(version)}\n`.repeat(200)),
  ])
  const zip = zipSync({
    'package.json': strToU8('{"name":"shop"}'),
    ...(Object.fromEntries(files) as Record<string, Uint8Array>),
  })
  return Buffer.from(zip).toString('base64')
}

/** The version of a codebase that was sent; fails where it is not whole. */
const versionIn = (uploads: string): number => {
  const folders = readdirSync(uploads)
  expect(folders).toHaveLength(1)
  const source = join(uploads, folders[0]!, 'src')
  const texts = new Set(readdirSync(source).map((name) => readFileSync(join(source, name), 'utf8')))
  expect(readdirSync(source)).toHaveLength(FILES)
  expect(texts.size).toBe(1)
  return Number(/\d+/.exec([...texts][0]!)![0])
}

test('nothing that was acknowledged is lost when the server is killed', async () => {
  test.setTimeout(KILLS * 20_000)
  const folder = mkdtempSync(join(tmpdir(), 'unimorph-kills-'))
  const uploads = join(folder, 'codebases')
  const random = createRandom(7)
  const start = (): Promise<Started> => startServer('--port', '0', '--data', folder, '--no-demo')
  let server = await start()
  const send = async (method: string, path: string, body: unknown): Promise<unknown> => {
    const response = await fetch(`${addressOf(server)}/api/projects${path}`, {
      method,
      headers: { 'content-type': 'application/json', 'if-match': '*' },
      body: JSON.stringify(body),
    })
    if (!response.ok) throw new Error(`${path}: ${String(response.status)}`)
    return response.json()
  }

  const { id } = (await send('POST', '', { name: 'Kept', design: DESIGN })) as { id: string }
  await send('POST', `/${id}/codebase`, { name: 'a.zip', data: archiveOf(0) })
  const [sent, kept]: [Set<string>, Set<string>] = [new Set(), new Set()]
  const settings = { sent: new Set(['']), kept: '' }
  let version = 0
  for (let kill = 1; kill <= KILLS; kill++) {
    let isDead = false
    const write = async (): Promise<void> => {
      while (!isDead) {
        const own = `name ${String(sent.size)}`
        sent.add(own)
        await send('POST', `/${id}/edits`, { edit: { kind: 'rename', layer: 'home', name: own } })
        kept.add(own)
      }
    }
    const configure = async (): Promise<void> => {
      for (let i = 0; !isDead; i++) {
        const prefix = `P${String(kill)}x${String(i)}`
        settings.sent = new Set([settings.kept, prefix])
        await send('PUT', `/${id}/settings`, { target: 'html', styling: 'css', prefix })
        settings.kept = prefix
      }
    }
    const next = version + 1
    let isReplaced = false
    const replace = async (): Promise<void> => {
      await send('POST', `/${id}/codebase`, { name: 'a.zip', data: archiveOf(next) })
      isReplaced = true
    }
    const writing = Array.from({ length: AT_ONCE }, write)
    const rest = [configure()]
    while (kept.size < kill * WRITES) await new Promise((done) => setImmediate(done))
    // The process that unpacks is up by then; killed at any moment of what replacing a codebase takes.
    await send('POST', '', { name: 'Other', design: DESIGN })
    rest.push(replace())
    const until = performance.now() + random() * 120
    while (performance.now() < until) await new Promise((done) => setImmediate(done))
    server.process.kill('SIGKILL')
    isDead = true
    await Promise.allSettled([...writing, ...rest])

    server = await start()
    const answer = await fetch(`${addressOf(server)}/api/projects/${id}/state`)
    const state = (await answer.json()) as {
      edits: { edit: { name: string } }[]
      settings: { prefix?: string }
    }
    const names = state.edits.map(({ edit }) => edit.name)
    const there = new Set(names)
    expect([...kept].filter((one) => !there.has(one))).toEqual([])
    expect(names.filter((one) => !sent.has(one))).toEqual([])
    const prefix = state.settings.prefix ?? ''
    expect([...settings.sent]).toContain(prefix)
    settings.kept = prefix
    const found = versionIn(uploads)
    expect(isReplaced ? [next] : [version, next]).toContain(found)
    version = found
  }
  server.process.kill()
  rmSync(folder, { recursive: true, force: true })
})
