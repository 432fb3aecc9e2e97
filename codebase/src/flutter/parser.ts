import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { Language, Parser } from 'web-tree-sitter'

const own = createRequire(import.meta.url)
let ready: Parser | undefined

/** Reads the grammar of Dart, once; what reads Dart asks for this first. */
export const loadDart = async (): Promise<void> => {
  if (ready) return
  await Parser.init()
  const grammar = own.resolve('tree-sitter-wasms/out/tree-sitter-dart.wasm')
  const parser = new Parser()
  parser.setLanguage(await Language.load(readFileSync(grammar)))
  ready = parser
}

/** The parser of Dart, after `loadDart`. */
export const dartParser = (): Parser => {
  if (!ready) throw new Error('The grammar of Dart was not loaded.')
  return ready
}
