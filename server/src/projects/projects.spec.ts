import type { Server } from 'node:http'
import type { NestExpressApplication } from '@nestjs/platform-express'
import request from 'supertest'
import { DataSource } from 'typeorm'
import { createApp } from '../create-app'
import { SharedJobs } from '../testing/shared-jobs'

const PICTURE = Buffer.from('not really a picture').toString('base64')

const design = (name = 'Shore', text = 'Hello') => ({
  format: 'unimorph-design',
  version: 1,
  name,
  assets: { sea: { name: 'sea.png', mime: 'image/png', data: PICTURE } },
  screens: [
    {
      type: 'frame',
      key: 'home',
      name: 'Home',
      box: { x: 0, y: 0, width: 200, height: 100 },
      children: [
        {
          type: 'text',
          key: 'title',
          box: { x: 0, y: 0, width: 100, height: 24 },
          style: { family: 'Inter', size: 16, color: '#112233' },
          runs: [{ text }],
        },
        { type: 'image', key: 'sea', box: { x: 0, y: 30, width: 50, height: 50 }, asset: 'sea' },
      ],
    },
  ],
})

const jobs = new SharedJobs()
afterAll(() => jobs.end())

let app: NestExpressApplication
let http: ReturnType<typeof request>

const create = async (name = 'Shore'): Promise<string> => {
  const { body } = await http.post('/api/projects').send({ name, design: design() }).expect(201)
  return (body as { id: string }).id
}

beforeEach(async () => {
  app = await createApp(':memory:', undefined, undefined, jobs)
  await app.init()
  http = request(app.getHttpServer() as Server)
})
afterEach(() => app.close())

describe('projects', () => {
  test('one is made, listed, opened, renamed', async () => {
    const id = await create()
    const { body: list } = await http.get('/api/projects').expect(200)
    expect(list).toMatchObject([{ id, name: 'Shore', screenCount: 1, edition: 1 }])
    const { body: opened } = await http.get(`/api/projects/${id}`).expect(200)
    expect(opened).toMatchObject({
      design: { name: 'Shore', assets: { sea: { data: PICTURE } } },
      edits: [],
      settings: { target: 'html', styling: 'tailwind' },
    })
    await http.patch(`/api/projects/${id}`).send({ name: 'Beach' }).expect(200)
    expect((await http.get(`/api/projects/${id}`)).body).toMatchObject({ name: 'Beach' })
  })

  test('removing one can be undone', async () => {
    const id = await create()
    await http.delete(`/api/projects/${id}`).expect(204)
    expect((await http.get('/api/projects')).body).toEqual([])
    await http.get(`/api/projects/${id}`).expect(404)
    await http.post(`/api/projects/${id}/restore`).expect(201)
    expect((await http.get('/api/projects')).body).toHaveLength(1)
  })

  test('one in the bin is listed, and deleted for good with the pictures that no other has', async () => {
    const count = async (): Promise<number> =>
      (await app.get(DataSource).query('SELECT count(*) AS n FROM assets'))[0].n as number
    const [first, second] = [await create('First'), await create('Second')]
    // Nothing that is not in the bin is deleted.
    await http.delete(`/api/bin/${first}`).expect(404)
    await http.delete(`/api/projects/${first}`).expect(204)
    const { body: bin } = await http.get('/api/bin').expect(200)
    expect(bin).toMatchObject([{ id: first, name: 'First' }])
    const [{ removedAt, goneAt }] = bin as [{ removedAt: number; goneAt: number }]
    expect(goneAt - removedAt).toBe(30 * 24 * 60 * 60 * 1000)
    await http.delete(`/api/bin/${first}`).expect(204)
    await http.post(`/api/projects/${first}/restore`).expect(404)
    // The other project has the same picture.
    expect(await count()).toBe(1)
    expect((await http.get(`/api/projects/${second}`)).body).toMatchObject({
      design: { assets: { sea: { data: PICTURE } } },
    })
    await http.delete(`/api/projects/${second}`).expect(204)
    await http.delete(`/api/bin/${second}`).expect(204)
    expect(await count()).toBe(0)
    expect((await http.get('/api/bin')).body).toEqual([])
  })

  test('settings are changed by who knows them, and never over what another wrote', async () => {
    const id = await create()
    const path = `/api/projects/${id}/settings`
    const { body: state } = await http.get(`/api/projects/${id}/state`).expect(200)
    expect(state).not.toHaveProperty('design')
    const { settings, settingsVersion } = state as { settings: object; settingsVersion: string }
    const change = (version: string, more: object) =>
      http
        .put(path)
        .set('if-match', `"${version}"`)
        .send({ ...settings, ...more })

    const { body: first } = await change(settingsVersion, { target: 'vue' }).expect(200)
    const { body: refused } = await change(settingsVersion, { language: 'de' }).expect(409)
    const { version } = first as { version: string }
    expect(refused).toMatchObject({
      message:
        'The settings were changed meanwhile, in another window or program. Nothing was saved.',
      current: { target: 'vue' },
      version,
    })
    await change(version, { target: 'vue', language: 'de' }).expect(200)
    await http.put(path).send(settings).expect(428)
    expect((await http.get(`/api/projects/${id}`)).body).toMatchObject({
      settings: { target: 'vue', language: 'de' },
    })
  })

  test('what is changed at once keeps what the other changed', async () => {
    const id = await create()
    const edit = { kind: 'rename', layer: 'title', name: 'Heading' }
    await Promise.all([
      http.post(`/api/projects/${id}/edits`).send({ edit }),
      http
        .put(`/api/projects/${id}/settings`)
        .set('if-match', '*')
        .send({ target: 'vue', styling: 'css' }),
      http.patch(`/api/projects/${id}`).send({ name: 'Beach' }),
      http.post(`/api/projects/${id}/editions`).send({ design: design() }),
    ])
    expect((await http.get(`/api/projects/${id}`)).body).toMatchObject({
      name: 'Beach',
      settings: { target: 'vue', styling: 'css' },
      edits: [{ edit }],
      edition: 2,
    })
  })

  test('a duplicate has the design, the edits and the settings, and goes its own way', async () => {
    const id = await create()
    const edit = { kind: 'rename', layer: 'title', name: 'Heading' }
    await http.post(`/api/projects/${id}/edits`).send({ edit }).expect(201)
    await http
      .put(`/api/projects/${id}/settings`)
      .set('if-match', '*')
      .send({ target: 'react', styling: 'tailwind', language: 'pt-BR', grain: 'fine' })
      .expect(200)
    const { body: copy } = await http.post(`/api/projects/${id}/duplicate`).expect(201)
    const copyId = (copy as { id: string }).id
    await http
      .post(`/api/projects/${copyId}/edits`)
      .send({ edit: { kind: 'remove', layer: 'sea' } })
    const { body: opened } = await http.get(`/api/projects/${copyId}`)
    expect(opened).toMatchObject({
      name: 'Shore copy',
      edits: [{ edit }, { edit: { kind: 'remove' } }],
      settings: { target: 'react', language: 'pt-BR', grain: 'fine' },
    })
    expect(
      ((await http.get(`/api/projects/${id}`)).body as { edits: unknown[] }).edits,
    ).toHaveLength(1)
  })

  test('editions are counted and the newest is shown', async () => {
    const id = await create()
    await http
      .post(`/api/projects/${id}/editions`)
      .send({ design: design('Shore', 'Changed') })
      .expect(201)
    const { body: editions } = await http.get(`/api/projects/${id}/editions`).expect(200)
    expect(editions).toMatchObject([{ number: 1 }, { number: 2 }])
    expect(JSON.stringify((await http.get(`/api/projects/${id}`)).body)).toContain('Changed')
  })

  test('editions are graded as they came in, the untidy one lower', async () => {
    const id = await create()
    const loose = design('Shore', 'Low water') as { screens: { children: unknown[] }[] }
    const far = { x: 5000, y: 0, width: 9, height: 9 }
    loose.screens[0]!.children.push({ type: 'rectangle', key: 'far', name: 'Far', box: far })
    await http.post(`/api/projects/${id}/editions`).send({ design: loose }).expect(201)
    const { body } = await http.get(`/api/projects/${id}/grades`).expect(200)
    const [first, second] = body as { edition: number; points: number }[]
    expect([first!.edition, second!.edition]).toEqual([1, 2])
    expect(second!.points).toBeLessThan(first!.points)
    await http.get('/api/projects/00000000-0000-4000-8000-000000000000/grades').expect(404)
  })

  test('edits keep their order, and undo takes the one away', async () => {
    const id = await create()
    const ids: number[] = []
    for (const name of ['a', 'b', 'c']) {
      const { body } = await http
        .post(`/api/projects/${id}/edits`)
        .send({ edit: { kind: 'rename', layer: 'title', name } })
      ids.push((body as { id: number }).id)
    }
    await http.delete(`/api/projects/${id}/edits/${ids[1]}`).expect(204)
    await http.delete(`/api/projects/${id}/edits/${ids[1]}`).expect(404)
    const { edits } = (await http.get(`/api/projects/${id}`)).body as {
      edits: { edit: { name: string } }[]
    }
    expect(edits.map((e) => e.edit.name)).toEqual(['a', 'c'])
  })

  test('the thumbnail is a drawing that may load nothing', async () => {
    const id = await create()
    const { headers, body } = await http.get(`/api/projects/${id}/thumbnail`).expect(200)
    expect(headers['content-type']).toBe('image/svg+xml; charset=utf-8')
    expect(headers['content-security-policy']).toContain("default-src 'none'")
    expect((body as Buffer).toString()).toContain('Hello')
  })

  test('a picture that several editions show is stored once', async () => {
    const id = await create()
    await http.post(`/api/projects/${id}/editions`).send({ design: design('Shore', 'Again') })
    await create('Other')
    const rows: unknown[] = await app.get(DataSource).query('SELECT hash FROM assets')
    expect(rows).toHaveLength(1)
  })
})

describe('input that cannot be accepted changes nothing and says why', () => {
  test.each([
    ['no name', { design: design() }],
    ['an empty name', { name: '', design: design() }],
    ['an unknown field', { name: 'x', design: design(), extra: 1 }],
    ['no design', { name: 'x' }],
    ['a broken design', { name: 'x', design: { ...design(), screens: [] } }],
  ])('%s', async (_what, body) => {
    const answer = await http.post('/api/projects').send(body).expect(400)
    expect((answer.body as { message: unknown }).message).toBeTruthy()
    expect((await http.get('/api/projects')).body).toEqual([])
  })

  test('a broken design is answered with the path of the error', async () => {
    const broken = { ...design(), screens: [{ type: 'frame', key: 'x' }] }
    const { body } = await http
      .post('/api/projects')
      .send({ name: 'x', design: broken })
      .expect(400)
    expect(body).toMatchObject({
      notes: [{ code: 'design/invalid', where: { path: 'screens[0].box' } }],
    })
  })

  test('unknown edits and settings', async () => {
    const id = await create()
    await http
      .post(`/api/projects/${id}/edits`)
      .send({ edit: { kind: 'explode' } })
      .expect(400)
    await http
      .put(`/api/projects/${id}/settings`)
      .set('if-match', '*')
      .send({ target: 'cobol', styling: 'tailwind' })
      .expect(400)
    await http
      .put(`/api/projects/${id}/settings`)
      .set('if-match', '*')
      .send({ target: 'html', styling: 'tailwind', language: 'de"><script>' })
      .expect(400)
  })

  test('unknown and malformed ids, and broken JSON', async () => {
    await http.get('/api/projects/5a3d8f0e-5f5a-4b52-8a39-6a4f4f5f7c11').expect(404)
    await http.get('/api/projects/nonsense').expect(400)
    const { body } = await http
      .post('/api/projects')
      .set('content-type', 'application/json')
      .send('{"name":')
      .expect(400)
    expect(body).toEqual({ message: 'The request is not valid JSON.' })
  })

  test('requests under a foreign host name are refused', async () => {
    await http.get('/api/projects').set('host', 'evil.example').expect(403)
  })
})

test('migrations and entities describe the same tables', async () => {
  const changes = await app.get(DataSource).driver.createSchemaBuilder().log()
  expect(changes.upQueries.map((q) => q.query)).toEqual([])
})
