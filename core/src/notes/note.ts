/** Something a person should know about a design or a result: what, where, and what to do. */
export type Note = {
  readonly code: string
  readonly severity: 'error' | 'warning' | 'info'
  /** What, with the real value. */
  readonly message: string
  readonly where: Place
  /** What to do about it. */
  readonly help: string
}

/** Where a note points: the file, the layer's key, and the path of a field, as far as known. */
export type Place = {
  readonly file?: string
  readonly layer?: string
  readonly path?: string
}

/** A result, or the reasons why there is none. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T; readonly notes: readonly Note[] }
  | { readonly ok: false; readonly notes: readonly Note[] }

export const failed = (notes: readonly Note[]): { ok: false; notes: readonly Note[] } => ({
  ok: false,
  notes,
})
