import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
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

const DEMO = resolve(__dirname, '../../../demo')
const design = JSON.parse(readFileSync(join(DEMO, 'designs/tidewrack.json'), 'utf8')) as object

let folder: string
let app: NestExpressApplication
let http: ReturnType<typeof request>
let project: string

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-server-'))
  cpSync(join(DEMO, 'codebases'), join(folder, 'allowed'), { recursive: true })
  app = await createApp(':memory:', '127.0.0.1', {
    allowed: [join(folder, 'allowed')],
    uploads: join(folder, 'uploads'),
  })
  await app.init()
  http = request(app.getHttpServer() as Server)
  const { body } = await http.post('/api/projects').send({ name: 'Tidewrack', design }).expect(201)
  project = (body as { id: string }).id
})
afterEach(async () => {
  await app.close()
  rmSync(folder, { recursive: true, force: true })
})

const path = (rest = ''): string => `/api/projects/${project}/codebase${rest}`
const allowed = (name: string): string => join(folder, 'allowed', name)

const GLOSSARY = {
  version: 1,
  components: [
    {
      design: { component: 'Figure' },
      code: 'src/kit/Stat.tsx#default',
      props: { heading: { property: 'Label' }, amount: { property: 'Value' } },
    },
  ],
}

test('codebases that may be read are listed, chosen, scanned and left', async () => {
  const { body: choices } = await http.get('/api/codebases').expect(200)
  expect(choices).toContainEqual({
    folder: allowed('react'),
    name: 'quayside-react',
    isDemo: false,
  })
  expect((await http.get(path()).expect(200)).body).toEqual({})

  const { body } = await http
    .put(path())
    .send({ folder: allowed('react') })
    .expect(200)
  expect(body).toMatchObject({
    codebase: { name: 'quayside-react', frameworks: ['react'] },
    glossary: { version: 1, components: [] },
  })
  expect((await http.get(path())).body).toEqual(body)
  await http.delete(path()).expect(204)
  expect((await http.get(path())).body).toEqual({})
})

test('a folder that was not allowed is refused, also behind a link', async () => {
  const secret = join(folder, 'secret')
  mkdirSync(secret)
  const { body } = await http.put(path()).send({ folder: secret }).expect(400)
  expect((body as { message: string }).message).toContain('--codebase')
  symlinkSync(secret, allowed('link'))
  await http
    .put(path())
    .send({ folder: allowed('link') })
    .expect(400)
  await http
    .put(path())
    .send({ folder: `${allowed('react')}/../../secret` })
    .expect(400)
})

test('the glossary is written into the codebase, and read from there', async () => {
  await http.put(path()).send({ folder: allowed('react') })
  await http.put(path('/glossary')).send({ glossary: GLOSSARY }).expect(200)
  const file = join(allowed('react'), 'unimorph.glossary.json')
  expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(GLOSSARY)
  expect((await http.get(path())).body).toMatchObject({ glossary: GLOSSARY })
  const { body } = await http
    .put(path('/glossary'))
    .send({ glossary: { version: 1, components: [{}] } })
    .expect(400)
  expect(body).toMatchObject({ message: expect.stringContaining('components[0].design') })
})

test('a glossary somebody broke by hand is told, and left as it is', async () => {
  const file = join(allowed('react'), 'unimorph.glossary.json')
  writeFileSync(file, '{ "version": 1,')
  const { body } = await http
    .put(path())
    .send({ folder: allowed('react') })
    .expect(200)
  expect((body as { problem: string }).problem).toContain('not valid JSON')
  await http.put(path('/glossary')).send({ glossary: GLOSSARY }).expect(400)
  expect(readFileSync(file, 'utf8')).toBe('{ "version": 1,')
})

test('an archive is unpacked and scanned; its folder around all is left out', async () => {
  const zip = zipSync({
    'shop-main/package.json': strToU8('{"name":"shop"}'),
    'shop-main/src/Btn.tsx': strToU8('export const Btn = ({ a }: { a: string }) => <b>{a}</b>'),
    'shop-main/node_modules/x/index.js': strToU8('x'),
  })
  const { body } = await http
    .post(path())
    .send({ name: 'shop.zip', data: Buffer.from(zip).toString('base64') })
    .expect(201)
  expect(body).toMatchObject({
    codebase: { name: 'shop', components: [{ id: 'src/Btn.tsx#Btn' }] },
  })
  expect(existsSync(join(folder, 'uploads', project, 'node_modules'))).toBe(false)
})

test('an archive that would leave its folder, and what is none, is refused', async () => {
  const zip = zipSync({ 'a/b.ts': strToU8('1'), '../../evil.ts': strToU8('2') })
  const { body } = await http
    .post(path())
    .send({ name: 'a.zip', data: Buffer.from(zip).toString('base64') })
    .expect(400)
  expect((body as { message: string }).message).toContain('leave its folder')
  expect(existsSync(join(folder, 'evil.ts'))).toBe(false)
  await http.post(path()).send({ name: 'a.zip', data: 'AAAA' }).expect(400)
})

test('a preview is bundled with the components it names, and nothing else of the codebase', async () => {
  await http.put(path()).send({ folder: allowed('react') })
  const files = [
    {
      path: 'src/main.tsx',
      encoding: 'text',
      content: 'import { Action } from "@/kit/Action"; console.log(Action)',
    },
  ]
  const { body } = await http.post('/api/previews').send({ files, project }).expect(200)
  const { script } = body as { script: string }
  expect(script).toContain('quay-action')
  expect(script).not.toContain('Boats in')
  const without = await http.post('/api/previews').send({ files }).expect(200)
  expect(without.body).toMatchObject({ errors: [expect.stringContaining('@/kit/Action')] })
})

test('changes of the codebase are told, and what is written here is not', async () => {
  await http.put(path()).send({ folder: allowed('react') })
  await app.listen(0, '127.0.0.1')
  const answer = await fetch(`${await app.getUrl()}${path('/changes')}`)
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader()
  let heard = ''
  const waitFor = async (text: string): Promise<void> => {
    while (!heard.includes(text)) {
      const { value, done } = await reader.read()
      if (done) throw new Error(`It ended with ${heard}`)
      heard += value
    }
  }
  await waitFor('"paths":[]')
  await http.put(path('/glossary')).send({ glossary: GLOSSARY }).expect(200)
  writeFileSync(join(allowed('react'), 'src/kit/Buoy.tsx'), 'export const Buoy = () => null')
  await waitFor('Buoy.tsx')
  expect(heard).not.toContain('unimorph.glossary.json')
  await reader.cancel()
})

test('a project without a codebase has no changes to tell', async () => {
  await http.get(path('/changes')).expect(404)
})
