import type { TextLayer } from '../../design/layer.js'
import { mostCommon } from '../../math/statistics.js'

/** Texts are large from this share of the page's usual size on, and titles when they are bold as well. */
const LARGE_SHARE = 1.2
const BOLD = 500
/** What most style sheets give text and titles, as shares of the size. */
const USUAL = { text: 1.5, title: 1.2 }
/** Ratios are read to so many parts of one: a px of rounding over several lines makes no other ratio. */
const STEPS = 200

/** Line heights of texts that say how high their lines are, as shares of the size. */
const ratiosOf = (texts: readonly TextLayer[]): readonly number[] =>
  texts.flatMap(({ style: { lineHeight, size } }) =>
    lineHeight === undefined ? [] : [Math.round((lineHeight / size) * STEPS) / STEPS],
  )

export type Expected = {
  /** What a text of this style probably has, as a share of its size. */
  ratioOf(style: TextLayer['style']): number
  /** All that texts of the page have. */
  readonly known: readonly number[]
}

/** What the texts of a page whose line height is known let expect of the others. */
export const findExpected = (texts: readonly TextLayer[]): Expected => {
  const sizes = texts.flatMap(({ style, lines }) =>
    Array.from({ length: lines?.length ?? 1 }, () => style.size),
  )
  const large = (mostCommon(sizes) ?? 0) * LARGE_SHARE
  const isTitle = ({ style }: TextLayer): boolean => style.size >= large
  const text = mostCommon(ratiosOf(texts.filter((one) => !isTitle(one)))) ?? USUAL.text
  const title = mostCommon(ratiosOf(texts.filter(isTitle))) ?? USUAL.title
  return {
    ratioOf: ({ size, weight }) => (size >= large && weight >= BOLD ? title : text),
    known: [...new Set(ratiosOf(texts))],
  }
}
