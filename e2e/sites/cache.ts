import { createHash } from 'node:crypto'
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs'
import { join, resolve } from 'node:path'

const ROOT = resolve(import.meta.dirname, '../..')
const STORE = join(ROOT, '.cache/sites')
/** Entries that were not used for so long are removed. */
const KEPT_MS = 14 * 24 * 3600 * 1000
/** How often a worker looks whether another has made what both want. */
const LOOK_MS = 50

export const hashOf = (...parts: readonly (string | Uint8Array)[]): string => {
  const hash = createHash('sha256')
  for (const part of parts) hash.update(part).update('\0')
  return hash.digest('hex').slice(0, 32)
}

/** All files in a folder and below it, sorted. */
export const listFiles = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .sort()

/** Changes whenever the code of a built package does. */
export const hashOfBuilt = (...packages: readonly string[]): string =>
  hashOf(
    ...packages
      .flatMap((name) => listFiles(join(ROOT, name, 'dist')))
      .filter((path) => path.endsWith('.js'))
      .flatMap((path) => [path.slice(ROOT.length), readFileSync(path)]),
  )

/** The versions of everything that builds: Node's, and those of the lock file. */
export const hashOfTools = (): string =>
  hashOf(process.version, readFileSync(join(ROOT, 'package-lock.json')))

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0)
    return true
  } catch {
    return false
  }
}

/** Takes the right to make an entry; false when a living process has it. */
const takeLock = (lock: string): boolean => {
  try {
    writeFileSync(lock, String(process.pid), { flag: 'wx' })
    return true
  } catch {
    const holder = Number(existsSync(lock) ? readFileSync(lock, 'utf8') : 0)
    if (holder > 0 && !isAlive(holder)) rmSync(lock, { force: true })
    return false
  }
}

/** What the entries of this run came from: taken as they were, or made anew. */
const count = (what: 'hits' | 'misses'): void => {
  const file = process.env['UNIMORPH_SITE_COUNTS']
  if (file !== undefined) writeFileSync(file, `${what}\n`, { flag: 'a' })
}

/**
 * A folder that is made once for each key. `make` fills an empty folder; another process that wants the same entry waits for
 * it. An entry appears whole or not at all.
 */
export const cached = async (
  key: string,
  make: (folder: string) => Promise<void>,
): Promise<string> => {
  const entry = join(STORE, key)
  const lock = `${entry}.lock`
  mkdirSync(STORE, { recursive: true })
  while (!existsSync(entry)) {
    if (!takeLock(lock)) {
      await new Promise((done) => setTimeout(done, LOOK_MS))
      continue
    }
    try {
      if (existsSync(entry)) break
      count('misses')
      const draft = `${entry}.draft`
      rmSync(draft, { recursive: true, force: true })
      mkdirSync(draft)
      await make(draft)
      renameSync(draft, entry)
      return entry
    } finally {
      rmSync(lock, { force: true })
    }
  }
  count('hits')
  const now = new Date()
  utimesSync(entry, now, now)
  return entry
}

/** Removes entries that no run has used for a while. */
export const prune = (): void => {
  if (!existsSync(STORE)) return
  for (const name of readdirSync(STORE)) {
    const path = join(STORE, name)
    if (Date.now() - statSync(path).mtimeMs > KEPT_MS)
      rmSync(path, { recursive: true, force: true })
  }
}
