// What starting, testing and building share: Node version, installed packages, what is built already.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const STAMPS = join(ROOT, 'node_modules', '.unimorph')
const OLDEST_NODE = [20, 19]

/** Ends the program with one sentence. */
export const fail = (message) => {
  console.error(message)
  process.exit(1)
}

export const checkNode = () => {
  const [major, minor] = process.versions.node.split('.').map(Number)
  const isOld = major < OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor < OLDEST_NODE[1])
  if (isOld)
    fail(`Unimorph needs Node ${OLDEST_NODE.join('.')} or newer; this is ${process.versions.node}.`)
}

/** Runs a command in the project's folder; its output goes to the terminal unless `quiet`. */
export const run = (command, args, { quiet = false, env = {}, cwd = ROOT } = {}) => {
  const result = spawnSync(command, args, {
    cwd,
    stdio: quiet ? 'pipe' : 'inherit',
    encoding: 'utf8',
    env: { ...process.env, ...env },
  })
  return { ok: result.status === 0, output: `${result.stdout ?? ''}${result.stderr ?? ''}` }
}

const isStamped = (name, value) => {
  const file = join(STAMPS, name)
  return existsSync(file) && readFileSync(file, 'utf8') === value
}

const stamp = (name, value) => {
  mkdirSync(STAMPS, { recursive: true })
  writeFileSync(join(STAMPS, name), value)
}

const sha = (text) => createHash('sha256').update(text).digest('hex')

const lockHash = () => sha(readFileSync(join(ROOT, 'package-lock.json')) + process.versions.modules)

export const isInstalled = () => isStamped('installed', lockHash())

/** What installs the packages of the lock file; the database binding is compiled by itself. */
export const INSTALL = [
  'npm',
  ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel', 'error'],
]
/** Tells whether the database binding can be loaded. */
export const TRY_BINDING = [process.execPath, ['-e', "new (require('better-sqlite3'))(':memory:')"]]
export const COMPILE_BINDING = [
  'npm',
  ['rebuild', 'better-sqlite3', '--ignore-scripts=false', '--loglevel', 'error'],
]
export const BINDING_HELP =
  'The database binding could not be compiled. It needs python3, make and a C++ compiler.'

export const markInstalled = () => stamp('installed', lockHash())

/** Installs the packages of the lock file, unless they are there already. */
export const install = () => {
  if (isInstalled()) return
  console.log('Installing packages; the first time takes a few minutes.')
  if (!run(...INSTALL).ok) {
    fail('The packages could not be installed. See the message above; then run the command again.')
  }
  if (!run(...TRY_BINDING, { quiet: true }).ok && !run(...COMPILE_BINDING).ok) fail(BINDING_HELP)
  markInstalled()
}

const IGNORED = new Set(['node_modules', 'dist', 'test-results', 'playwright-report'])

const listFiles = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (IGNORED.has(entry.name)) return []
    const path = join(folder, entry.name)
    return entry.isDirectory() ? listFiles(path) : [path]
  })

/** Changes whenever a source file of a workspace or of one before it does. */
const fingerprint = (folders) =>
  sha(
    [
      ...folders.flatMap((folder) => listFiles(join(ROOT, folder))),
      join(ROOT, 'tsconfig.base.json'),
    ]
      .map((path) => `${path}:${statSync(path).size}:${sha(readFileSync(path))}`)
      .join('\n'),
  )

const TSC = join(ROOT, 'node_modules/typescript/bin/tsc')

/** Packages whose emitted code is their build; the compiler knows what has changed, and checks while it emits. */
export const PACKAGES = ['core', 'flutter-stand-in', 'fonts', 'codebase', 'server', 'cli', 'bench']

/** The compiler's arguments that build some packages and those they need. */
export const compile = (packages = PACKAGES) => [
  process.execPath,
  [TSC, '-b', ...packages.map((name) => `${name}/tsconfig.build.json`)],
]

/** What makes one file of the command line, which then starts in a fraction of the time. */
export const BUNDLE = [process.execPath, [join(ROOT, 'cli/bundle.mjs')]]

const WITH_TESTS = ['core', 'flutter-stand-in', 'fonts', 'codebase', 'server', 'cli', 'demo']

/** The compiler's arguments that check what is not emitted: tests, the interface, the flows. */
export const checkTypes = () => [
  process.execPath,
  [TSC, '-b', ...WITH_TESTS.map((name) => `${name}/tsconfig.test.json`), 'web', 'docs', 'e2e'],
]

const WEB = ['npm', ['run', 'build', '--workspace', 'web', '--silent', '--', '--logLevel', 'warn']]

/** Builds the interface with `runner` unless nothing of it has changed; the result of `runner`. */
export const buildWeb = (runner) => {
  const print = fingerprint(['core', 'web'])
  if (isStamped('built-web', print) && existsSync(join(ROOT, 'web/dist/index.html'))) {
    return { ok: true, output: '' }
  }
  const mark = (result) => {
    if (result.ok) stamp('built-web', print)
    return result
  }
  const result = runner(...WEB)
  return result instanceof Promise ? result.then(mark) : mark(result)
}

/** Builds what has changed since it was last built. */
export const build = ({ packages = PACKAGES, web = true } = {}) => {
  console.log('Building what has changed')
  if (!run(...compile(packages)).ok) fail('The packages could not be built. See the message above.')
  if (packages.includes('cli') && !run(...BUNDLE).ok)
    fail('The command line could not be bundled. See the message above.')
  if (web && !buildWeb(run).ok) fail('The interface could not be built. See the message above.')
}
