import { existsSync, readdirSync, realpathSync } from 'node:fs'
import { join, resolve, sep } from 'node:path'

/** Where codebases may be read, and where those that are sent are kept. */
export type CodebaseFolders = {
  /** Folders that were allowed when the server was started. */
  readonly allowed: readonly string[]
  /** Folder of the demo's codebases, one for each target; absent without the demo. */
  readonly demo?: string
  readonly uploads: string
}

export const CODEBASE_FOLDERS = Symbol('codebase folders')

/** A folder with one of these is a codebase. */
const MARKS = ['package.json', 'pubspec.yaml', 'unimorph.glossary.json']

const isCodebase = (folder: string): boolean => MARKS.some((name) => existsSync(join(folder, name)))

/** The codebases one may choose from: the folders that are allowed, or what is in them. */
export const listCodebases = ({ allowed, demo }: CodebaseFolders): readonly string[] =>
  [...allowed, ...(demo === undefined ? [] : [demo])].flatMap((root) => {
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
export const isAllowed = (folder: string, { allowed, demo, uploads }: CodebaseFolders): boolean => {
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
    [...allowed, ...(demo === undefined ? [] : [demo]), uploads].some((root) => {
      const base = real(root)
      return base !== undefined && (own === base || own.startsWith(base + sep))
    })
  )
}
