import { connect, type Connection } from '../database/connection'
import { OptionsError } from '../options/options'

/**
 * A backup is one SQLite file: the database as it was at one moment, and two tables more, with the files that lie beside
 * it and with where they lay.
 */
export const FILES = 'backup_files'
export const ORIGIN = 'backup_origin'

export const CREATE_TABLES = `
  CREATE TABLE ${FILES} (path TEXT PRIMARY KEY, bytes BLOB NOT NULL);
  CREATE TABLE ${ORIGIN} (data TEXT NOT NULL, made_at INTEGER NOT NULL);
`

/** What lies in the folder of the data beside the database: codebases that were sent, and the demo's. */
export const FOLDERS = ['codebases', 'demo-codebases'] as const

/** Throws where SQLite finds the file damaged. */
export const checkSound = (database: Connection, file: string): void => {
  const [said] = database.pragma('quick_check') as readonly { quick_check: string }[]
  if (said?.quick_check !== 'ok')
    throw new OptionsError(`${file} is damaged: ${String(said?.quick_check)}`)
}

/** Opens a backup; throws OptionsError where the file is none. */
export const openBackup = async (file: string): Promise<Connection> => {
  const refuse = (why: string): OptionsError =>
    new OptionsError(`${file} is no backup of Unimorph: ${why}.`)
  let database: Connection | undefined
  try {
    database = await connect(file, { fileMustExist: true, readonly: true })
    const tables = database
      .prepare(`SELECT name FROM sqlite_master WHERE type = 'table' AND name IN (?, ?)`)
      .all(FILES, ORIGIN)
    if (tables.length !== 2) throw refuse('it lacks the tables of one')
    checkSound(database, file)
    return database
  } catch (error) {
    database?.close()
    throw error instanceof OptionsError ? error : refuse((error as Error).message)
  }
}
