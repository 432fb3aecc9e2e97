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

/** Installs the packages of the lock file, unless they are there already. */
export const install = () => {
  const lock = sha(readFileSync(join(ROOT, 'package-lock.json')) + process.versions.modules)
  if (isStamped('installed', lock)) return
  console.log('Installing packages; the first time takes a few minutes.')
  if (!run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel', 'error']).ok) {
    fail('The packages could not be installed. See the message above; then run the command again.')
  }
  // npm may leave the database binding uncompiled when install scripts are switched off.
  const hasBinding = run(process.execPath, ['-e', "new (require('better-sqlite3'))(':memory:')"], {
    quiet: true,
  }).ok
  if (!hasBinding && !run('npm', ['rebuild', 'better-sqlite3', '--loglevel', 'error']).ok) {
    fail('The database binding could not be compiled. It needs python3, make and a C++ compiler.')
  }
  stamp('installed', lock)
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

const tsc = (folder) => [
  process.execPath,
  ['node_modules/typescript/bin/tsc', '-p', `${folder}/tsconfig.build.json`],
]

const BUILDS = [
  { name: 'core', needs: ['core'], result: 'core/dist/index.js', command: tsc('core') },
  {
    name: 'flutter-stand-in',
    needs: ['flutter-stand-in'],
    result: 'flutter-stand-in/dist/index.js',
    command: tsc('flutter-stand-in'),
  },
  { name: 'fonts', needs: ['core', 'fonts'], result: 'fonts/dist/index.js', command: tsc('fonts') },
  {
    name: 'codebase',
    needs: ['core', 'codebase'],
    result: 'codebase/dist/index.js',
    command: tsc('codebase'),
  },
  {
    name: 'server',
    needs: ['core', 'flutter-stand-in', 'fonts', 'codebase', 'server'],
    result: 'server/dist/main.js',
    command: tsc('server'),
  },
  {
    name: 'cli',
    needs: ['core', 'fonts', 'codebase', 'cli'],
    result: 'cli/dist/main.js',
    command: tsc('cli'),
  },
  {
    name: 'web',
    needs: ['core', 'web'],
    result: 'web/dist/index.html',
    command: [
      'npm',
      ['run', 'build', '--workspace', 'web', '--silent', '--', '--logLevel', 'warn'],
    ],
  },
  {
    name: 'bench',
    needs: ['core', 'codebase', 'bench'],
    result: 'bench/dist/speed.js',
    command: tsc('bench'),
  },
]

/** Builds what has changed since it was last built. */
export const build = (names = BUILDS.map((b) => b.name)) => {
  for (const { name, needs, result, command } of BUILDS) {
    if (!names.includes(name)) continue
    const print = fingerprint(needs)
    if (isStamped(`built-${name}`, print) && existsSync(join(ROOT, result))) continue
    console.log(`Building ${name}`)
    if (!run(...command).ok) fail(`${name} could not be built. See the message above.`)
    stamp(`built-${name}`, print)
  }
}
