import type { EmittedFile } from '../emit/shared/emitted-file.js'
import { findReferences } from './references.js'

type Change = { readonly start: number; readonly end: number; readonly text: string }

/** A text with some stretches replaced, and where its layers then stand. */
const replaced = (file: EmittedFile, changes: readonly Change[]): EmittedFile => {
  if (file.content.kind !== 'text' || changes.length === 0) return file
  const { text } = file.content
  let made = ''
  let at = 0
  const shifts: { readonly from: number; readonly by: number }[] = []
  for (const change of changes) {
    made += text.slice(at, change.start) + change.text
    at = change.end
    shifts.push({ from: change.end, by: made.length - change.end })
  }
  made += text.slice(at)
  const moved = (place: number): number =>
    place + (shifts.findLast(({ from }) => from <= place)?.by ?? 0)
  return {
    ...file,
    content: { kind: 'text', text: made },
    spans: file.spans.map((span) => ({ ...span, start: moved(span.start), end: moved(span.end) })),
  }
}

/** Files at other paths, and what names them in step. Takes where each goes that moves. */
export const relocate = (
  files: readonly EmittedFile[],
  moves: ReadonlyMap<string, string>,
): readonly EmittedFile[] => {
  if (moves.size === 0) return files
  const known = new Set(files.map(({ path }) => path))
  const placeOf = (path: string): string => moves.get(path) ?? path
  return files.map((file) => {
    const path = placeOf(file.path)
    if (file.content.kind !== 'text') return { ...file, path }
    const { text } = file.content
    const changes = findReferences(text, file.path, known).flatMap((one): Change[] => {
      const spelled = one.spell(placeOf(one.file), path)
      return spelled === text.slice(one.start, one.end)
        ? []
        : [{ start: one.start, end: one.end, text: spelled }]
    })
    return { ...replaced(file, changes), path }
  })
}
