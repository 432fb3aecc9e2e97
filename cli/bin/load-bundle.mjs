import { readFileSync, renameSync, statSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { Script } from 'node:vm'

const DIST = join(dirname(fileURLToPath(import.meta.url)), '../dist')
const BUNDLE = join(DIST, 'unimorph.cjs')
/** The compiler touches these whenever it emits. */
const BUILDS = ['cli', 'codebase', 'core', 'fonts'].map((name) =>
  join(DIST, '../..', name, 'dist/.tsbuildinfo'),
)

const timeOf = (path) => statSync(path, { throwIfNoEntry: false })?.mtimeMs ?? 0
const isCurrent = () => BUILDS.every((path) => timeOf(path) <= timeOf(BUNDLE))

/** A cache for each command, since each compiles other functions. */
const cacheOf = (command) => join(DIST, `unimorph-${process.version}-${command}.cache`)

const readCache = (cache) => {
  try {
    return timeOf(cache) > timeOf(BUNDLE) ? readFileSync(cache) : undefined
  } catch {
    return undefined
  }
}

/** The compiled functions of a run, for the next one. Another run may write them too, so they come whole by a rename. */
const writeCache = (cache, script) => {
  const draft = `${cache}.${process.pid}`
  try {
    writeFileSync(draft, script.createCachedData())
    renameSync(draft, cache)
  } catch {
    // Where the folder cannot be written to, each run compiles anew.
  }
}

/**
 * The bundled command line, compiled as far as V8's cache has it; undefined where there is no bundle of what was last built.
 * `keep` writes the cache of this command, if this run had none.
 */
export const loadBundle = (command) => {
  if (!isCurrent()) return undefined
  const cache = cacheOf(command)
  const cachedData = readCache(cache)
  const script = new Script(
    `(function (exports, require, module, bundleUrl) {${readFileSync(BUNDLE, 'utf8')}\n})`,
    { filename: BUNDLE, cachedData },
  )
  const module = { exports: {} }
  script.runInThisContext()(
    module.exports,
    createRequire(BUNDLE),
    module,
    pathToFileURL(BUNDLE).href,
  )
  return {
    run: module.exports.run,
    keep: () => {
      if (cachedData === undefined || script.cachedDataRejected) writeCache(cache, script)
    },
  }
}
