// npm test [-- --quick] [--only WORD] [--failed]: installs what is missing, builds, checks formatting, lint and types, runs the
// unit tests and the browser flows, on as many cores as there are. The last line has the totals of the tests that ran.
import { existsSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { availableParallelism, tmpdir } from 'node:os'
import { dirname, join, relative } from 'node:path'
import { parseArgs } from 'node:util'
import { runCommand, runTasks } from './run-tasks.mjs'
import {
  BINDING_HELP,
  buildWeb,
  BUNDLE,
  checkNode,
  checkTypes,
  COMPILE_BINDING,
  compile,
  fail,
  INSTALL,
  isInstalled,
  markInstalled,
  ROOT,
  TRY_BINDING,
} from './steps.mjs'

/** Debian's browsers, the one without an interface first: it takes a quarter less time for each flow. */
const BROWSERS = ['chromium-headless-shell', 'chromium']
const findBrowser = () =>
  process.env.CHROMIUM_PATH ?? BROWSERS.map((name) => `/usr/bin/${name}`).find(existsSync)
const FONTS = ['fonts-liberation', 'fonts-inter']
const LAST_RUN = join(ROOT, 'node_modules/.unimorph/last-run.json')
/** How many of the slowest files and flows are printed. */
const SLOWEST = 10

const readOptions = () => {
  try {
    return parseArgs({
      options: {
        quick: { type: 'boolean', default: false },
        deep: { type: 'boolean', default: false },
        failed: { type: 'boolean', default: false },
        only: { type: 'string' },
      },
    }).values
  } catch (error) {
    return fail(`${error.message} Allowed: --quick, --deep, --failed, --only WORD.`)
  }
}

const options = readOptions()
const results = mkdtempSync(join(tmpdir(), 'unimorph-test-'))
const siteCounts = join(results, 'sites')
const readJson = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined)
const lastRun = options.failed ? readJson(LAST_RUN) : undefined
if (options.failed && !lastRun) fail('There is no earlier run to continue. Run npm test first.')

const env = {
  UNIMORPH_SITE_COUNTS: siteCounts,
  ...(options.deep ? { TEST_DEEP: '1' } : {}),
  ...(options.quick ? { TEST_QUICK: '1' } : {}),
}
const inRoot = (command, args, more = {}) =>
  runCommand(command, args, {
    cwd: ROOT,
    ...more,
    env: { ...env, CHROMIUM_PATH: findBrowser() ?? '', ...more.env },
  })

/** The browser and the fonts the tests measure with, from Debian's packages. */
const installBrowser = async () => {
  const has = async (name) => (await inRoot('dpkg', ['-s', name])).ok
  const missing = []
  for (const name of FONTS) if (!(await has(name))) missing.push(name)
  if (missing.length === 0 && findBrowser() !== undefined) return { ok: true }
  const asRoot = process.getuid() === 0 ? [] : ['sudo', '-n']
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, 'apt-get', ...args]
    return inRoot(command, rest, { env: { DEBIAN_FRONTEND: 'noninteractive' } })
  }
  const install = (...names) => apt('install', '-y', '-q', '--no-install-recommends', ...names)
  await apt('update', '-q')
  let wanted = []
  let result = { ok: true, output: '' }
  // Older releases of Debian have no browser without an interface.
  for (const browser of findBrowser() === undefined ? BROWSERS : [undefined]) {
    wanted = browser === undefined ? missing : [browser, ...missing]
    result = await install(...wanted)
    if (result.ok) return { ok: true, output: `Installed ${wanted.join(', ')}` }
  }
  const reason = result.output.split('\n').slice(-5).join('\n')
  return { ok: false, output: `${reason}\nInstall by hand: apt-get install ${wanted.join(' ')}` }
}

const compileBinding = async () => {
  if ((await inRoot(...TRY_BINDING)).ok) return { ok: true }
  const made = await inRoot(...COMPILE_BINDING)
  return made.ok ? made : { ok: false, output: `${made.output}\n${BINDING_HELP}` }
}

/** Unit tests that build projects or look through many files: a quick run leaves them out. */
const SLOW = ['/node_modules/', '/dist/', 'cli/src/(codebases|delivered-tests)', 'scan-package']

const unitFile = join(results, 'unit.json')
const runUnit = async () => {
  const { ok, output } = await inRoot(process.execPath, [
    '--experimental-vm-modules',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
    '--ci',
    `--maxWorkers=${availableParallelism()}`,
    '--json',
    `--outputFile=${unitFile}`,
    ...(options.quick ? ['--testPathIgnorePatterns', ...SLOW] : []),
    ...(options.only === undefined
      ? []
      : ['--passWithNoTests', '--testPathPatterns', options.only]),
    ...(options.failed ? ['--onlyFailures', '--passWithNoTests'] : []),
  ])
  // With --json the report of the run goes to a file; what is left is what Jest tells a person.
  return { ok, output: ok ? '' : output }
}

const flowsFile = join(results, 'flows.json')
const runFlows = () =>
  inRoot(
    'npm',
    [
      'run',
      'e2e',
      '--workspace',
      'e2e',
      '--silent',
      '--',
      ...[
        ...(options.quick ? ['--grep', '@quick'] : []),
        ...(options.only === undefined ? [] : [options.only, '--pass-with-no-tests']),
        ...(options.failed ? ['--last-failed', '--pass-with-no-tests'] : []),
      ],
    ],
    { env: { PLAYWRIGHT_JSON_OUTPUT_FILE: flowsFile } },
  )

const TASKS = [
  {
    name: 'Packages',
    run: () => (isInstalled() ? { ok: true } : inRoot(...INSTALL)),
  },
  { name: 'Browser', run: installBrowser },
  { name: 'Database binding', needs: ['Packages'], run: compileBinding },
  { name: 'Packages built', needs: ['Packages'], run: () => inRoot(...compile()) },
  { name: 'Command line bundled', needs: ['Packages built'], run: () => inRoot(...BUNDLE) },
  { name: 'Interface built', needs: ['Packages built'], run: () => buildWeb(inRoot) },
  { name: 'Types', needs: ['Packages built'], run: () => inRoot(...checkTypes()) },
  {
    name: 'Lint',
    needs: ['Packages built'],
    run: () => inRoot('npm', ['run', 'lint', '--silent']),
  },
  {
    name: 'Formatting',
    needs: ['Packages'],
    run: () => inRoot('npm', ['run', 'format:check', '--silent']),
  },
  {
    name: 'Delivered code judged',
    needs: ['Packages built'],
    run: () => inRoot(process.execPath, ['bench/dist/judge.js']),
  },
  {
    name: 'Unit tests',
    needs: ['Command line bundled', 'Interface built', 'Database binding'],
    // Two workers beside whatever else still runs: nothing in them is timed.
    run: runUnit,
  },
  {
    name: 'Browser flows',
    needs: ['Packages built', 'Interface built', 'Database binding', 'Browser'],
    cores: 2,
    run: runFlows,
  },
  {
    name: 'Two hours of use',
    needs: ['Browser flows'],
    cores: 2,
    run: () => inRoot(process.execPath, ['bench/dist/soak.js', '--minutes', '120']),
  },
]
/** What others need is made in any case; checks that passed are not made again by `--failed`, nor all of them by `--only`. */
const CHECKS = [
  ...['Types', 'Lint', 'Formatting', 'Delivered code judged'],
  ...['Unit tests', 'Browser flows', 'Two hours of use'],
]
const isWanted = ({ name }) => {
  if (!CHECKS.includes(name)) return true
  if (name === 'Two hours of use' && !options.deep) return false
  // Minutes of compilers, when nothing of it passed before.
  if (options.quick && name === 'Delivered code judged') return false
  if (options.failed) return lastRun.states[name] !== 'passed'
  return options.only === undefined || name === 'Unit tests' || name === 'Browser flows'
}

checkNode()
const began = Date.now()
const tasks = TASKS.filter(isWanted)
const outcomes = await runTasks(tasks, availableParallelism())
const stateOf = (name) => outcomes.find((one) => one.name === name)?.state
if (stateOf('Packages') === 'passed' && stateOf('Database binding') === 'passed') markInstalled()

const totals = { passed: 0, failed: 0, skipped: 0 }
const slow = []
const unsteady = []
const unit = readJson(unitFile)
if (unit) {
  totals.passed += unit.numPassedTests
  totals.failed += unit.numFailedTests + unit.numRuntimeErrorTestSuites
  totals.skipped += unit.numPendingTests
  for (const { name, startTime, endTime } of unit.testResults) {
    slow.push({ name: relative(ROOT, name), ms: endTime - startTime })
  }
}
const flows = readJson(flowsFile)
if (flows) {
  totals.passed += flows.stats.expected + flows.stats.flaky
  totals.failed += flows.stats.unexpected
  totals.skipped += flows.stats.skipped
  const visit = (suite, path) => {
    for (const { title, tests } of suite.specs ?? []) {
      const ms = tests.flatMap((test) => test.results).reduce((sum, one) => sum + one.duration, 0)
      slow.push({ name: `${path} › ${title}`, ms })
      if (tests.some(({ status }) => status === 'flaky')) unsteady.push(`${path} › ${title}`)
    }
    for (const inner of suite.suites ?? []) {
      visit(inner, inner.file === inner.title ? inner.title : `${path} › ${inner.title}`)
    }
  }
  for (const suite of flows.suites) visit(suite, suite.title)
}

mkdirSync(dirname(LAST_RUN), { recursive: true })
const before = lastRun?.states ?? {}
const states = Object.fromEntries(outcomes.map(({ name, state }) => [name, state]))
writeFileSync(LAST_RUN, JSON.stringify({ states: { ...before, ...states } }))

const minutes = (ms) => `${(ms / 60_000).toFixed(1)} min`
console.log('\nTime a step')
for (const { name, state, ms } of outcomes)
  console.log(`  ${minutes(ms).padStart(8)}  ${name}, ${state}`)
console.log(`  ${minutes(Date.now() - began).padStart(8)}  in all`)
if (slow.length > 0) {
  console.log('\nSlowest files and flows')
  const first = slow.sort((a, b) => b.ms - a.ms).slice(0, SLOWEST)
  for (const { name, ms } of first)
    console.log(`  ${(ms / 1000).toFixed(1).padStart(6)} s  ${name}`)
}
if (unsteady.length > 0) {
  console.log('\nPassed only when tried again')
  for (const name of unsteady) console.log(`  ${name}`)
}
if (existsSync(siteCounts)) {
  const counts = readFileSync(siteCounts, 'utf8').trim().split('\n')
  const hits = counts.filter((what) => what === 'hits').length
  console.log(`\nDelivered sites: ${hits} of ${counts.length} were there already`)
}
const broken = outcomes.filter(({ state }) => state !== 'passed').map(({ name }) => name)
if (broken.length > 0) console.log(`\nNot in order: ${broken.join(', ')}`)
// A step that broke without a failing test of its own still is a failure.
if (broken.length > 0 && totals.failed === 0) totals.failed = broken.length
const skipped = totals.skipped > 0 ? `, ${totals.skipped} skipped` : ''
console.log(`\n${totals.passed} passed, ${totals.failed} failed${skipped}`)
process.exit(totals.failed > 0 || totals.passed === 0 ? 1 : 0)
