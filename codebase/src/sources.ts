import { readFileSync, realpathSync, statSync } from 'node:fs'
import { join, posix, relative, resolve, sep } from 'node:path'
import { LARGEST_BYTES } from './files.js'
import { readAliases } from './typescript/options.js'

const ENDS = [
  '',
  '.ts',
  '.tsx',
  '.js',
  '.jsx',
  '.mjs',
  '.vue',
  '/index.ts',
  '/index.tsx',
  '/index.js',
]

/** The files of a codebase, as code in it names them. */
export type Sources = {
  /** The text of a file by its path from the root; undefined for what is none, too large, or outside. */
  read(path: string): string | undefined
  /** What an import leads to, as a path from the root; undefined for packages and for what there is not. */
  find(specifier: string, from: string): string | undefined
}

/** Opens a codebase for reading. Nothing outside of its folder is read, whatever paths and links say. */
export const openSources = (folder: string): Sources => {
  const root = realpathSync(resolve(folder))
  const aliases = readAliases(root)
  const read = (path: string): string | undefined => {
    try {
      const real = realpathSync(join(root, path))
      const inside = relative(root, real)
      if (inside.startsWith('..') || inside.split(sep).includes('node_modules')) return undefined
      const { size } = statSync(real)
      return size > LARGEST_BYTES ? undefined : readFileSync(real, 'utf8')
    } catch {
      return undefined
    }
  }
  return {
    read,
    find(specifier, from) {
      const alias = aliases.find(({ before }) => specifier.startsWith(before))
      const path = specifier.startsWith('.')
        ? posix.join(posix.dirname(from), specifier)
        : alias && posix.join(alias.folder, specifier.slice(alias.before.length))
      if (path === undefined) return undefined
      return ENDS.map((end) => path + end).find((name) => read(name) !== undefined)
    },
  }
}

/** What code names that is in other files: imports, style sheets, templates. */
const NAMED =
  /(?:\bfrom\s*|\bimport\s*\(?\s*|@import\s+(?:url\()?|\b(?:templateUrl|styleUrl)\s*:\s*|\bstyleUrls\s*:\s*\[\s*|<script[^>]*\bsrc=)["']([^"'\n]+)["']/g

/** The files that some files of others need of a codebase, each once, with all that those need themselves. */
export const findReachable = (
  files: ReadonlyMap<string, string>,
  sources: Sources,
): ReadonlyMap<string, string> => {
  const found = new Map<string, string>()
  const open = [...files]
  for (const [path, text] of open) {
    for (const [, specifier] of text.matchAll(NAMED)) {
      const own = sources.find(specifier!, path) ?? sources.find(`./${specifier!}`, path)
      if (own === undefined || files.has(own) || found.has(own)) continue
      const content = sources.read(own)!
      found.set(own, content)
      open.push([own, content])
    }
  }
  return found
}
