import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { OptionsError } from '../options/options'
import { connect, type Connection } from './connection'
import { MIGRATIONS } from './database'
import { storageCode } from './storage-error'

export const DATABASE_FILE = 'unimorph.sqlite'
const LOCK_FILE = 'unimorph.lock'

/** Locks live as long as the program: one that nothing refers to would be closed. */
const held: Connection[] = []

/**
 * Makes sure that this server is the only one on a folder, until it ends: the lock is the system's own on a file, which
 * nothing leaves behind, not even a crash. Throws OptionsError where another server has it.
 */
export const claimFolder = async (data: string): Promise<void> => {
  const lock = await connect(join(data, LOCK_FILE), { timeout: 0 })
  try {
    lock.exec('BEGIN EXCLUSIVE')
    held.push(lock)
  } catch (error) {
    lock.close()
    if (!storageCode(error)?.startsWith('SQLITE_BUSY')) throw error
    throw new OptionsError(
      `Another Unimorph server uses ${data}. Stop it, or choose another folder with --data.`,
    )
  }
}

/** Throws OptionsError where the database of a folder cannot be read, or has been changed by a newer version. */
export const checkDatabase = async (data: string): Promise<void> => {
  const file = join(data, DATABASE_FILE)
  if (!existsSync(file)) return
  let names: readonly string[]
  try {
    const database = await connect(file, { fileMustExist: true })
    try {
      names = migrationsIn(database)
    } finally {
      database.close()
    }
  } catch (error) {
    throw new OptionsError(
      `The database ${file} cannot be read (${(error as Error).message}). Restore it from a copy, or choose another folder with --data.`,
    )
  }
  const known = new Set(MIGRATIONS.map(({ name }) => name))
  if (names.every((name) => known.has(name))) return
  throw new OptionsError(
    `The database ${file} was made by a newer version of Unimorph. Start that one, or choose another folder with --data.`,
  )
}

const migrationsIn = (database: Connection): readonly string[] => {
  const has = database
    .prepare(`SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'migrations'`)
    .all()
  if (has.length === 0) return []
  return (database.prepare('SELECT name FROM migrations').all() as { name: string }[]).map(
    ({ name }) => name,
  )
}
