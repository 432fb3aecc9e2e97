import { randomUUID } from 'node:crypto'
import { mkdir, open, readdir, rename, rm } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { readArchive, type ArchivedFile } from './read-archive'

/** What is being unpacked has this at its end, until all of it is there. */
const UNFINISHED = '.part'

const write = async (folder: string, { path, bytes }: ArchivedFile): Promise<void> => {
  const full = join(folder, path)
  await mkdir(dirname(full), { recursive: true })
  const file = await open(full, 'wx')
  try {
    await file.writeFile(bytes)
    await file.sync()
  } finally {
    await file.close()
  }
}

/** So many files are written at once: each waits until it is on the disk. */
const AT_ONCE = 16

const writeAll = async (folder: string, files: readonly ArchivedFile[]): Promise<void> => {
  for (let i = 0; i < files.length; i += AT_ONCE) {
    const written = files.slice(i, i + AT_ONCE).map((file) => write(folder, file))
    // None is still being written when one has failed and the folder is removed.
    const failed = (await Promise.allSettled(written)).find((one) => one.status === 'rejected')
    if (failed) throw failed.reason
  }
}

/**
 * Unpacks an archive into a new folder of a project, beside the one it may have: that one stays as it is. Returns the
 * folder, which is there with all its files or not at all. Throws BadRequestException for what cannot be unpacked.
 */
export const unpack = async (bytes: Buffer, uploads: string, project: string): Promise<string> => {
  const files = await readArchive(bytes)
  const folder = join(uploads, `${project}-${randomUUID().slice(0, 8)}`)
  const unfinished = folder + UNFINISHED
  try {
    await writeAll(unfinished, files)
    await rename(unfinished, folder)
    return folder
  } catch (error) {
    await rm(unfinished, { recursive: true, force: true })
    throw error
  }
}

/** The folders that are made here, or were by earlier versions: everything else in their place is left alone. */
const OWN = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}(?:-[0-9a-f]{8}(?:\.part)?)?$/

/** Removes what was unpacked and belongs to no project any more; `used`: the folders that do. */
export const removeUnused = async (uploads: string, used: ReadonlySet<string>): Promise<void> => {
  const names = await readdir(uploads).catch(() => [])
  const unused = names
    .filter((name) => OWN.test(name))
    .map((name) => join(uploads, name))
    .filter((folder) => !used.has(folder))
  await Promise.all(unused.map((folder) => rm(folder, { recursive: true, force: true })))
}
