/** How large something may be, in px. */
export type Constraints = {
  readonly minWidth: number
  readonly maxWidth: number
  readonly minHeight: number
  readonly maxHeight: number
}

export type Size = { readonly width: number; readonly height: number }

export const clamp = (value: number, least: number, most: number): number =>
  Math.max(least, Math.min(most, value))

export const constrain = ({ width, height }: Size, c: Constraints): Size => ({
  width: clamp(width, c.minWidth, c.maxWidth),
  height: clamp(height, c.minHeight, c.maxHeight),
})

export const tight = ({ width, height }: Size): Constraints => ({
  minWidth: width,
  maxWidth: width,
  minHeight: height,
  maxHeight: height,
})

export const loosen = ({ maxWidth, maxHeight }: Constraints): Constraints => ({
  minWidth: 0,
  maxWidth,
  minHeight: 0,
  maxHeight,
})

/** The constraints of what is inside of insets. */
export const deflate = (c: Constraints, across: number, down: number): Constraints => ({
  minWidth: Math.max(0, c.minWidth - across),
  maxWidth: Math.max(0, c.maxWidth - across),
  minHeight: Math.max(0, c.minHeight - down),
  maxHeight: Math.max(0, c.maxHeight - down),
})

/** What some constraints ask for, as far as those around them let it. */
export const enforce = (own: Constraints, around: Constraints): Constraints => ({
  minWidth: clamp(own.minWidth, around.minWidth, around.maxWidth),
  maxWidth: clamp(own.maxWidth, around.minWidth, around.maxWidth),
  minHeight: clamp(own.minHeight, around.minHeight, around.maxHeight),
  maxHeight: clamp(own.maxHeight, around.minHeight, around.maxHeight),
})

/** A piece of a line of text, with its look as CSS. */
export type Piece = {
  readonly text: string
  readonly style: Readonly<Record<string, string>>
  readonly x: number
}

export type TextLine = {
  readonly y: number
  readonly height: number
  readonly pieces: readonly Piece[]
}

/** What is to be seen of a box, and what may be done with it. */
export type Paint = {
  readonly css?: Readonly<Record<string, string>>
  readonly lines?: readonly TextLine[]
  readonly picture?: { readonly path: string; readonly fit: string; readonly label: string }
  readonly key?: string
  readonly onTap?: () => void
  /** Of HTML: the element it is, and its attributes. */
  readonly tag?: string
  readonly attributes?: Readonly<Record<string, string>>
  /** It can be written into; told of what is. */
  readonly onInput?: (value: string) => void
}

/** Something laid out: its size, and what is in it with its place. */
export type Box = Size & {
  /** Of the first line of text, from the top. */
  readonly baseline?: number
  readonly paint?: Paint
  readonly children: readonly Placed[]
}

export type Placed = { readonly x: number; readonly y: number; readonly box: Box }

export const boxOf = (size: Size, children: readonly Placed[] = [], paint?: Paint): Box => {
  const first = children.find(({ box }) => box.baseline !== undefined)
  return {
    width: size.width,
    height: size.height,
    children,
    ...(first ? { baseline: first.y + first.box.baseline! } : {}),
    ...(paint ? { paint } : {}),
  }
}
