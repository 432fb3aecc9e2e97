// Some registries do not serve every optional platform package; npm then writes a lock file that
// `npm ci` calls out of sync. This drops the optional names that have no entry of their own.
import { readFileSync, writeFileSync } from 'node:fs'

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'))

/** The folders in which Node looks for a dependency of the package at `path`, innermost first. */
const placesFor = (path) => {
  const parts = path.split('/node_modules/')
  return parts.map((_, i) => parts.slice(0, parts.length - i).join('/node_modules/')).concat('')
}

const isLocked = (path, name) =>
  placesFor(path).some((place) => lock.packages[`${place ? `${place}/` : ''}node_modules/${name}`])

for (const [path, entry] of Object.entries(lock.packages)) {
  for (const name of Object.keys(entry.optionalDependencies ?? {})) {
    if (!isLocked(path, name)) delete entry.optionalDependencies[name]
  }
}
writeFileSync('package-lock.json', `${JSON.stringify(lock, null, 2)}\n`)
