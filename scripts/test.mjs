// npm test: installs what is missing, lints, type-checks, builds, runs the unit tests and the browser flows.
// The last line has the totals of the tests that ran.
import { existsSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build, checkNode, install, run } from './steps.mjs'

const CHROMIUM = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium'
const FONTS = ['fonts-liberation', 'fonts-inter']

const hasPackage = (name) => run('dpkg', ['-s', name], { quiet: true }).ok

/** The browser and the fonts the tests measure with, from Debian's packages. */
const installBrowser = () => {
  const missing = [
    ...(existsSync(CHROMIUM) ? [] : ['chromium']),
    ...FONTS.filter((name) => !hasPackage(name)),
  ]
  if (missing.length === 0) return true
  console.log(`Installing ${missing.join(', ')} with apt`)
  const asRoot = process.getuid() === 0 ? [] : ['sudo', '-n']
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, 'apt-get', ...args]
    return run(command, rest, { quiet: true, env: { DEBIAN_FRONTEND: 'noninteractive' } })
  }
  apt('update', '-q')
  const { ok, output } = apt('install', '-y', '-q', '--no-install-recommends', ...missing)
  if (!ok) {
    console.error(output.split('\n').slice(-5).join('\n'))
    console.error(`Install them by hand: apt-get install ${missing.join(' ')}`)
  }
  return ok
}

const results = mkdtempSync(join(tmpdir(), 'unimorph-test-'))
const totals = { passed: 0, failed: 0, skipped: 0 }
const broken = []

const step = (name, command, args, options) => {
  console.log(`\n== ${name}`)
  const { ok } = run(command, args, options)
  if (!ok) broken.push(name)
  return ok
}

const readJson = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined)

const runUnit = () => {
  const file = join(results, 'unit.json')
  const args = [
    '--experimental-vm-modules',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
    '--ci',
    '--json',
    `--outputFile=${file}`,
  ]
  step('Unit tests', process.execPath, args)
  const report = readJson(file)
  if (!report) return
  totals.passed += report.numPassedTests
  totals.failed += report.numFailedTests + report.numRuntimeErrorTestSuites
  totals.skipped += report.numPendingTests
}

const runFlows = () => {
  const file = join(results, 'flows.json')
  step('Browser flows', 'npm', ['run', 'e2e', '--silent'], {
    env: { CHROMIUM_PATH: CHROMIUM, PLAYWRIGHT_JSON_OUTPUT_FILE: file },
  })
  const report = readJson(file)
  if (!report) return
  totals.passed += report.stats.expected + report.stats.flaky
  totals.failed += report.stats.unexpected
  totals.skipped += report.stats.skipped
}

checkNode()
install()
const hasBrowser = installBrowser()
if (!hasBrowser) broken.push('Browser')
build()
step('Lint', 'npm', ['run', 'lint', '--silent'])
step('Types', 'npm', ['run', 'types', '--silent'])
runUnit()
if (hasBrowser) runFlows()

if (broken.length > 0) console.log(`\nNot in order: ${broken.join(', ')}`)
// A step that broke without a failing test of its own still is a failure.
if (broken.length > 0 && totals.failed === 0) totals.failed = broken.length
const skipped = totals.skipped > 0 ? `, ${totals.skipped} skipped` : ''
console.log(`\n${totals.passed} passed, ${totals.failed} failed${skipped}`)
process.exit(totals.failed > 0 || totals.passed === 0 ? 1 : 0)
