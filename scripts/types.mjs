// Type-checks every workspace, tests included. `core` is checked twice: as the browser-free,
// Node-free library it is, and with the types its tests need.
import { run } from './steps.mjs'

const PROJECTS = [
  'core/tsconfig.json',
  'core/tsconfig.test.json',
  'flutter-stand-in',
  'fonts',
  'codebase',
  'server',
  'web',
  'cli',
  'demo',
  'bench',
  'docs',
  'e2e',
]
const failed = PROJECTS.filter((project) => {
  return !run(process.execPath, ['node_modules/typescript/bin/tsc', '--noEmit', '-p', project]).ok
})
if (failed.length > 0) {
  console.error(`Type errors in ${failed.join(', ')}.`)
  process.exit(1)
}
