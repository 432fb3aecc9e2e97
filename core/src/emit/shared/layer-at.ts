import type { EmittedFile } from './emitted-file.js'

/** The line of a place in a text, from 1. */
export const lineAt = (text: string, at: number): number => text.slice(0, at).split('\n').length

/** The layer whose code stands at a place in a file: the innermost. */
export const layerAt = ({ spans }: EmittedFile, at: number): string | undefined =>
  spans
    .filter(({ start, end }) => start <= at && at < end)
    .sort((a, b) => a.end - a.start - (b.end - b.start))[0]?.layer

/** The layer whose code a line of a file, from 1, begins with. */
export const layerOfLine = (file: EmittedFile, line: number): string | undefined => {
  if (file.content.kind !== 'text') return undefined
  const lines = file.content.text.split('\n')
  const before = lines.slice(0, line - 1).reduce((sum, { length }) => sum + length + 1, 0)
  return layerAt(file, before + (lines[line - 1]?.search(/\S|$/) ?? 0))
}
