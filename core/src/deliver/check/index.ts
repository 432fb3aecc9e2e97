import type { EmittedFile } from '../../emit/shared/emitted-file.js'
import { layerAt, lineAt } from '../../emit/shared/layer-at.js'
import { notes } from '../../notes/catalogue.js'
import type { Note } from '../../notes/note.js'
import type { FaultFinder, Paths } from './fault.js'
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

const faultsIn = async (file: EmittedFile, paths: Paths): Promise<DeliveredFault[]> => {
  const { path, content } = file
  if (content.kind !== 'text') return []
  const { text } = content
  const found = await Promise.all(FINDERS.map((find) => find({ path, text }, paths)))
  return found
    .flat()
    .map(({ at, what }) => ({ path, line: lineAt(text, at), what, layer: layerAt(file, at) }))
}

/**
 * What of a delivered project cannot work, told without any tool of its target: files that cannot be parsed, imports of
 * files that are not there, ids. Fast enough for every conversion; it does not stand in for a compiler. `isThere`: whether
 * there is a file that was not delivered, in the codebase that the code is for.
 */
export const checkDelivered = async (
  files: readonly EmittedFile[],
  isThere: (path: string) => boolean = () => false,
): Promise<readonly DeliveredFault[]> => {
  const delivered = new Set(files.map(({ path }) => path))
  const paths: Paths = { has: (path) => delivered.has(path) || isThere(path) }
  return (await Promise.all(files.map((file) => faultsIn(file, paths)))).flat()
}

/** The same as errors of ours. */
export const faultNotes = (faults: readonly DeliveredFault[]): readonly Note[] =>
  faults.map(({ path, line, what, layer }) => notes.brokenCode(path, line, what, layer))
