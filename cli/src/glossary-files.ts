import { existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import {
  createCache,
  readCache,
  scanCodebase,
  watchCodebase,
  withPackages,
  writeCache,
  type ScanCache,
} from '@unimorph/codebase'
import { LeadsOutside, writeInside } from '@unimorph/codebase/folder'
import {
  EMPTY_GLOSSARY,
  GLOSSARY_FILE,
  readGlossary,
  writeGlossary,
  type Codebase,
  type Glossary,
} from '@unimorph/core'
import { describeSystemError, Failure } from './failure.js'
import { readJson } from './read-json.js'

const isFolder = (path: string): boolean => {
  try {
    return statSync(path).isDirectory()
  } catch (error) {
    throw new Failure(`${path}: cannot be read, ${describeSystemError(error)}.`)
  }
}

const checkFolder = (folder: string): string => {
  const root = resolve(folder)
  if (!isFolder(root)) throw new Failure(`${folder}: it is no folder.`)
  return root
}

/** What is known from the scan before lies where tools keep such things, if the codebase has that place. */
const cachePathOf = (root: string): string | undefined =>
  existsSync(join(root, 'node_modules'))
    ? join(root, 'node_modules', '.cache', 'unimorph', 'scan.json')
    : undefined

/**
 * Calls `onChange` whenever what a scan reads of a codebase has changed. Resolves once every change from then on is seen; goes
 * on for as long as the program does.
 */
export const watchFolder = (folder: string, onChange: () => void): Promise<void> =>
  watchCodebase(checkFolder(folder), onChange, (problem) =>
    console.error(`Changes cannot be seen: ${problem}`),
  ).ready

/** What is known of a codebase from the scan before; nothing where there was none. */
export const openCache = (folder: string): ScanCache => {
  const path = cachePathOf(checkFolder(folder))
  return path !== undefined && existsSync(path)
    ? readCache(readFileSync(path, 'utf8'))
    : createCache()
}

/**
 * Scans a codebase, and the component libraries that are named. Nothing of either is executed. Who scans more than once keeps
 * the cache.
 */
export const scanFolder = async (
  folder: string,
  packages: readonly string[] = [],
  cache = openCache(folder),
): Promise<Codebase> => {
  const root = checkFolder(folder)
  const path = cachePathOf(root)
  const codebase = await scanCodebase(root, cache)
  if (path !== undefined) {
    try {
      mkdirSync(dirname(path), { recursive: true })
      writeFileSync(path, writeCache(cache))
    } catch {
      // A folder that cannot be written is scanned anew the next time.
    }
  }
  return withPackages(codebase, root, packages, cache)
}

/** The glossary of a codebase; an empty one where it has none yet. */
export const findGlossary = (folder: string): Glossary => {
  const path = join(folder, GLOSSARY_FILE)
  if (!existsSync(path)) return EMPTY_GLOSSARY
  const read = readGlossary(readJson(path), path)
  if (read.ok) return read.value
  throw new Failure(read.notes.map(({ message, help }) => `${message} ${help}`).join('\n'))
}

/** Writes the glossary of a codebase. */
export const saveGlossary = (folder: string, glossary: Glossary): string => {
  const path = join(folder, GLOSSARY_FILE)
  try {
    writeInside(folder, GLOSSARY_FILE, writeGlossary(glossary))
  } catch (error) {
    if (error instanceof LeadsOutside) throw new Failure(error.message)
    throw new Failure(`${path}: cannot be written, ${describeSystemError(error)}.`)
  }
  return path
}
