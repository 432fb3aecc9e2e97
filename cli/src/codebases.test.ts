import { once } from 'node:events'
import { spawn, spawnSync } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import type { Glossary } from '@unimorph/core'
import { startCommands, type Said } from './testing/start-commands.js'

// The real command line on the built packages, with the demo's codebases, as a person runs it.
const ROOT = resolve(__dirname, '../..')
const BIN = join(ROOT, 'cli/bin/unimorph.mjs')
const TIDEWRACK = join(ROOT, 'demo/designs/tidewrack.json')

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-codebase-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

const run = (command: string, args: readonly string[], cwd = folder) => {
  const { status, stdout, stderr } = spawnSync(command, args, { encoding: 'utf8', cwd })
  return { status, stdout, stderr, output: `${stdout}${stderr}` }
}
const commands = startCommands()
afterAll(commands.stop)
const unimorph = (...args: string[]): Promise<Said> => commands.run(args, folder)

const GLOSSARY = 'unimorph.glossary.json'
const copy = (name: string): string => {
  const to = join(folder, name)
  cpSync(join(ROOT, 'demo/codebases', name), to, { recursive: true })
  return to
}
const readGlossary = (codebase: string): Glossary =>
  JSON.parse(readFileSync(join(codebase, GLOSSARY), 'utf8')) as Glossary
const textIn = (dir: string): string =>
  readdirSync(dir, { recursive: true, withFileTypes: true })
    .filter((one) => one.isFile() && !one.parentPath.includes('node_modules'))
    .map((one) => readFileSync(join(one.parentPath, one.name), 'utf8'))
    .join('\n')

/** What a person would map by hand, by framework. */
const RIGHT: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  react: {
    Button: 'src/kit/Action.tsx#Action',
    Field: 'src/kit/TextEntry.tsx#TextEntry',
    Figure: 'src/kit/Stat.tsx#default',
    Sighting: 'src/kit/SpottedRow.tsx#SpottedRow',
  },
  vue: {
    Button: 'src/widgets/PushButton.vue#default',
    Field: 'src/widgets/WriteLine.vue#default',
    Figure: 'src/widgets/NumberCard.vue#default',
    Sighting: 'src/widgets/FindLine.vue#default',
  },
  angular: {
    Button: 'src/app/pier/push-link.ts#PierPushLink',
    Field: 'src/app/pier/entry.ts#PierEntry',
    Figure: 'src/app/pier/number-tile.ts#PierNumberTile',
    Sighting: 'src/app/pier/observation.ts#PierObservation',
  },
  flutter: {
    Button: 'lib/pier/pier_button.dart#PierButton',
    Field: 'lib/pier/pier_field.dart#PierField',
    Figure: 'lib/pier/pier_stat.dart#PierStat',
    Sighting: 'lib/pier/pier_find.dart#PierFind',
  },
  html: {
    Button: 'elements/wharf-button.js#wharf-button',
    Field: 'elements/wharf-field.js#wharf-field',
    Figure: 'partials/stat-tile.html#default',
    Sighting: 'elements/wharf-find.js#wharf-find',
  },
}

/** Tags of the components a mapped design no longer has. */
const OWN =
  /components\/(Button|Field|Figure|Sighting)\b|components\/(button|field|figure|sighting)\.dart/

const tool = (path: string): string => createRequire(join(ROOT, 'cli/package.json')).resolve(path)

/** The codebase with its new screens, by the framework's own tools in their strict modes; '' where all is well. */
const COMPILE: Readonly<Record<string, (codebase: string) => string | Promise<string>>> = {
  react: (codebase) =>
    run(process.execPath, [tool('typescript/bin/tsc'), '--noEmit'], codebase).output,
  vue: (codebase) =>
    run(process.execPath, [tool('vue-tsc/bin/vue-tsc.js'), '--noEmit'], codebase).output,
  // A scan tells of Dart that its grammar does not know.
  flutter: async (codebase) => (await unimorph('scan', codebase)).stderr,
  async angular(codebase) {
    const out = join(folder, 'out')
    const args = ['--codebase', codebase, '--out', out, '--target', 'angular', '--styling', 'css']
    await unimorph('convert', TIDEWRACK, ...args)
    cpSync(join(codebase, 'src/app/pier'), join(out, 'src/app/pier'), { recursive: true })
    const { status, output } = await unimorph('build', out, '--site', join(folder, 'site'))
    return status === 0 ? '' : output
  },
}

test.each(Object.keys(RIGHT))(
  'the components of %s are proposed, confirmed, checked and used; what has a compiler here compiles',
  async (name) => {
    const codebase = copy(name)
    const args = ['--codebase', codebase, '--write', '--accept', '0']
    expect((await unimorph('suggest', TIDEWRACK, ...args)).output).toContain('written to')
    const { components, tokens } = readGlossary(codebase)
    const first = new Map<string, string>()
    for (const { design, code, status } of components) {
      expect(status).toBeUndefined()
      if ('component' in design && !first.has(design.component)) first.set(design.component, code)
    }
    expect(Object.fromEntries(first)).toEqual(RIGHT[name])
    expect(Object.keys(tokens ?? {}).length).toBeGreaterThanOrEqual(6)

    const checked = await unimorph('check', codebase, TIDEWRACK)
    expect(checked.output).toContain('The glossary fits')
    expect(checked.status).toBe(0)

    // What the glossary has is not proposed again.
    const written = readFileSync(join(codebase, GLOSSARY), 'utf8')
    await unimorph('suggest', TIDEWRACK, ...args)
    expect(readFileSync(join(codebase, GLOSSARY), 'utf8')).toBe(written)

    const styling = name === 'flutter' ? [] : ['--styling', 'css']
    const how = ['--codebase', codebase, '--target', name, ...styling]
    expect((await unimorph('convert', TIDEWRACK, ...how)).status).toBe(0)
    expect(textIn(codebase)).not.toMatch(OWN)
    expect(existsSync(join(codebase, 'README.md'))).toBe(false)
    symlinkSync(join(ROOT, 'node_modules'), join(codebase, 'node_modules'))
    expect((await COMPILE[name]?.(codebase)) ?? '').toBe('')
  },
)

test('what is the codebase’s own is not overwritten, and what is missing is said', async () => {
  const codebase = copy('react')
  writeFileSync(join(codebase, 'src/App.tsx'), 'export const App = () => null\n')
  const manifest = join(codebase, 'package.json')
  writeFileSync(
    manifest,
    readFileSync(manifest, 'utf8').replace('"react-router": "7.18.5"', '"x": "1"'),
  )
  const before = readFileSync(manifest, 'utf8')
  const { stdout } = await unimorph(
    'convert',
    TIDEWRACK,
    '--codebase',
    codebase,
    '--target',
    'react',
  )
  expect(readFileSync(join(codebase, 'src/App.tsx'), 'utf8')).toBe(
    'export const App = () => null\n',
  )
  expect(readFileSync(manifest, 'utf8')).toBe(before)
  expect(stdout).toContain("src/App.tsx is the codebase's own")
  expect(stdout).toMatch(/npm install .*react-router@7\.18\.5/)
})

test('a glossary that no longer fits fails, with the row and what to do', async () => {
  const codebase = copy('react')
  await unimorph('suggest', TIDEWRACK, '--codebase', codebase, '--write', '--accept', '0')
  const action = join(codebase, 'src/kit/Action.tsx')
  writeFileSync(action, readFileSync(action, 'utf8').replaceAll('emphasis', 'emphases'))
  const { status, stderr } = await unimorph('check', codebase)
  expect(status).toBe(1)
  expect(stderr).toContain('Button, emphasis: Action has no prop emphasis. Did it become emphases?')
  const { stdout } = await unimorph('check', codebase, '--json')
  expect(JSON.parse(stdout)).toMatchObject({ problems: [{ severity: 'error', prop: 'emphasis' }] })
})

test('proposals wait in the file until they are confirmed', async () => {
  const codebase = copy('react')
  const { stdout } = await unimorph(
    'suggest',
    TIDEWRACK,
    '--codebase',
    codebase,
    '--write',
    '--accept',
    '90',
  )
  expect(stdout).toMatch(/2 wait to be confirmed/)
  const waiting = readGlossary(codebase).components.filter(({ status }) => status === 'proposed')
  expect(waiting.map(({ design }) => design)).toEqual([
    { component: 'Sighting' },
    { role: 'button' },
  ])
  const { stdout: converted } = await unimorph(
    'convert',
    TIDEWRACK,
    '--codebase',
    codebase,
    '--target',
    'react',
  )
  expect(textIn(join(codebase, 'src/screens'))).not.toContain('SpottedRow')
  expect(converted).toContain('the screens need: npm install @tailwindcss/vite')
  expect(converted).not.toMatch(/eslint|prettier/)
})

test('a scan lists components, and libraries that are named', async () => {
  const codebase = copy('react')
  symlinkSync(join(ROOT, 'node_modules'), join(codebase, 'node_modules'))
  const { stdout } = await unimorph('scan', codebase, '--package', 'react-router')
  expect(stdout).toContain(
    'src/kit/Action.tsx#Action: emphasis?, isOff?, href?, type?, onPress?, className?, children',
  )
  expect(stdout).toContain('Notice.tsx#Notice: kind, children, deprecated')
  expect(stdout).toContain('react-router#Link:')
  expect(stdout).toMatch(/\d+ components and 12 tokens in \d+ files\n$/)
})

test('a scan goes on, and prints what comes, goes and changes', async () => {
  const codebase = copy('react')
  const scan = spawn(process.execPath, [BIN, 'scan', codebase, '--watch'])
  let said = ''
  scan.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()))
  const ended = once(scan, 'close')
  const waitFor = async (text: string): Promise<void> => {
    while (!said.includes(text)) {
      const [what] = await Promise.race([once(scan.stdout, 'data'), ended])
      if (!Buffer.isBuffer(what)) throw new Error(`it ended and had said: ${said}`)
    }
  }
  try {
    await waitFor('Watching for changes')
    const buoy = join(codebase, 'src/kit/Buoy.tsx')
    writeFileSync(buoy, 'export const Buoy = ({ light }: { light: string }) => <i>{light}</i>')
    await waitFor('+ src/kit/Buoy.tsx#Buoy: light')
    writeFileSync(buoy, 'export const Buoy = ({ light }: { light?: string }) => <i>{light}</i>')
    await waitFor('~ src/kit/Buoy.tsx#Buoy: light?')
    rmSync(buoy)
    await waitFor('- src/kit/Buoy.tsx#Buoy: light?')
  } finally {
    scan.kill()
  }
})

test.each([
  [['scan', '.', '--watch', '--json'], /leave --json away/],
  [['scan', 'nowhere'], /nowhere: cannot be read/],
  [['suggest', TIDEWRACK, '--codebase', '.', '--target', 'cobol'], /--target cobol: not known/],
  [['suggest', TIDEWRACK, '--codebase', '.', '--accept', '200'], /from 0 to 100/],
  [['suggest', TIDEWRACK, '--codebase', '.'], /no components were found/],
  [['convert', TIDEWRACK], /--out or --codebase/],
])('%j is refused', async (args, message) => {
  const { status, stderr } = await unimorph(...args)
  expect(status).toBeGreaterThan(0)
  expect(stderr).toMatch(message)
})

test('a glossary that is no JSON, or says what nobody knows, is named', async () => {
  writeFileSync(join(folder, GLOSSARY), '{')
  expect((await unimorph('check', '.')).stderr).toContain('not valid JSON')
  writeFileSync(join(folder, GLOSSARY), '{"version":1,"components":[{}]}')
  expect((await unimorph('check', '.')).stderr).toContain('components[0].design')
})
