import type { Server } from 'node:http'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { NestExpressApplication } from '@nestjs/platform-express'
import request from 'supertest'
import { DataSource } from 'typeorm'
import { createApp } from '../create-app'
import { SharedJobs } from '../testing/shared-jobs'
import { ProjectEntity } from '../projects/entities/project.entity'
import { checkDatabase, claimFolder, DATABASE_FILE } from './claim-folder'
import { connect, type Connection } from './connection'
import { WritesService } from './writes.service'

/** What happens to what was acknowledged when the disk, or another program, does not let things be saved. */

const DESIGN = {
  format: 'unimorph-design',
  version: 1,
  name: 'Shore',
  screens: [
    { type: 'frame', key: 'home', name: 'Home', box: { x: 0, y: 0, width: 200, height: 100 } },
  ],
}

let folder: string
const jobs = new SharedJobs()
afterAll(() => jobs.end())

let app: NestExpressApplication
let http: ReturnType<typeof request>

const open = async (): Promise<void> => {
  app = await createApp(
    join(folder, DATABASE_FILE),
    '127.0.0.1',
    { allowed: [], uploads: folder },
    jobs,
  )
  // What fails here is meant to.
  app.useLogger(false)
  await app.init()
  http = request(app.getHttpServer() as Server)
}

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-storage-'))
  await open()
})
afterEach(async () => {
  await app.close()
  rmSync(folder, { recursive: true, force: true })
})

const connection = (): Connection =>
  (app.get(DataSource).driver as unknown as { databaseConnection: Connection }).databaseConnection

const create = async (): Promise<string> => {
  const { body } = await http.post('/api/projects').send({ name: 'Shore', design: DESIGN })
  return (body as { id: string }).id
}
const edit = (id: string, name: string) =>
  http.post(`/api/projects/${id}/edits`).send({ edit: { kind: 'rename', layer: 'home', name } })

const namesOf = async (id: string): Promise<readonly string[]> => {
  const { body } = await http.get(`/api/projects/${id}`).expect(200)
  return (body as { edits: { edit: { name: string } }[] }).edits.map((one) => one.edit.name)
}

/** No page more than there are now: what SQLite then says is what it says of a full disk. */
const fillDisk = (): void => {
  const [{ page_count: pages }] = connection().pragma('page_count') as [{ page_count: number }]
  connection().pragma(`max_page_count = ${String(pages + 3)}`)
}

test('on a full disk nothing that was acknowledged is lost, and what was not saved is said', async () => {
  const id = await create()
  fillDisk()
  const kept: string[] = []
  const refused: number[] = []
  for (let i = 0; i < 120; i++) {
    const name = `${String(i)} ${'x'.repeat((i * 397) % 480)}`
    const { status, body } = await edit(id, name)
    if (status === 201) kept.push(name)
    else {
      refused.push(status)
      expect(body).toMatchObject({
        message: 'The disk is full. Free some room on it, then try again. Nothing was saved.',
      })
    }
  }
  expect(kept.length).toBeGreaterThan(0)
  expect(refused.length).toBeGreaterThan(1)
  expect(new Set(refused)).toEqual(new Set([507]))
  // Reads go on, and writes do once there is room.
  expect(await namesOf(id)).toEqual(kept)
  connection().pragma('max_page_count = 100000')
  expect((await edit(id, 'room again')).status).toBe(201)
  await app.close()
  await open()
  expect(await namesOf(id)).toEqual([...kept, 'room again'])
})

test('a commit that fails takes nothing else with it', async () => {
  const id = await create()
  const writes = app.get(WritesService)
  const orphan = writes.run(async (manager) => {
    await manager.query('PRAGMA defer_foreign_keys = ON')
    await manager.query(
      `INSERT INTO edits ("projectId", "document", "createdAt") VALUES ('nobody', '{}', 0)`,
    )
  })
  const after = edit(id, 'after')
  await expect(orphan).rejects.toThrow('FOREIGN KEY')
  expect((await after).status).toBe(201)
  expect(connection().inTransaction).toBe(false)
  await app.close()
  await open()
  expect(await namesOf(id)).toEqual(['after'])
})

test('what is written while another write fails is kept', async () => {
  const writes = app.get(WritesService)
  const project = { settings: '{}', createdAt: 0, updatedAt: 0 }
  const save = (name: string, fails: boolean): Promise<unknown> =>
    writes.run(async (manager) => {
      await manager.getRepository(ProjectEntity).save({ ...project, name })
      await new Promise((done) => setTimeout(done, 5))
      if (fails) throw new Error('It does not work out.')
    })
  const all = await Promise.allSettled([
    save('first', true),
    save('second', false),
    save('third', true),
    save('fourth', false),
  ])
  expect(all.map(({ status }) => status)).toEqual([
    'rejected',
    'fulfilled',
    'rejected',
    'fulfilled',
  ])
  await app.close()
  await open()
  const { body } = await http.get('/api/projects').expect(200)
  const names = (body as { name: string }[]).map(({ name }) => name)
  expect([...names].sort()).toEqual(['fourth', 'second'])
})

test('while another program has the database, reads go on and writes say so', async () => {
  const id = await create()
  const other = await connect(join(folder, DATABASE_FILE))
  other.exec('BEGIN IMMEDIATE')
  const { status, body } = await edit(id, 'late')
  expect(status).toBe(503)
  expect((body as { message: string }).message).toContain('Another program')
  expect(await namesOf(id)).toEqual([])
  other.exec('COMMIT')
  other.close()
  expect((await edit(id, 'in time')).status).toBe(201)
  expect(await namesOf(id)).toEqual(['in time'])
})

describe('a folder', () => {
  test('has one server at a time', async () => {
    await claimFolder(folder)
    await expect(claimFolder(folder)).rejects.toThrow('Another Unimorph server uses')
  })

  test('of this version, or a new one, may be used', async () => {
    await expect(checkDatabase(folder)).resolves.toBeUndefined()
    await expect(checkDatabase(join(folder, 'new'))).resolves.toBeUndefined()
  })

  test('that a newer version has changed is refused', async () => {
    connection().exec(
      `INSERT INTO migrations ("timestamp", "name") VALUES (1, 'Tides1999999999999')`,
    )
    await expect(checkDatabase(folder)).rejects.toThrow('made by a newer version')
  })

  test('with a broken database is refused in a sentence', async () => {
    const broken = mkdtempSync(join(tmpdir(), 'unimorph-broken-'))
    writeFileSync(join(broken, DATABASE_FILE), 'no database '.repeat(500))
    await expect(checkDatabase(broken)).rejects.toThrow('cannot be read')
    rmSync(broken, { recursive: true })
  })
})
