import { spawnSync } from 'node:child_process'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { startCommands } from './testing/start-commands.js'

/** The tests that are delivered beside components, run by the tools that they ask for. */

const commands = startCommands()
afterAll(commands.stop)
const DESIGNS = resolve(__dirname, '../../demo/designs')
const TIDEWRACK = join(DESIGNS, 'tidewrack.json')
const KIOSK = join(DESIGNS, 'night-ferry-kiosk.svg')

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-tests-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

const HOSTILE = ['</script> & <b>', '{{x}} ${y} `z`', '@if (a) { "b" }', "it's \\ 🐚 סרטן"]
const asXml = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;')
/** Cards that are one component, each with words that mean something to some language. */
const CARDS = `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="600">${HOSTILE.map(
  (words, i) =>
    `<g id="card"><rect x="20" y="${20 + i * 140}" width="500" height="120" rx="8" fill="#e8eeec"/><text x="40" y="${60 + i * 140}" font-size="22" font-weight="700">${asXml(words)}</text><text x="40" y="${100 + i * 140}" font-size="14">Seen ${i + 2} times</text></g>`,
).join('')}</svg>`

const run = (tool: string, args: readonly string[], cwd: string) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [tool, ...args], {
    cwd,
    encoding: 'utf8',
    env: { ...process.env, NG_CLI_ANALYTICS: 'false', NO_COLOR: '1', FORCE_COLOR: '0' },
  })
  return { status, said: stdout + stderr }
}

/** Delivers a project with tests, and gives it the packages it asks for. */
const deliver = async (inputs: readonly string[], settings: object): Promise<string> => {
  writeFileSync(
    join(folder, 'unimorph.config.json'),
    JSON.stringify({ extras: ['tests'], ...settings }),
  )
  const converted = await commands.run(['convert', ...inputs, '--out', 'project'], folder)
  if (converted.status !== 0) throw new Error(converted.output)
  const project = join(folder, 'project')
  const manifest = JSON.parse(readFileSync(join(project, 'package.json'), 'utf8')) as Record<
    'dependencies' | 'devDependencies',
    Record<string, string>
  >
  for (const name of Object.keys({ ...manifest.dependencies, ...manifest.devDependencies })) {
    const home = require.resolve
      .paths(name)!
      .map((root) => join(root, name))
      .find((at) => existsSync(join(at, 'package.json')))!
    const link = join(project, 'node_modules', name)
    mkdirSync(dirname(link), { recursive: true })
    symlinkSync(home, link, 'dir')
  }
  return project
}

const TOOLS = {
  react: ['vitest/vitest.mjs', 'run', '--no-isolate'],
  vue: ['vitest/vitest.mjs', 'run', '--no-isolate'],
  angular: ['@angular/cli/bin/ng.js', 'test', '--no-watch'],
} as const

const runTests = (project: string, target: keyof typeof TOOLS) => {
  const [tool, ...args] = TOOLS[target]
  return run(join(project, 'node_modules', tool), args, project)
}

test.each([
  ['react', 'tidewrack', { styling: 'css-modules' }, 10],
  ['react', 'hostile', { script: 'javascript', styling: 'css-in-js' }, 5],
  [
    'vue',
    'tidewrack',
    { styling: 'scss', files: { names: 'kebab', folders: { components: 'ui' } } },
    10,
  ],
  ['vue', 'hostile', {}, 5],
  ['angular', 'tidewrack', { styling: 'css-modules' }, 10],
  ['angular', 'hostile', { templates: 'class' }, 5],
] as const)(
  '%s: components of %s show what they are given: %j',
  async (target, what, settings, least) => {
    const cards = join(folder, 'cards.svg')
    writeFileSync(cards, CARDS)
    const inputs = what === 'tidewrack' ? [TIDEWRACK] : [KIOSK, cards]
    const project = await deliver(inputs, { target, ...settings })
    const { status, said } = runTests(project, target)
    expect([status, said]).toEqual([0, expect.stringMatching(/Tests +\d+ passed/)])
    expect(Number(/Tests +(\d+) passed/.exec(said)![1])).toBeGreaterThanOrEqual(least)
  },
  120_000,
)

test('a component that no longer shows what it is given fails its test, and no other', async () => {
  const project = await deliver([TIDEWRACK], { target: 'react' })
  const file = join(project, 'src/components/Figure.tsx')
  const code = readFileSync(file, 'utf8')
  expect(code).toContain('{value}')
  writeFileSync(file, code.replace('{value}', '{label}'))
  const { status, said } = runTests(project, 'react')
  expect(status).toBe(1)
  expect(said).toMatch(/Figure shows what it is given/)
  expect(said).toMatch(/Tests +1 failed \| \d+ passed/)
}, 120_000)

test('without them nothing of it is delivered', async () => {
  const project = await deliver([TIDEWRACK], { target: 'angular', extras: [] })
  const manifest = readFileSync(join(project, 'package.json'), 'utf8')
  expect(manifest).not.toMatch(/vitest|"test"/)
  expect(existsSync(join(project, 'tsconfig.spec.json'))).toBe(false)
  expect(existsSync(join(project, 'src/app/components/figure.spec.ts'))).toBe(false)
})
