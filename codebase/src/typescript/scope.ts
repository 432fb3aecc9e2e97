import { dirname, resolve, sep } from 'node:path'
import { fileURLToPath } from 'node:url'
import ts from 'typescript'
import { isInside, realPathOf } from '../folder.js'

/** What the compiler asks of the system, in one place that knows what may be read. */
export type Scope = Pick<
  ts.System,
  'fileExists' | 'readFile' | 'directoryExists' | 'getDirectories'
>

const MODULES = `${sep}node_modules${sep}`

/** The folders around a path, from the inside out. */
const around = (path: string): readonly string[] => {
  const parent = dirname(path)
  return parent === path ? [path] : [path, ...around(parent)]
}

/** Where the compiler, its library and the types that are at hand are installed. */
const OURS = around(dirname(fileURLToPath(import.meta.url)))

/**
 * The system as the compiler may see it: the folders in `roots`, and packages that are installed for them, or for us. An
 * import, a path or a base of settings that leads elsewhere leads nowhere.
 */
export const createScope = (roots: readonly string[]): Scope => {
  const real = roots.flatMap((root) => realPathOf(root) ?? [])
  const installed = [...roots, ...real, ...OURS]
    .flatMap((folder) => around(resolve(folder)))
    .map((folder) =>
      folder.endsWith(sep) ? `${folder}node_modules` : `${folder}${sep}node_modules`,
    )
  const places = new Set([...roots.map((root) => resolve(root)), ...real, ...installed])
  const isIn = (path: string): boolean => around(path).some((folder) => places.has(folder))
  const known = new Map<string, boolean>()
  const isAllowed = (path: string): boolean => {
    const full = resolve(path)
    const before = known.get(full)
    if (before !== undefined) return before
    const leads = isIn(full) ? realPathOf(full) : undefined
    const is =
      leads !== undefined &&
      (real.some((root) => isInside(root, leads)) ||
        isIn(leads) ||
        `${leads}${sep}`.includes(MODULES))
    known.set(full, is)
    return is
  }
  return {
    fileExists: (path) => isAllowed(path) && ts.sys.fileExists(path),
    readFile: (path) => (isAllowed(path) ? ts.sys.readFile(path) : undefined),
    directoryExists: (path) => isAllowed(path) && ts.sys.directoryExists(path),
    getDirectories: (path) => (isAllowed(path) ? ts.sys.getDirectories(path) : []),
  }
}
