import { existsSync, readdirSync, readFileSync, realpathSync } from 'node:fs'
import { basename, join, resolve, sep } from 'node:path'

/** Where codebases may be read, and where those that are sent are kept. */
export type CodebaseFolders = {
  /** Folders that were allowed when the server was started. */
  readonly allowed: readonly string[]
  readonly uploads: string
}

export const CODEBASE_FOLDERS = Symbol('codebase folders')

/** A folder with one of these is a codebase. */
const MARKS = ['package.json', 'pubspec.yaml', 'unimorph.glossary.json']

const isCodebase = (folder: string): boolean => MARKS.some((name) => existsSync(join(folder, name)))

/** What a codebase calls itself; its folder where it does not say. */
export const nameOfCodebase = (folder: string): string => {
  const pubspec = join(folder, 'pubspec.yaml')
  try {
    if (existsSync(pubspec)) {
      return /^name:\s*(\w+)/m.exec(readFileSync(pubspec, 'utf8'))?.[1] ?? basename(folder)
    }
    const { name } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8')) as {
      name?: unknown
    }
    return typeof name === 'string' && name !== '' ? name : basename(folder)
  } catch {
    return basename(folder)
  }
}

/** The codebases one may choose from: the folders that are allowed, or what is in them. */
export const listCodebases = ({ allowed }: CodebaseFolders): readonly string[] =>
  allowed.flatMap((root) => {
    if (isCodebase(root)) return [resolve(root)]
    try {
      return readdirSync(root, { withFileTypes: true })
        .filter((entry) => entry.isDirectory() && isCodebase(join(root, entry.name)))
        .map((entry) => resolve(root, entry.name))
        .sort()
    } catch {
      return []
    }
  })

/** Whether a folder lies in one that is allowed, whatever links say. */
export const isAllowed = (folder: string, { allowed, uploads }: CodebaseFolders): boolean => {
  const real = (path: string): string | undefined => {
    try {
      return realpathSync(path)
    } catch {
      return undefined
    }
  }
  const own = real(folder)
  return (
    own !== undefined &&
    [...allowed, uploads].some((root) => {
      const base = real(root)
      return base !== undefined && (own === base || own.startsWith(base + sep))
    })
  )
}
