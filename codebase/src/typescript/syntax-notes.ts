import type { ScanNote } from '@unimorph/core'
import ts from 'typescript'

/** What the parser could not read in a module: the first of it. */
export const syntaxNotes = (path: string, module: ts.SourceFile): readonly ScanNote[] => {
  const { parseDiagnostics = [] } = module as ts.SourceFile & {
    parseDiagnostics?: readonly ts.DiagnosticWithLocation[]
  }
  const [first] = parseDiagnostics
  if (!first) return []
  const line = module.getLineAndCharacterOfPosition(first.start).line + 1
  const why = ts.flattenDiagnosticMessageText(first.messageText, ' ')
  return [{ path, line, message: `It is not valid code: ${why}` }]
}
