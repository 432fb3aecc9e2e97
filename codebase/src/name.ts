import { basename, resolve } from 'node:path'
import { readInside } from './folder.js'

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
  const read = (path: string): string | undefined => readInside(folder, path)
  return readName(read) ?? basename(resolve(folder))
}

/** `src/ui/date-field.tsx` and `src/ui/date-field/index.vue` → `DateField`. */
export const nameOfFile = (path: string): string => {
  const parts = path.split('/')
  const file = parts.at(-1)!.replace(/\.([cm]?[jt]sx?|vue)$/, '')
  const word = file === 'index' ? (parts.at(-2) ?? file) : file
  return word.replace(/(^|[-_.])(\w)/g, (_all, _sign, letter: string) => letter.toUpperCase())
}

/** `date-field` → `DateField`. */
export const nameOfTag = (tag: string): string =>
  tag.replace(/(^|-)(\w)/g, (_all, _sign, letter: string) => letter.toUpperCase())
