import {
  lstatSync,
  mkdirSync,
  readFileSync,
  realpathSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { basename, dirname, join, resolve, sep } from 'node:path'

/** Whether a path is a folder, or lies in it; both as `realpath` gives them. */
export const isInside = (root: string, path: string): boolean =>
  path === root || path.startsWith(root.endsWith(sep) ? root : root + sep)

/** Where a path leads when links are followed; undefined where it leads nowhere. */
export const realPathOf = (path: string): string | undefined => {
  try {
    return realpathSync(path)
  } catch {
    return undefined
  }
}

/** The text of a file of a folder; undefined where there is none, or where links lead out of the folder. */
export const readInside = (folder: string, path: string): string | undefined => {
  const root = realPathOf(folder)
  const real = realPathOf(join(folder, path))
  if (root === undefined || real === undefined || !isInside(root, real)) return undefined
  try {
    return readFileSync(real, 'utf8')
  } catch {
    return undefined
  }
}

/** Something that would be written to lies behind a link that leads out of its folder, or nowhere. */
export class LeadsOutside extends Error {
  constructor(readonly path: string) {
    super(`${path} is a link that leads out of its folder.`)
  }
}

const isLink = (path: string): boolean => {
  try {
    return lstatSync(path).isSymbolicLink()
  } catch {
    return false
  }
}

/** The nearest folder around a path that is there, as its entry is: a link that leads nowhere is there. */
const nearestThere = (path: string): string => {
  for (let at = path; ; at = dirname(at)) {
    if (isLink(at) || realPathOf(at) !== undefined || dirname(at) === at) return at
  }
}

/**
 * Writes a file of a folder, with the folders it stands in. It is there as a whole or as it was before. Throws
 * LeadsOutside where a link on the way leads out of the folder, and where the file itself is such a link.
 */
export const writeInside = (folder: string, path: string, content: string | Uint8Array): void => {
  const root = resolve(folder)
  const full = resolve(root, path)
  if (!isInside(root, full) || full === root) throw new LeadsOutside(full)
  mkdirSync(root, { recursive: true })
  const real = realpathSync(root)
  for (const one of [dirname(full), full]) {
    const there = nearestThere(one)
    const leads = realPathOf(there)
    if (leads === undefined || !isInside(real, leads)) throw new LeadsOutside(there)
  }
  mkdirSync(dirname(full), { recursive: true })
  // A link inside of the folder is kept, and what it leads to is written.
  const target = isLink(full) ? realpathSync(full) : full
  const part = join(dirname(target), `.${basename(target)}.${String(process.pid)}.part`)
  try {
    writeFileSync(part, content, { flag: 'wx' })
    renameSync(part, target)
  } catch (error) {
    rmSync(part, { force: true })
    throw error
  }
}
