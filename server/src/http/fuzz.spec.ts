import type { Server } from 'node:http'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { NestExpressApplication } from '@nestjs/platform-express'
import fc from 'fast-check'
import request from 'supertest'
import { createApp } from '../create-app'

/** Requests that nobody would send, to every route that the server describes: none may be an error of the server. */

const RUNS = 500

type Operation = {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete'
  readonly path: string
}

let folder: string
let app: NestExpressApplication
let http: ReturnType<typeof request>
let project: string
let operations: readonly Operation[]

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-fuzz-'))
  app = await createApp(':memory:', '127.0.0.1', { allowed: [], uploads: folder })
  await app.init()
  http = request(app.getHttpServer() as Server)
  const design = {
    format: 'unimorph-design',
    version: 1,
    name: 'Shore',
    screens: [
      { type: 'frame', key: 'home', name: 'Home', box: { x: 0, y: 0, width: 20, height: 10 } },
    ],
  }
  const { body } = await http.post('/api/projects').send({ name: 'Shore', design })
  project = (body as { id: string }).id
  const { body: described } = await http.get('/api/docs-json')
  const { paths } = described as { paths: Record<string, Record<string, unknown>> }
  operations = Object.entries(paths).flatMap(([path, methods]) =>
    Object.keys(methods)
      .filter(() => !path.endsWith('/changes'))
      .map((method) => ({ method: method as Operation['method'], path })),
  )
})
afterAll(async () => {
  await app.close()
  rmSync(folder, { recursive: true, force: true })
})

/** Fields that some route takes, with whatever in them. */
const fields = fc.constantFrom(
  'name',
  'design',
  'edit',
  'notes',
  'target',
  'styling',
  'folder',
  'data',
  'glossary',
  'files',
  '__proto__',
  'constructor',
)
const body = fc.oneof(
  fc.dictionary(fields, fc.jsonValue({ maxDepth: 4 })).map((value) => JSON.stringify(value)),
  fc.jsonValue().map((value) => JSON.stringify(value)),
  fc.string({ unit: 'binary' }),
)
const part = fc.oneof(
  fc.string({ unit: 'binary', minLength: 1 }),
  fc.constantFrom('..', '%00', '-1'),
)
const type = fc.constantFrom(
  'application/json',
  'application/x-www-form-urlencoded',
  'text/plain',
  'application/json; charset=utf-16',
)

const encode = (text: string): string => {
  try {
    return encodeURIComponent(text)
  } catch {
    return '%EF%BF%BD'
  }
}

test('no request is an error of the server', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.nat(),
      fc.boolean(),
      part,
      body,
      type,
      async (at, isKnown, own, sent, as) => {
        const { method, path } = operations[at % operations.length]!
        // A project that is there is not taken away, so that the next request finds it.
        const isRemoval = method === 'delete' && path === '/api/projects/{id}'
        const id = isKnown && !isRemoval ? project : encode(own)
        const address = path.replace('{id}', id).replace(/\{\w+\}/g, encode(own))
        const asked = http[method](address)
        const { status, body: answer } =
          method === 'get' ? await asked : await asked.set('content-type', as).send(sent)
        expect([status < 500, method, address, answer]).toEqual([true, method, address, answer])
        if (status >= 400) expect((answer as { message?: unknown }).message).toBeTruthy()
      },
    ),
    { numRuns: RUNS, seed: Number(process.env['TEST_SEED'] ?? 1) },
  )
}, 60_000)
