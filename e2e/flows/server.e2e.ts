import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer, type AddressInfo, type Server } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from '@playwright/test'
import { addressOf, startServer as start, test } from './server.js'

let folder: string
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-server-'))
})
test.afterEach(() => rmSync(folder, { recursive: true, force: true }))

const design = {
  format: 'unimorph-design',
  version: 1,
  screens: [{ type: 'frame', key: 'home', box: { x: 0, y: 0, width: 10, height: 10 } }],
}

const post = (address: string, body: unknown): Promise<Response> =>
  fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })

test('what was acknowledged survives a crash in the next moment', { tag: '@quick' }, async () => {
  const data = join(folder, 'data')
  const first = await start('--port', '0', '--data', data, '--no-demo')
  const project = (await (
    await post(`${addressOf(first)}/api/projects`, { name: 'Kept', design })
  ).json()) as { id: string }
  for (let i = 0; i < 20; i++) {
    const edit = { kind: 'rename', layer: 'home', name: `name ${i}` }
    expect(
      (await post(`${addressOf(first)}/api/projects/${project.id}/edits`, { edit })).status,
    ).toBe(201)
  }
  first.process.kill('SIGKILL')
  const second = await start('--port', '0', '--data', data, '--no-demo')
  const kept = (await (await fetch(`${addressOf(second)}/api/projects/${project.id}`)).json()) as {
    edits: unknown[]
  }
  second.process.kill()
  expect(kept).toMatchObject({ name: 'Kept' })
  expect(kept.edits).toHaveLength(20)
})

const occupyPort = (): Promise<Server> =>
  new Promise((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => done(server))
  })

test(
  'a port in use, a folder that cannot be written and wrong options are said in one line',
  { tag: '@quick' },
  async () => {
    const busy = await occupyPort()
    const { port } = busy.address() as AddressInfo
    const inUse = await start('--port', String(port), '--data', join(folder, 'a'))
    busy.close()
    expect([inUse.code, inUse.output]).toEqual([
      1,
      `Port ${port} is in use. Stop what runs there, or choose another with --port.\n`,
    ])

    writeFileSync(join(folder, 'file'), '')
    const unwritable = await start('--data', join(folder, 'file/below'))
    expect([unwritable.code, unwritable.output]).toEqual([
      1,
      expect.stringContaining('the folder cannot be written'),
    ])

    const wrong = await start('--prot', '1')
    expect([wrong.code, wrong.output]).toEqual([1, expect.stringContaining('Allowed: --port')])
  },
)

test('a second server on the same folder is refused, until the first has ended', async () => {
  const data = join(folder, 'shared')
  const first = await start('--port', '0', '--data', data, '--no-demo')
  const second = await start('--port', '0', '--data', data, '--no-demo')
  expect(second.code).toBe(1)
  expect(second.output).toMatch(
    /^Another Unimorph server uses \S+shared\. Stop it, or choose .*\n$/,
  )
  first.process.kill('SIGKILL')
  const third = await start('--port', '0', '--data', data, '--no-demo')
  expect(third.code).toBeNull()
  third.process.kill()
})

test('the interface of the server is described', async ({ request }) => {
  const description = (await (await request.get('/api/docs-json')).json()) as {
    paths: Record<string, unknown>
  }
  expect(Object.keys(description.paths)).toEqual(
    expect.arrayContaining([
      '/api/projects',
      '/api/projects/{id}/edits',
      '/api/projects/{id}/settings',
      '/api/previews',
    ]),
  )
})

test('what previews run on is asked for by name', async ({ request }) => {
  const known = await request.get('/api/previews/runtimes/react')
  expect(known.headers()['content-type']).toContain('text/javascript')
  expect(await known.text()).toContain('globalThis.previewRuntime')
  const unknown = await request.get('/api/previews/runtimes/cobol')
  expect(unknown.status()).toBe(404)
  expect(await unknown.text()).toContain('there are angular, flutter, react, vue')
})
