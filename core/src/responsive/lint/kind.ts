import type { LaidOut, Seen } from './laid-out.js'

/** Something a designer would mark on a page at one width. */
export type Found = {
  readonly at: Seen
  /** How bad it is, in the unit of its kind: px, lines or characters. */
  readonly amount: number
}

/** One thing a designer would mark. `find` looks at a page that was laid out at a width it was not drawn for. */
export type LintKind = {
  readonly title: string
  readonly why: string
  find(page: LaidOut): readonly Found[]
}
