import { readFileSync } from 'node:fs'
import type { Server } from 'node:http'
import type { NestExpressApplication } from '@nestjs/platform-express'
import { listShippedFonts } from '@unimorph/fonts'
import request from 'supertest'
import { createApp } from '../create-app'

let app: NestExpressApplication
let http: ReturnType<typeof request>
const lora = readFileSync(listShippedFonts().find((f) => f.id === 'lora-400')!.path)

beforeEach(async () => {
  app = await createApp(':memory:')
  await app.init()
  http = request(app.getHttpServer() as Server)
})
afterEach(() => app.close())

test('fonts that come with the program are listed and can be had with their measures', async () => {
  const { body } = await http.get('/api/fonts').expect(200)
  expect(body).toContainEqual(
    expect.objectContaining({ id: 'inter-400', family: 'Inter', origin: 'shipped' }),
  )
  const { body: font } = await http.get('/api/fonts/inter-400').expect(200)
  expect(font).toMatchObject({ format: 'woff2', face: { family: 'Inter', weight: 400 } })
})

test('one that was added comes first, once however often, and can be removed', async () => {
  const send = () =>
    http.post('/api/fonts').send({ name: 'Lora.woff2', data: lora.toString('base64') })
  const { body: added } = await send().expect(201)
  expect(added).toMatchObject({ family: 'Lora', weight: 400, origin: 'added' })
  await send().expect(201)
  const list = (await http.get('/api/fonts')).body as { id: string; origin: string }[]
  expect(list.filter((f) => f.origin === 'added')).toHaveLength(1)
  expect(list[0]!.origin).toBe('added')
  const { id } = added as { id: string }
  expect((await http.get(`/api/fonts/${id}`)).body).toMatchObject({
    base64: lora.toString('base64'),
  })
  await http.delete(`/api/fonts/${id}`).expect(204)
  await http.get(`/api/fonts/${id}`).expect(404)
})

test('what is no font is refused with the reason, and shipped ones stay', async () => {
  const { body } = await http
    .post('/api/fonts')
    .send({ name: 'notes.ttf', data: Buffer.from('hello').toString('base64') })
    .expect(400)
  expect(body).toMatchObject({ notes: [{ code: 'fonts/refused' }] })
  await http.delete('/api/fonts/inter-400').expect(404)
})
