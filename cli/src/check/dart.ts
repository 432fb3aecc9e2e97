import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { EmittedFile } from '@unimorph/core'
import { checkDartCode, layOutDart, type DartFile } from '@unimorph/flutter-stand-in/check'
import { findSyntaxError, toSyntax, type ParsedNode } from '@unimorph/flutter-stand-in/syntax'
import { Language, Parser } from 'web-tree-sitter'
import type { Fault } from './fault.js'

const GRAMMAR = createRequire(import.meta.url).resolve(
  'tree-sitter-wasms/out/tree-sitter-dart.wasm',
)

/** So many of the widgets around a fault are named. */
const LAST = 8

let parser: Promise<Parser> | undefined

const loadParser = async (): Promise<Parser> => {
  await Parser.init()
  const made = new Parser()
  made.setLanguage(await Language.load(readFileSync(GRAMMAR)))
  return made
}

/**
 * Checks Dart without Flutter's own tools: what is written, and, if asked, also whether every screen can be laid out,
 * which takes longer.
 */
export const dartFaults = async (
  files: readonly EmittedFile[],
  { lays = true }: { readonly lays?: boolean } = {},
): Promise<readonly Fault[]> => {
  parser ??= loadParser()
  const dart = await parser
  const faults: Fault[] = []
  const parsed: DartFile[] = []
  for (const { path, content } of files) {
    if (content.kind !== 'text' || !path.endsWith('.dart')) continue
    const tree = dart.parse(content.text)!
    const root = tree.rootNode as unknown as ParsedNode
    const problem = findSyntaxError(root)
    if (problem) faults.push({ file: path, ...problem })
    else parsed.push({ path, syntax: toSyntax(root) })
    tree.delete()
  }
  const found = [...checkDartCode(parsed), ...(lays ? layOutDart(parsed) : [])]
  for (const { path, line, message, where } of found) {
    const near = where === undefined ? '' : ` In ${where.split('/').slice(-LAST).join('/')}`
    faults.push({ file: path, line, message: message + near })
  }
  return faults
}
