import type { Span } from './print-document.js'

/** A delivered file. Paths are relative, with forward slashes, and never leave the project's folder. */
export type EmittedFile = {
  readonly path: string
  readonly content:
    | { readonly kind: 'text'; readonly text: string }
    | {
        readonly kind: 'bytes'
        readonly base64: string
        /** The bytes are those of a larger picture: it is made so wide, in px, and WebP, when it is delivered. */
        readonly scaledTo?: number
      }
  /** Which stretch of the text came from which layer. */
  readonly spans: readonly Span[]
  /**
   * What a codebase that is there already has in its own way: `scaffold`, how the project is built; `entry`, where the app
   * begins and which screens it has.
   */
  readonly role?: 'scaffold' | 'entry'
}

/** Files of how a project is built. */
export const scaffold = (...files: readonly EmittedFile[]): EmittedFile[] =>
  files.map((file) => ({ ...file, role: 'scaffold' }))

/** Files of where an app begins. */
export const entry = (...files: readonly EmittedFile[]): EmittedFile[] =>
  files.map((file) => ({ ...file, role: 'entry' }))

export const textFile = (path: string, text: string, spans: readonly Span[] = []): EmittedFile => ({
  path,
  content: { kind: 'text', text },
  spans,
})

const PRINT_WIDTH = 80

// Prettier writes a list on one line where it fits; ours hold plain strings only.
const inlineLists = (json: string): string =>
  json.replace(
    /\[\n\s+([^[\]{}]*?)\n\s+\](,?)/g,
    (list, items: string, comma: string, at: number) => {
      const line = `[${items.replace(/\n\s+/g, ' ')}]${comma}`
      const column = at - (json.lastIndexOf('\n', at) + 1)
      return column + line.length <= PRINT_WIDTH ? line : list
    },
  )

/** A JSON file as Prettier writes it: two spaces, short lists on one line, final newline. */
export const jsonFile = (path: string, value: unknown): EmittedFile =>
  textFile(path, `${inlineLists(JSON.stringify(value, null, 2))}\n`)
