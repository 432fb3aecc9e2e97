import { existsSync } from 'node:fs'
import { open, readdir, readFile, rename, rm } from 'node:fs/promises'
import { dirname, join, relative, sep } from 'node:path'
import { DATABASE_FILE } from '../database/claim-folder'
import { connect, type Connection } from '../database/connection'
import { OptionsError } from '../options/options'
import { checkSound, CREATE_TABLES, FILES, FOLDERS, ORIGIN } from './format'

/** Ends the name of a backup while it is being written. */
const UNFINISHED = '.part'
/** A codebase may be replaced between the copy of the database and that of the files; then both are taken once more. */
const MOST_TRIES = 5

const missing = (error: unknown): boolean => (error as NodeJS.ErrnoException).code === 'ENOENT'

const copyFiles = async (data: string, copy: Connection): Promise<void> => {
  const insert = copy.prepare(`INSERT INTO ${FILES} VALUES (?, ?)`)
  for (const folder of FOLDERS) {
    const from = join(data, folder)
    if (!existsSync(from)) continue
    const entries = await readdir(from, { recursive: true, withFileTypes: true })
    // Links are not followed: what they lead to is not ours to keep.
    for (const entry of entries.filter((one) => one.isFile())) {
      const full = join(entry.parentPath, entry.name)
      insert.run(relative(data, full).split(sep).join('/'), await readFile(full))
    }
  }
}

/** Whether the files of all codebases that were sent, as the copy names them, are in it. */
const hasAllFiles = (copy: Connection, data: string): boolean => {
  const uploads = join(data, 'codebases') + sep
  const folders = copy.prepare('SELECT folder FROM codebases').all() as { folder: string }[]
  const find = copy.prepare(`SELECT 1 FROM ${FILES} WHERE path >= ? AND path < ? LIMIT 1`)
  return folders
    .filter(({ folder }) => folder.startsWith(uploads))
    .every(({ folder }) => {
      const path = relative(data, folder).split(sep).join('/')
      return find.all(`${path}/`, `${path}0`).length > 0
    })
}

const write = async (data: string, file: string): Promise<boolean> => {
  const source = await connect(join(data, DATABASE_FILE), { fileMustExist: true })
  try {
    await source.backup(file)
  } finally {
    source.close()
  }
  const copy = await connect(file, { fileMustExist: true })
  try {
    // One file, without a log beside it.
    copy.pragma('journal_mode = DELETE')
    copy.pragma('synchronous = FULL')
    copy.exec('BEGIN')
    copy.exec(CREATE_TABLES)
    copy.prepare(`INSERT INTO ${ORIGIN} VALUES (?, ?)`).run(data, Date.now())
    try {
      await copyFiles(data, copy)
    } catch (error) {
      // A codebase was replaced while it was read.
      if (missing(error)) return false
      throw error
    }
    copy.exec('COMMIT')
    checkSound(copy, file)
    return hasAllFiles(copy, data)
  } finally {
    copy.close()
  }
}

const flushFolder = async (folder: string): Promise<void> => {
  const handle = await open(folder, 'r')
  try {
    await handle.sync()
  } finally {
    await handle.close()
  }
}

/**
 * Writes a backup of a folder of data, also while a server uses it. The file is there when all of it is on the disk, and
 * not before. Throws OptionsError where it cannot be written, or is there already.
 */
export const backUp = async (data: string, file: string): Promise<void> => {
  if (!existsSync(join(data, DATABASE_FILE)))
    throw new OptionsError(`${data} has no database. Name the folder of the data with --data.`)
  if (existsSync(file)) throw new OptionsError(`${file} is there already. Choose another name.`)
  if (!existsSync(dirname(file)))
    throw new OptionsError(`The folder ${dirname(file)} is not there.`)
  const unfinished = file + UNFINISHED
  const clear = (): Promise<unknown> =>
    Promise.all(['', '-journal', '-wal'].map((end) => rm(unfinished + end, { force: true })))
  try {
    for (let tries = 1; ; tries++) {
      await clear()
      if (await write(data, unfinished)) break
      if (tries === MOST_TRIES)
        throw new OptionsError(`The codebases of ${data} change all the time. Try again later.`)
    }
    await rename(unfinished, file)
    await flushFolder(dirname(file))
  } finally {
    await clear()
  }
}
