import type { EmittedFile } from './emitted-file.js'

/** A file with a line before a place in it; layers stay where their code is. The file as it is where there is no such place. */
export const withLineBefore = (file: EmittedFile, place: string, line: string): EmittedFile => {
  if (file.content.kind !== 'text') return file
  const { text } = file.content
  // One sign before it all makes a place on the first line one after a line's end.
  const at = `\n${text}`.indexOf(`\n${place}`)
  if (at < 0) return file
  const added = `${line}\n`
  return {
    ...file,
    content: { kind: 'text', text: text.slice(0, at) + added + text.slice(at) },
    spans: file.spans.map((span) =>
      span.start >= at
        ? { ...span, start: span.start + added.length, end: span.end + added.length }
        : span,
    ),
  }
}

/** Words of a design as a comment; nothing in them ends it. */
export const asDocComment = (words: string): string =>
  `/** ${words.replace(/\s+/g, ' ').replaceAll('*/', '* /')} */`

/** The same in tags. */
export const asTagComment = (words: string): string =>
  `<!-- ${words.replace(/\s+/g, ' ').replace(/-{2,}/g, '-').replaceAll('>', '')} -->`
