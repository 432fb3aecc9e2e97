import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import type { Server } from 'node:http'
import { tmpdir } from 'node:os'
import { dirname, join, relative, resolve } from 'node:path'
import type { NestExpressApplication } from '@nestjs/platform-express'
import { strToU8, zipSync } from 'fflate'
import request from 'supertest'
import { createApp } from '../create-app'
import { SharedJobs } from '../testing/shared-jobs'
import { removeUnused } from './unpack'

const DEMO = resolve(__dirname, '../../../demo')
const design = JSON.parse(readFileSync(join(DEMO, 'designs/tidewrack.json'), 'utf8')) as object

let folder: string
const jobs = new SharedJobs()
afterAll(() => jobs.end())

let app: NestExpressApplication
let http: ReturnType<typeof request>
let project: string

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-server-'))
  cpSync(join(DEMO, 'codebases'), join(folder, 'allowed'), { recursive: true })
  app = await createApp(
    ':memory:',
    '127.0.0.1',
    {
      allowed: [join(folder, 'allowed')],
      uploads: join(folder, 'uploads'),
    },
    jobs,
  )
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
  await http.put(path('/glossary')).set('if-match', '*').send({ glossary: GLOSSARY }).expect(200)
  const file = join(allowed('react'), 'unimorph.glossary.json')
  expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(GLOSSARY)
  expect((await http.get(path())).body).toMatchObject({ glossary: GLOSSARY })
  const { body } = await http
    .put(path('/glossary'))
    .set('if-match', '*')
    .send({ glossary: { version: 1, components: [{}] } })
    .expect(400)
  expect(body).toMatchObject({ message: expect.stringContaining('components[0].design') })
})

test('a glossary that was changed in the editor meanwhile is not written over', async () => {
  const { body } = await http.put(path()).send({ folder: allowed('react') })
  const { glossaryVersion } = body as { glossaryVersion: string }
  const save = (version: string) =>
    http.put(path('/glossary')).set('if-match', `"${version}"`).send({ glossary: GLOSSARY })
  const { body: saved } = await save(glossaryVersion).expect(200)
  const { version } = saved as { version: string }
  const byHand = { ...GLOSSARY, tokens: { tide: 'sea' } }
  const file = join(allowed('react'), 'unimorph.glossary.json')
  writeFileSync(file, JSON.stringify(byHand))
  const { body: refused } = await save(version).expect(409)
  expect(refused).toMatchObject({ current: byHand })
  expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(byHand)
  await save((refused as { version: string }).version).expect(200)
  await http.put(path('/glossary')).send({ glossary: GLOSSARY }).expect(428)
})

test('a glossary somebody broke by hand is told, and left as it is', async () => {
  const file = join(allowed('react'), 'unimorph.glossary.json')
  writeFileSync(file, '{ "version": 1,')
  const { body } = await http
    .put(path())
    .send({ folder: allowed('react') })
    .expect(200)
  expect((body as { problem: string }).problem).toContain('not valid JSON')
  await http.put(path('/glossary')).set('if-match', '*').send({ glossary: GLOSSARY }).expect(400)
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
  const { folder: unpacked } = body as { folder: string }
  expect(readdirSync(unpacked).sort()).toEqual(['package.json', 'src'])
  expect(dirname(unpacked)).toBe(join(folder, 'uploads'))
})

describe('archives', () => {
  const send = (zip: Uint8Array) =>
    http.post(path()).send({ name: 'a.zip', data: Buffer.from(zip).toString('base64') })
  const shop = (note: string): Uint8Array =>
    zipSync({ 'package.json': strToU8('{"name":"shop"}'), 'src/note.ts': strToU8(note) })
  const uploads = (): string => join(folder, 'uploads')
  /** All files that are kept, with what is in them. */
  const kept = (): readonly (readonly [string, string])[] =>
    readdirSync(uploads(), { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map((entry) => {
        const full = join(entry.parentPath, entry.name)
        return [relative(uploads(), full), readFileSync(full, 'utf8')] as const
      })
      .sort(([a], [b]) => (a < b ? -1 : 1))

  /** A link, as programs of Unix archive one: the mode of a file says so. */
  const linked = (): Uint8Array =>
    zipSync({ 'src/secrets': [strToU8('/etc/passwd'), { os: 3, attrs: 0o120777 << 16 }] })
  /** An archive that says of its first file that it is of another size. */
  const ofSize = (size: number): Uint8Array => {
    const zip = Buffer.from(zipSync({ 'src/note.ts': strToU8('tide '.repeat(500)) }))
    const entry = zip.indexOf(Buffer.from([0x50, 0x4b, 1, 2]))
    zip.writeUInt32LE(size, entry + 24)
    return zip
  }

  test.each([
    [
      'leaves its folder',
      () => zipSync({ 'a/b.ts': strToU8('1'), '../../evil.ts': strToU8('2') }),
      'leave its folder',
    ],
    ['is named from the root', () => zipSync({ '/etc/evil.ts': strToU8('2') }), 'leave its folder'],
    ['leaves by another slash', () => zipSync({ '..\\evil.ts': strToU8('2') }), 'leave its folder'],
    ['goes on below a file', () => zipSync({ 'a.ts/..': strToU8('2') }), 'leave its folder'],
    ['has an empty name', () => zipSync({ 'src//a.ts': strToU8('2') }), 'empty name'],
    [
      'has a name that is too long',
      () => zipSync({ [`${'a'.repeat(300)}.ts`]: strToU8('2') }),
      'too long',
    ],
    [
      'stands where a folder is wanted',
      () => zipSync({ a: strToU8('1'), 'a/b.ts': strToU8('2') }),
      'place of a folder',
    ],
    ['is a link', linked, 'symbolic link'],
    ['is larger than it says', () => ofSize(10), 'cannot be unpacked'],
    ['is smaller than it says', () => ofSize(5000), 'cannot be unpacked'],
    ['is very large', () => ofSize(300_000_000), 'too large'],
    ['is in no archive', () => strToU8('no zip'), 'cannot be unpacked'],
    ['is missing', () => zipSync({}), 'no files'],
  ])(
    'a file that %s is refused, and the codebase that was there stays',
    async (_what, zip, message) => {
      await send(shop('before')).expect(201)
      const before = kept()
      const { body } = await send(zip()).expect(400)
      expect((body as { message: string }).message).toContain(message)
      expect(kept()).toEqual(before)
      expect((await http.get(path())).body).toMatchObject({ codebase: { name: 'shop' } })
      expect(existsSync(join(folder, 'evil.ts'))).toBe(false)
    },
  )

  test('one takes the place of the one before', async () => {
    await send(shop('before')).expect(201)
    const { body } = await send(shop('after')).expect(201)
    const name = relative(uploads(), (body as { folder: string }).folder)
    expect(kept()).toEqual([
      [`${name}/package.json`, '{"name":"shop"}'],
      [`${name}/src/note.ts`, 'after'],
    ])
  })

  test('what an upload that was cut off has left is removed, and nothing else', async () => {
    const { body } = await send(shop('before')).expect(201)
    const own = relative(uploads(), (body as { folder: string }).folder)
    for (const name of [`${project}-0badcafe.part`, `${project}-0badcafe`, 'notes of mine'])
      mkdirSync(join(uploads(), name))
    await removeUnused(uploads(), new Set([join(uploads(), own)]))
    expect(readdirSync(uploads()).sort()).toEqual([own, 'notes of mine'].sort())
  })
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
  await http.put(path('/glossary')).set('if-match', '*').send({ glossary: GLOSSARY }).expect(200)
  writeFileSync(join(allowed('react'), 'src/kit/Buoy.tsx'), 'export const Buoy = () => null')
  await waitFor('Buoy.tsx')
  expect(heard).not.toContain('unimorph.glossary.json')
  await reader.cancel()
})

test('a project without a codebase has no changes to tell', async () => {
  await http.get(path('/changes')).expect(404)
})
