import type { Way } from '../design/widths.js'

/** What the program concludes about a layer at widths that were not drawn. */
export type WidthReading = {
  /** Key of the layer; that of a container made up for others is its first layer's. */
  readonly layer: string
  readonly kind: WidthReadingKind
  /** It holds below this width of the window, in px; absent: at every width. */
  readonly belowPx?: number
  /** What was read, in a few words: `3 columns → 1`. */
  readonly value: string
  /** Why. */
  readonly evidence: string
  /** From 0 to 1. */
  readonly confidence: number
  /** A person has said so. */
  readonly isRuling: boolean
}

export type WidthReadingKind = Exclude<Way, 'keep'> | 'hold' | 'padding' | 'type'

/** What each kind of reading is called, and what it means. */
export const WIDTH_READINGS: Readonly<
  Record<WidthReadingKind, { readonly title: string; readonly why: string }>
> = {
  columns: {
    title: 'Fewer columns',
    why: 'Things that are alike stay in columns, as many as fit.',
  },
  fold: {
    title: 'Folds behind a menu button',
    why: 'Navigation that does not fit in its row is shown on demand.',
  },
  hold: {
    title: 'Held to a width',
    why: 'Content is centred and grows no wider; the background does.',
  },
  padding: { title: 'Smaller padding', why: 'Narrow windows have no room to spare at the sides.' },
  scroll: {
    title: 'Scrolls in its own box',
    why: 'A table keeps its columns; the page does not scroll sideways.',
  },
  stack: { title: 'One under the other', why: 'Side by side each would be too narrow to read.' },
  type: { title: 'Smaller type', why: 'Display type would break into too many lines.' },
  wrap: { title: 'Wraps', why: 'Small things keep their size and go on in the next line.' },
}
