// Bundles the compiled command line into one file. `bin/unimorph.mjs` runs it from V8's cache: reading some 900 modules one by
// one takes ten times as long as converting a small design.
import { readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const HERE = dirname(fileURLToPath(import.meta.url))
/** What nearly every run needs; all other packages stay where they are installed, and are loaded when they are needed. */
const BUNDLED = /^(@unimorph\/.*|commander|tailwindcss)$/

const dependenciesOf = (folder) =>
  Object.keys(JSON.parse(readFileSync(join(HERE, folder, 'package.json'), 'utf8')).dependencies)
const external = ['.', '../codebase', '../fonts']
  .flatMap(dependenciesOf)
  .filter((name) => !BUNDLED.test(name))

await build({
  entryPoints: [join(HERE, 'dist/main.js')],
  outfile: join(HERE, 'dist/unimorph.cjs'),
  bundle: true,
  platform: 'node',
  format: 'cjs',
  target: 'node20.19',
  external: external.flatMap((name) => [name, `${name}/*`]),
  define: { 'import.meta.url': 'bundleUrl' },
  // A script from the cache cannot import; it can require, also modules.
  supported: { 'dynamic-import': false },
  logLevel: 'warning',
})
