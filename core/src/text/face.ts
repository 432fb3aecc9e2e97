/** What layout needs to know of one font file. Lengths in thousandths of the font size. */
export type FontFace = {
  readonly family: string
  /** From 1 to 1000; two numbers for a variable font. */
  readonly weight: number | readonly [number, number]
  readonly italic: boolean
  readonly ascent: number
  readonly descent: number
  readonly lineGap: number
  /** Code point → advance width. */
  readonly advances: Readonly<Record<number, number>>
  /** `left code, right code` → what the second comes closer (negative) or moves away. */
  readonly kerning: Readonly<Record<string, number>>
}

export type FontFormat = 'woff2' | 'woff' | 'ttf' | 'otf'

/** A font that is at hand: what it is, and the file that is delivered. */
export type Font = {
  readonly face: FontFace
  readonly format: FontFormat
  readonly base64: string
}

/** One list for all who have none: what is remembered by the fonts at hand is so for them, too. */
export const NO_FONTS: readonly Font[] = []

/** How far a face's weight is from a wanted one; 0 inside the range of a variable font. */
export const weightDistance = ({ weight }: FontFace, wanted: number): number => {
  if (typeof weight === 'number') return Math.abs(weight - wanted)
  const [from, to] = weight
  return wanted < from ? from - wanted : wanted > to ? wanted - to : 0
}

/** The face of a family that comes closest to a style, as browsers choose it (CSS Fonts 4, 5.2, simplified). */
export const findFace = <T extends { readonly face: FontFace }>(
  fonts: readonly T[],
  family: string,
  weight: number,
  italic: boolean,
): T | undefined => {
  const wanted = family.toLowerCase()
  let best: T | undefined
  let bestScore = Infinity
  for (const font of fonts) {
    if (font.face.family.toLowerCase() !== wanted) continue
    const score = (font.face.italic === italic ? 0 : 2000) + weightDistance(font.face, weight)
    if (score < bestScore) [best, bestScore] = [font, score]
  }
  return best
}
