import { readFileSync } from 'node:fs'
import { basename, join, resolve } from 'node:path'

/** What a codebase calls itself in the files that say what it needs; `read` gives a file's text. */
export const readName = (read: (path: string) => string | undefined): string | undefined => {
  const pubspec = read('pubspec.yaml')
  if (pubspec !== undefined) return /^name:\s*(\w+)/m.exec(pubspec)?.[1]
  try {
    const { name } = JSON.parse(read('package.json') ?? '{}') as { name?: unknown }
    return typeof name === 'string' && name !== '' ? name : undefined
  } catch {
    return undefined
  }
}

/** What a codebase in a folder calls itself; the folder's name where it does not say. */
export const nameOfFolder = (folder: string): string => {
  const read = (path: string): string | undefined => {
    try {
      return readFileSync(join(folder, path), 'utf8')
    } catch {
      return undefined
    }
  }
  return readName(read) ?? basename(resolve(folder))
}
