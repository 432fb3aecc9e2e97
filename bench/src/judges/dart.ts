import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { checkDart, type DartFile } from '@unimorph/flutter-stand-in/check'
import { findSyntaxError, toSyntax, type ParsedNode } from '@unimorph/flutter-stand-in/syntax'
import { Language, Parser } from 'web-tree-sitter'
import type { Fault, Judge } from './judge.js'

const GRAMMAR = createRequire(import.meta.url).resolve(
  'tree-sitter-wasms/out/tree-sitter-dart.wasm',
)

/** So many of the widgets around a fault are named. */
const LAST = 8

/** Checks Dart without Flutter's own tools. */
export const dart: Judge = {
  name: 'dart',
  targets: ['flutter'],
  async judge(_folder, projects) {
    await Parser.init()
    const parser = new Parser()
    parser.setLanguage(await Language.load(readFileSync(GRAMMAR)))
    const faults: Fault[] = []
    for (const { name, files } of projects) {
      const parsed: DartFile[] = []
      for (const { path, content } of files) {
        if (content.kind !== 'text' || !path.endsWith('.dart')) continue
        const root = parser.parse(content.text)!.rootNode as unknown as ParsedNode
        const problem = findSyntaxError(root)
        if (problem) faults.push({ file: `${name}/${path}`, line: 0, message: problem })
        else parsed.push({ path, syntax: toSyntax(root) })
      }
      for (const { path, message, where } of checkDart(parsed)) {
        const near = where === undefined ? '' : ` In ${where.split('/').slice(-LAST).join('/')}`
        faults.push({ file: `${name}/${path}`, line: 0, message: message + near })
      }
    }
    return faults
  },
}
