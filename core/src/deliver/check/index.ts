import type { EmittedFile } from '../../emit/shared/emitted-file.js'
import { notes } from '../../notes/catalogue.js'
import type { Note } from '../../notes/note.js'
import type { FaultFinder } from './fault.js'
import { brokenIds } from './ids.js'
import { missingImports } from './imports.js'
import { brokenSyntax } from './syntax.js'

/** A fault with its place: file, line from 1, and the innermost layer whose code it is. */
export type DeliveredFault = {
  readonly path: string
  readonly line: number
  readonly what: string
  readonly layer?: string | undefined
}

/** A new kind of fault is a file and a line here. */
const FINDERS: readonly FaultFinder[] = [brokenSyntax, missingImports, brokenIds]

const lineOf = (text: string, at: number): number => text.slice(0, at).split('\n').length

/** The layer whose code stands at a place in a file: the innermost. */
const layerAt = ({ spans }: EmittedFile, at: number): string | undefined =>
  spans
    .filter(({ start, end }) => start <= at && at < end)
    .sort((a, b) => a.end - a.start - (b.end - b.start))[0]?.layer

/** The layer whose code stands in a line of a file, from 1. */
export const layerOfLine = (file: EmittedFile, line: number): string | undefined => {
  if (file.content.kind !== 'text') return undefined
  const lines = file.content.text.split('\n')
  const before = lines.slice(0, line - 1).reduce((sum, { length }) => sum + length + 1, 0)
  return layerAt(file, before + (lines[line - 1]?.search(/\S|$/) ?? 0))
}

const faultsIn = async (
  file: EmittedFile,
  paths: ReadonlySet<string>,
): Promise<DeliveredFault[]> => {
  const { path, content } = file
  if (content.kind !== 'text') return []
  const { text } = content
  const found = await Promise.all(FINDERS.map((find) => find({ path, text }, paths)))
  return found
    .flat()
    .map(({ at, what }) => ({ path, line: lineOf(text, at), what, layer: layerAt(file, at) }))
}

/**
 * What of a delivered project cannot work, told without any tool of its target: files that cannot be parsed, imports of
 * files that are not there, ids. Fast enough for every conversion; it does not stand in for a compiler.
 */
export const checkDelivered = async (
  files: readonly EmittedFile[],
): Promise<readonly DeliveredFault[]> => {
  const paths = new Set(files.map(({ path }) => path))
  return (await Promise.all(files.map((file) => faultsIn(file, paths)))).flat()
}

/** The same as errors of ours. */
export const faultNotes = (faults: readonly DeliveredFault[]): readonly Note[] =>
  faults.map(({ path, line, what, layer }) => notes.brokenCode(path, line, what, layer))
