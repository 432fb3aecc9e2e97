import type { Span } from './print-document.js'

/** A delivered file. Paths are relative, with forward slashes, and never leave the project's folder. */
export type EmittedFile = {
  readonly path: string
  readonly content:
    | { readonly kind: 'text'; readonly text: string }
    | { readonly kind: 'bytes'; readonly base64: string }
  /** Which stretch of the text came from which layer. */
  readonly spans: readonly Span[]
}

export const textFile = (path: string, text: string, spans: readonly Span[] = []): EmittedFile => ({
  path,
  content: { kind: 'text', text },
  spans,
})

// Prettier writes a short list on one line; ours hold plain strings only.
const inlineLists = (json: string): string =>
  json.replace(
    /\[\n\s+([^[\]{}]*?)\n\s+\]/g,
    (_, items: string) => `[${items.replace(/\n\s+/g, ' ')}]`,
  )

/** A JSON file as Prettier writes it: two spaces, short lists on one line, final newline. */
export const jsonFile = (path: string, value: unknown): EmittedFile =>
  textFile(path, `${inlineLists(JSON.stringify(value, null, 2))}\n`)
