import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { Language, Parser } from 'web-tree-sitter'
import { findSyntaxError, toSyntax, type ParsedNode, type Syntax } from './syntax.js'

/** Reads Dart with the grammar that previews use. */
export const createDartParser = async (): Promise<(code: string) => Syntax> => {
  await Parser.init()
  const grammar = createRequire(__filename).resolve('tree-sitter-wasms/out/tree-sitter-dart.wasm')
  const parser = new Parser()
  parser.setLanguage(await Language.load(readFileSync(grammar)))
  return (code) => {
    const root = parser.parse(code)!.rootNode as unknown as ParsedNode
    const problem = findSyntaxError(root)
    if (problem) throw new Error(`${String(problem.line)}: ${problem.message}\n${code}`)
    return toSyntax(root)
  }
}
