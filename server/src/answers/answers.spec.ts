import type { Server } from 'node:http'
import type { NestExpressApplication } from '@nestjs/platform-express'
import request from 'supertest'
import { createApp } from '../create-app'
import { SharedJobs } from '../testing/shared-jobs'
import { toCsv } from './to-csv'

const design = {
  format: 'unimorph-design',
  version: 2,
  name: 'Shore',
  screens: [
    { type: 'frame', key: 'home', name: 'Home', box: { x: 0, y: 0, width: 200, height: 100 } },
  ],
}

const jobs = new SharedJobs()
afterAll(() => jobs.end())

let app: NestExpressApplication
let http: ReturnType<typeof request>
let path: string

beforeEach(async () => {
  app = await createApp(':memory:', undefined, undefined, jobs)
  await app.init()
  http = request(app.getHttpServer() as Server)
  const { body } = await http.post('/api/projects').send({ name: 'Shore', design }).expect(201)
  path = `/api/projects/${(body as { id: string }).id}/answers/log-a-sighting`
})
afterEach(() => app.close())

test('answers are kept in order, offered as a list and as a table, and taken away', async () => {
  await http.post(path).send({ find: 'Sea beans', time: '10:31' }).expect(201)
  await http.post(path).send({ find: 'Cuttlebone, two', sure: 'on' }).expect(201)
  const { body } = await http.get(path).expect(200)
  expect((body as { values: unknown }[]).map(({ values }) => values)).toEqual([
    { find: 'Sea beans', time: '10:31' },
    { find: 'Cuttlebone, two', sure: 'on' },
  ])
  const { text } = await http.get(`${path}/csv`).expect('content-type', /text\/csv/)
  const [head, first, second] = text.split('\r\n').map((line) => line.replace(/^[^,]*,/, ''))
  expect([head, first, second]).toEqual([
    'find,time,sure',
    'Sea beans,10:31,',
    '"Cuttlebone, two",,on',
  ])
  await http.delete(path).expect(204)
  expect((await http.get(path)).body).toEqual([])
})

test('answers of one form are not those of another, and go with their project', async () => {
  await http.post(path).send({ find: 'Float' }).expect(201)
  const other = path.replace('log-a-sighting', 'sign-up')
  expect((await http.get(other).expect(200)).body).toEqual([])
  await http.delete(path.replace(/\/answers.*/, '')).expect(204)
  await http.get(path).expect(404)
})

test.each([
  ['a list', []],
  ['a number', { tide: 3 }],
  ['a long text', { note: 'x'.repeat(10_001) }],
  ['too many fields', Object.fromEntries(Array.from({ length: 201 }, (_, i) => [`f${i}`, '']))],
])('%s is refused', async (_what, body) => {
  await http.post(path).send(body).expect(400)
  expect((await http.get(path)).body).toEqual([])
})

test('a form whose name could be a path is refused', async () => {
  await http.post(path.replace('log-a-sighting', '..%2Fx')).send({ a: 'b' }).expect(400)
})

test('pages on this machine may send answers, others may not', async () => {
  const ask = (origin: string) =>
    http.options(path).set('origin', origin).set('access-control-request-method', 'POST')
  const own = await ask('http://localhost:5173')
  expect(own.headers['access-control-allow-origin']).toBe('http://localhost:5173')
  const foreign = await ask('https://tidewrack.example')
  expect(foreign.headers['access-control-allow-origin']).toBeUndefined()
})

test('pages on this machine neither read nor delete answers', async () => {
  await http.post(path).send({ a: 'b' }).expect(201)
  const origin = 'http://localhost:5173'
  await http.delete(path).set('origin', origin).expect(403)
  const { headers } = await http.get(path).set('origin', origin)
  expect(headers['access-control-allow-origin']).toBeUndefined()
  expect((await http.get(path)).body).toHaveLength(1)
})

test('a spreadsheet runs nothing of what somebody wrote', () => {
  const csv = toCsv([{ id: 1, at: 0, values: { a: '=1+1', b: 'say "ho"' } }])
  expect(csv).toBe('at,a,b\r\n1970-01-01T00:00:00.000Z,\'=1+1,"say ""ho"""\r\n')
})
