import type { EmittedFile } from '../../emit/shared/emitted-file.js'
import { notes } from '../../notes/catalogue.js'
import type { Note } from '../../notes/note.js'
import type { FaultFinder } from './fault.js'
import { brokenIds } from './ids.js'
import { missingImports } from './imports.js'

/** A new kind of fault is a file and a line here. */
const FINDERS: readonly FaultFinder[] = [missingImports, brokenIds]

const lineOf = (text: string, at: number): number => text.slice(0, at).split('\n').length

/** The layer whose code stands at a place in a file: the innermost. */
const layerAt = ({ spans }: EmittedFile, at: number): string | undefined =>
  spans
    .filter(({ start, end }) => start <= at && at < end)
    .sort((a, b) => a.end - a.start - (b.end - b.start))[0]?.layer

/**
 * What of a delivered project cannot work, told without any tool of its target: errors of ours, with file, line and layer.
 * Fast enough for every conversion; it does not stand in for a compiler.
 */
export const checkDelivered = (files: readonly EmittedFile[]): readonly Note[] => {
  const paths = new Set(files.map(({ path }) => path))
  return files.flatMap((file) => {
    const { path, content } = file
    if (content.kind !== 'text') return []
    const { text } = content
    return FINDERS.flatMap((find) => find({ path, text }, paths)).map(({ at, what }) =>
      notes.brokenCode(path, lineOf(text, at), what, layerAt(file, at)),
    )
  })
}
