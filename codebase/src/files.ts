import { createHash } from 'node:crypto'
import { readdirSync, readFileSync, statSync } from 'node:fs'
import { extname, join } from 'node:path'
import ignoring from 'ignore'
import { readInside } from './folder.js'

export type SourceFile = {
  /** From the root of the codebase, with `/`. */
  readonly path: string
  readonly text: string
  /** SHA-256 of the text: files that have the same are the same. */
  readonly hash: string
}

export type SkippedFile = { readonly path: string; readonly message: string }

/** What is read of a codebase, by the end of a file's name. */
const READ: ReadonlySet<string> = new Set([
  '.css',
  '.cts',
  '.dart',
  '.html',
  '.js',
  '.json',
  '.jsx',
  '.mjs',
  '.mts',
  '.scss',
  '.ts',
  '.tsx',
  '.vue',
  '.yaml',
])
/** What Prettier is told has no ending. */
const isRead = (name: string): boolean => READ.has(extname(name)) || name === '.prettierrc'

/** Folders that hold nothing a person wrote, whatever the ignore files say. */
const NEVER: ReadonlySet<string> = new Set([
  '.dart_tool',
  '.git',
  '.next',
  '.nuxt',
  '.svn',
  'bower_components',
  'build',
  'coverage',
  'dist',
  'node_modules',
  'storybook-static',
])
const IGNORE_FILES = ['.gitignore', '.ignore']
/** Signs that would end the text in which an import names a file. */
const ODD = /["'`\\\n\r]/
/** Larger files were made by a program. */
export const LARGEST_BYTES = 1_000_000
const MOST_FILES = 50_000

const createRules = ignoring.default

type Rules = { readonly below: string; readonly rules: ReturnType<typeof createRules> }

const readRules = (folder: string, below: string): readonly Rules[] =>
  IGNORE_FILES.flatMap((name) => {
    const text = readInside(folder, name)
    return text === undefined ? [] : [{ below, rules: createRules().add(text) }]
  })

const isIgnored = (path: string, all: readonly Rules[]): boolean =>
  all.some(({ below, rules }) => rules.ignores(path.slice(below.length)))

/**
 * Tells of paths in a codebase, from its root and with `/`, whether a scan reads them or what is in them. Ignore files are
 * read when a folder is first asked for.
 */
export const createFilter = (root: string): ((path: string, isFolder: boolean) => boolean) => {
  const known = new Map<string, readonly Rules[]>()
  const rulesIn = (below: string): readonly Rules[] => {
    const found = known.get(below)
    if (found) return found
    const outer =
      below === '' ? [] : rulesIn(below.slice(0, below.lastIndexOf('/', below.length - 2) + 1))
    const rules = [...outer, ...readRules(join(root, below), below)]
    known.set(below, rules)
    return rules
  }
  return (path, isFolder) => {
    const at = path.lastIndexOf('/') + 1
    const name = path.slice(at)
    const isOne = isFolder ? !NEVER.has(name) : isRead(name)
    return isOne && !isIgnored(isFolder ? `${path}/` : path, rulesIn(path.slice(0, at)))
  }
}

/**
 * The files of a codebase that can say something of its components, in the order of their paths. Ignore files are
 * heeded, links are not followed, nothing outside of `root` is read.
 */
export const readSources = (
  root: string,
): { readonly files: readonly SourceFile[]; readonly skipped: readonly SkippedFile[] } => {
  const files: SourceFile[] = []
  const skipped: SkippedFile[] = []
  const isWanted = createFilter(root)
  const visit = (below: string): void => {
    const entries = readdirSync(join(root, below), { withFileTypes: true }).sort((a, b) =>
      a.name < b.name ? -1 : 1,
    )
    for (const entry of entries) {
      const path = `${below}${entry.name}`
      if (entry.isDirectory()) {
        if (isWanted(path, true)) visit(`${path}/`)
        continue
      }
      if (!entry.isFile() || !isWanted(path, false)) continue
      if (ODD.test(path)) {
        skipped.push({ path, message: 'Its name has signs that no import can have.' })
        continue
      }
      if (files.length >= MOST_FILES) {
        throw new Error(`${root} has more than ${MOST_FILES} files; scan a smaller folder.`)
      }
      if (statSync(join(root, path)).size > LARGEST_BYTES) {
        skipped.push({ path, message: 'It is larger than 1 MB, and was not read.' })
        continue
      }
      const text = readFileSync(join(root, path), 'utf8')
      files.push({ path, text, hash: createHash('sha256').update(text).digest('hex') })
    }
  }
  visit('')
  return { files, skipped }
}
