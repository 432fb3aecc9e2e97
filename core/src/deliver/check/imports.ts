import type { FaultFinder } from './fault.js'
import { findReferences } from '../references.js'

const MODULE = /\.(?:[jt]sx?|vue)$/
/** Every relative address that is imported, with or without names, at once or later. */
const IMPORTED = /(?:\bfrom |^import |\bimport\()(["'])(\.{1,2}\/[^"'\n]+)\1/gm
const DART_IMPORT = /^import '(?!package:|dart:)([^':\n]+\.dart)';$/gm

/** Imports of files that are not delivered. */
export const missingImports: FaultFinder = ({ path, text }, paths) => {
  const isDart = path.endsWith('.dart')
  if (!isDart && !MODULE.test(path)) return []
  const known = new Set(findReferences(text, path, paths).map(({ end }) => end))
  return [...text.matchAll(isDart ? DART_IMPORT : IMPORTED)].flatMap((match) => {
    const written = match[isDart ? 1 : 2]!
    const end = match.index + match[0].lastIndexOf(written) + written.length
    if (known.has(end)) return []
    return [{ at: match.index, what: `imports ${written}, which is no file of the project` }]
  })
}
