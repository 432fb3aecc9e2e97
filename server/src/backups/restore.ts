import { existsSync } from 'node:fs'
import { copyFile, mkdir, rename, rm } from 'node:fs/promises'
import { join, resolve, sep } from 'node:path'
import { checkDatabase, DATABASE_FILE } from '../database/claim-folder'
import { connect, type Connection } from '../database/connection'
import { FILES, FOLDERS, openBackup, ORIGIN } from './format'

/** What a folder of data consists of. */
const PARTS = [DATABASE_FILE, `${DATABASE_FILE}-wal`, `${DATABASE_FILE}-shm`, ...FOLDERS]

const unpackFiles = async (from: Connection, folder: string): Promise<void> => {
  const { writeInside } = await import('@unimorph/codebase/folder')
  const files = from.prepare(`SELECT path, bytes FROM ${FILES}`)
  for (const row of files.iterate()) {
    const { path, bytes } = row as { path: string; bytes: Buffer }
    writeInside(folder, path, bytes)
  }
}

/** Codebases are named by their whole paths: those that lay in the folder of the data lie in this one now. */
const relocate = (database: Connection, from: string, to: string): void => {
  database
    .prepare(
      `UPDATE codebases SET folder = ? || substr(folder, length(?) + 1)
       WHERE substr(folder, 1, length(?) + 1) = ? || ?`,
    )
    .run(to, from, from, from, sep)
}

/**
 * Puts a backup in the place of what is in a folder of data, which no server may use. What was there is kept: returns the
 * folder it was moved to, or nothing where there was none. Throws OptionsError where the file is no backup.
 */
export const restore = async (file: string, folder: string): Promise<string | undefined> => {
  const data = resolve(folder)
  const made = join(data, 'restoring')
  const backup = await openBackup(file)
  try {
    await rm(made, { recursive: true, force: true })
    await mkdir(made, { recursive: true })
    await unpackFiles(backup, made)
    const [origin] = backup.prepare(`SELECT data FROM ${ORIGIN}`).all() as { data: string }[]
    await copyFile(file, join(made, DATABASE_FILE))
    const database = await connect(join(made, DATABASE_FILE), { fileMustExist: true })
    try {
      relocate(database, origin!.data, data)
      database.exec(`DROP TABLE ${FILES}; DROP TABLE ${ORIGIN}; VACUUM;`)
    } finally {
      database.close()
    }
    await checkDatabase(made)
  } catch (error) {
    await rm(made, { recursive: true, force: true })
    throw error
  } finally {
    backup.close()
  }
  const old = PARTS.filter((name) => existsSync(join(data, name)))
  const stamp = new Date().toISOString().replace(/[:.]/g, '-')
  const kept = join(data, `before-restore-${stamp}`)
  if (old.length > 0) await mkdir(kept)
  for (const name of old) await rename(join(data, name), join(kept, name))
  for (const name of PARTS.filter((one) => existsSync(join(made, one))))
    await rename(join(made, name), join(data, name))
  await rm(made, { recursive: true, force: true })
  return old.length > 0 ? kept : undefined
}
