import type { Server } from 'node:http'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { NestExpressApplication } from '@nestjs/platform-express'
import request from 'supertest'
import { createApp } from '../create-app'

/** Every route: asked well, badly, for what is not there, and from a foreign name. */

const DESIGN = {
  format: 'unimorph-design',
  version: 2,
  name: 'Shore',
  screens: [
    { type: 'frame', key: 'home', name: 'Home', box: { x: 0, y: 0, width: 200, height: 100 } },
  ],
}
const NOBODY = '00000000-0000-4000-8000-000000000000'

type Method = 'get' | 'post' | 'put' | 'patch' | 'delete'
type Route = {
  readonly good: number
  /** What is sent; nothing where the route takes no body. */
  readonly body?: object
  /** Bodies that are refused with 400. */
  readonly bad?: readonly (object | string)[]
  /** It stays open, so that only what refuses it is tried. */
  readonly isStream?: boolean
  /** It has no good answer on an empty server. */
  readonly isEmpty?: boolean
}

const NAME = { name: 'Beach' }
const EDIT = { edit: { kind: 'rename', layer: 'home', name: 'Start' } }

/** By method and path, as the description of the server has them. */
const ROUTES: Readonly<Record<string, Route>> = {
  'get /api/projects': { good: 200 },
  'post /api/projects': {
    good: 201,
    body: { name: 'Shore', design: DESIGN },
    bad: [
      {},
      { name: 'Shore' },
      { name: '', design: DESIGN },
      { name: 3, design: DESIGN },
      { name: 'x'.repeat(201), design: DESIGN },
      { name: 'Shore', design: {} },
      { name: 'Shore', design: { ...DESIGN, version: 99 } },
      { name: 'Shore', design: DESIGN, owner: 'me' },
      '{',
      '[]',
    ],
  },
  'get /api/projects/{id}': { good: 200 },
  'get /api/projects/{id}/state': { good: 200 },
  'patch /api/projects/{id}': {
    good: 200,
    body: NAME,
    bad: [{}, { name: '' }, { name: null }, { ...NAME, edition: 4 }, '{'],
  },
  'delete /api/projects/{id}': { good: 204 },
  'post /api/projects/{id}/restore': { good: 201 },
  'post /api/projects/{id}/duplicate': { good: 201 },
  'get /api/projects/{id}/editions': { good: 200 },
  'get /api/projects/{id}/grades': { good: 200 },
  'post /api/projects/{id}/editions': {
    good: 201,
    body: { design: DESIGN },
    bad: [{}, { design: 'x' }, { design: { ...DESIGN, screens: [] } }, '{'],
  },
  'post /api/projects/{id}/edits': {
    good: 201,
    body: EDIT,
    bad: [
      {},
      { edit: {} },
      { edit: { kind: 'explode' } },
      { edit: { ...EDIT.edit, more: 1 } },
      '{',
    ],
  },
  'delete /api/projects/{id}/edits/{editId}': { good: 204, isEmpty: true },
  'put /api/projects/{id}/settings': {
    good: 200,
    body: { target: 'vue', styling: 'css' },
    bad: [
      { target: 'cobol' },
      { target: 'vue', styling: 'glitter' },
      { target: 'vue', styling: 'css', colour: 'red' },
      '{',
    ],
  },
  'get /api/projects/{id}/thumbnail': { good: 200 },
  'post /api/projects/{id}/answers/{form}': {
    good: 201,
    body: { find: 'Rope' },
    bad: ['[]', '{', '"text"'],
  },
  'get /api/projects/{id}/answers/{form}': { good: 200 },
  'get /api/projects/{id}/answers/{form}/csv': { good: 200 },
  'delete /api/projects/{id}/answers/{form}': { good: 204 },
  'get /api/bin': { good: 200 },
  'delete /api/bin/{id}': { good: 204, isEmpty: true },
  'get /api/codebases': { good: 200 },
  'get /api/projects/{id}/codebase': { good: 200 },
  'put /api/projects/{id}/codebase': {
    good: 200,
    isEmpty: true,
    body: { folder: '/etc' },
    bad: [{}, { folder: 3 }, { folder: '/etc' }, { folder: '../..' }, '{'],
  },
  'post /api/projects/{id}/codebase': {
    good: 201,
    isEmpty: true,
    body: { name: 'a.zip', data: '' },
    bad: [{}, { name: 'a.zip' }, { name: 'a.zip', data: 'bm8gemlw' }, '{'],
  },
  'get /api/projects/{id}/codebase/changes': { good: 200, isStream: true, isEmpty: true },
  'delete /api/projects/{id}/codebase': { good: 204 },
  'put /api/projects/{id}/codebase/glossary': {
    good: 200,
    isEmpty: true,
    body: { glossary: { version: 1, components: [] } },
    bad: [{}, { glossary: 'x' }, '{'],
  },
  'get /api/fonts': { good: 200 },
  'post /api/fonts': {
    good: 201,
    isEmpty: true,
    body: { name: 'a.ttf', data: '' },
    bad: [{}, { name: 'a.ttf' }, { name: 'a.ttf', data: 'bm8gZm9udA==' }, '{'],
  },
  'get /api/fonts/{id}': { good: 200, isEmpty: true },
  'delete /api/fonts/{id}': { good: 204, isEmpty: true },
  'post /api/previews': {
    good: 200,
    body: { files: [{ path: 'src/main.ts', encoding: 'text', content: 'export {}' }] },
    bad: [{}, { files: 'x' }, { files: [{ path: 3 }] }, '{'],
  },
  'get /api/previews/runtimes/{name}': { good: 200, isEmpty: true },
  'get /preview': { good: 200 },
}

const entries = Object.entries(ROUTES).map(([title, route]) => {
  const [method, path] = title.split(' ') as [Method, string]
  return { title, method, path, route }
})
const ofProjects = entries.filter(({ path }) => path.includes('/projects/{id}'))

let folder: string
let app: NestExpressApplication
let http: ReturnType<typeof request>
let project: string

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-routes-'))
  app = await createApp(':memory:', '127.0.0.1', { allowed: [], uploads: folder })
  await app.init()
  http = request(app.getHttpServer() as Server)
})
afterAll(async () => {
  await app.close()
  rmSync(folder, { recursive: true, force: true })
})
beforeEach(async () => {
  const { body } = await http.post('/api/projects').send({ name: 'Shore', design: DESIGN })
  project = (body as { id: string }).id
})

const fill = (path: string, id: string): string =>
  path.replace('{id}', id).replace('{form}', 'log').replace('{editId}', '1').replace('{name}', 'x')

const send = (method: Method, path: string, body?: object | string) => {
  // What needs a version takes any; the others do not look at it.
  const asked = http[method](path).set('if-match', '*')
  return body === undefined ? asked : asked.set('content-type', 'application/json').send(body)
}
const saidIn = (body: unknown): string => JSON.stringify((body as { message?: unknown }).message)

test('no route is missing here', async () => {
  const { body } = await http.get('/api/docs-json').expect(200)
  const { paths } = body as { paths: Record<string, Record<string, unknown>> }
  const described = Object.entries(paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => `${method} ${path}`),
  )
  expect(Object.keys(ROUTES).sort()).toEqual([...new Set([...described, 'get /preview'])].sort())
})

describe.each(entries.filter(({ route }) => !route.isEmpty))(
  '$title',
  ({ method, path, route }) => {
    test('answers', async () => {
      const { status } = await send(method, fill(path, project), route.body)
      expect(status).toBe(route.good)
    })
  },
)

describe.each(entries.filter(({ route }) => route.bad))('$title', ({ method, path, route }) => {
  test.each(route.bad!.map((body) => [body]))('refuses %j with a sentence', async (bad) => {
    const { status, body } = await send(method, fill(path, project), bad)
    expect(status).toBe(400)
    expect(saidIn(body)).toMatch(/\w/)
    expect(saidIn(body)).not.toMatch(/ at .*:\d+:\d+|SQLITE|node_modules/)
  })
})

describe.each(ofProjects)('$title', ({ method, path, route }) => {
  test('says that there is no such project', async () => {
    const { status, body } = await send(method, fill(path, NOBODY), route.body)
    expect(status).toBe(404)
    expect(saidIn(body)).toMatch(/no such/i)
  })
  test('refuses an id that is none', async () => {
    const { status } = await send(method, fill(path, "1' or 1=1"), route.body)
    expect(status).toBe(400)
  })
})

describe.each(entries)('$title', ({ method, path, route }) => {
  test('is refused under a foreign name', async () => {
    const { status, body } = await send(method, fill(path, project), route.body).set(
      'host',
      'harbour.example',
    )
    expect(status).toBe(403)
    expect(saidIn(body)).toContain('Open the address')
  })
})

describe.each(entries.filter(({ method }) => method !== 'get'))(
  '$title',
  ({ method, path, route }) => {
    test.each([
      { origin: 'https://harbour.example' },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site', origin: 'http://harbour.example' },
    ])('changes nothing for a page elsewhere: %j', async (headers) => {
      const { status, body } = await send(method, fill(path, project), route.body).set(headers)
      expect(status).toBe(403)
      expect(saidIn(body)).toContain('Another page')
    })
  },
)

test('a page of the server itself, and a form that runs on this machine, are answered', async () => {
  const own = { host: 'localhost:4780', origin: 'http://localhost:4780' }
  await http
    .patch(`/api/projects/${project}`)
    .set({ ...own, 'sec-fetch-site': 'same-origin' })
    .send(NAME)
    .expect(200)
  const { headers } = await http
    .post(`/api/projects/${project}/answers/log`)
    .set({ origin: 'http://localhost:5173', 'sec-fetch-site': 'same-site' })
    .send({ find: 'Rope' })
    .expect(201)
  expect(headers['access-control-allow-origin']).toBe('http://localhost:5173')
})

test.each(['get', 'delete'] as const)('%s of a font that is not there is 404', async (method) => {
  const { status } = await send(method, `/api/fonts/${NOBODY}`)
  expect(status).toBe(404)
})

test.each(['/api/tides', '//api/projects', '/api%2fprojects', '/%5Capi/projects'])(
  'the address %s, which is none, is 404 and not the app',
  async (path) => {
    const { status, headers, body } = await http.get(path)
    expect([status, headers['content-type']]).toEqual([404, 'application/json; charset=utf-8'])
    expect(saidIn(body)).toMatch(/\w/)
  },
)

test('an address that cannot be read is refused', async () => {
  await http.get('/%E0%A4%A').expect(400)
})

describe('a body', () => {
  const post = (headers: Readonly<Record<string, string>>, body: string) =>
    http
      .post('/api/projects')
      .set({ 'content-type': 'application/json', ...headers })
      .send(body)

  test.each([
    [
      'that is nested very deep',
      {},
      `{"name":"a","design":${'['.repeat(2e5)}${']'.repeat(2e5)}}`,
      400,
    ],
    ['that is no gzip, and says so', { 'content-encoding': 'gzip' }, '{"name":"x"}', 400],
    ['in no encoding that is known', { 'content-encoding': 'tide' }, '{"name":"x"}', 415],
    [
      'in no charset that is known',
      { 'content-type': 'application/json; charset=tide' },
      '{}',
      415,
    ],
  ] as const)('%s is refused in a sentence', async (_what, headers, body, expected) => {
    const answer = await post(headers, body)
    expect(answer.status).toBe(expected)
    expect(saidIn(answer.body)).toContain('request')
  })
})
