import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { packagesOf, type Codebase, type EmittedFile, type Glossary } from '@unimorph/core'
import { findGlossary, scanFolder } from './glossary-files.js'

/** The glossary of a codebase with what it speaks of. */
export const readCodebase = async (
  folder: string,
): Promise<{ readonly entries: Glossary; readonly codebase: Codebase }> => {
  const entries = findGlossary(folder)
  return { entries, codebase: await scanFolder(folder, packagesOf(entries)) }
}

const textOf = ({ content }: EmittedFile): string => (content.kind === 'text' ? content.text : '')

type Manifest = Partial<Record<'dependencies' | 'devDependencies', Record<string, string>>>

const needsOf = (text: string): Readonly<Record<string, string>> => {
  try {
    const { dependencies, devDependencies } = JSON.parse(text) as Manifest
    return { ...dependencies, ...devDependencies }
  } catch {
    return {}
  }
}

/** What builds, formats and looks through a project: a codebase has its own. */
const TOOLS =
  /^(prettier|typescript|vite|@vitejs\/.*|@angular\/(cli|build).*|(@|.*-)?eslint.*|globals)$/

/** The packages the screens need and the codebase has not. */
const missingIn = (folder: string, files: readonly EmittedFile[]): readonly string[] => {
  const own = files.find(({ path }) => path === 'package.json')
  const theirs = join(folder, 'package.json')
  if (!own || !existsSync(theirs)) return []
  const has = needsOf(readFileSync(theirs, 'utf8'))
  return Object.entries(needsOf(textOf(own)))
    .filter(([name]) => !Object.hasOwn(has, name) && !TOOLS.test(name))
    .map(([name, version]) => `${name}@${version}`)
}

/**
 * What of a delivery goes into a codebase that is there already: not how a project is built, and where its app begins only
 * if it begins nowhere yet. `kept` tells in sentences what is left to do by hand.
 */
export const forCodebase = (
  folder: string,
  delivered: readonly EmittedFile[],
): { readonly files: readonly EmittedFile[]; readonly kept: readonly string[] } => {
  const isThere = ({ path }: EmittedFile): boolean => existsSync(join(folder, path))
  const own = delivered.filter(({ role }) => role !== 'scaffold')
  const kept = own.filter((file) => file.role === 'entry' && isThere(file))
  const missing = missingIn(folder, delivered)
  return {
    files: own.filter((file) => !kept.includes(file)),
    kept: [
      ...kept.map(({ path }) => `${path} is the codebase's own: add the screens to it by hand`),
      ...(missing.length > 0 ? [`the screens need: npm install ${missing.join(' ')}`] : []),
    ],
  }
}
