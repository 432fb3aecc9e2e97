const ASCII = /^[\u0000-\u007f]*$/

const isCombining = (code: number): boolean =>
  (code >= 0x300 && code <= 0x36f) || (code >= 0xfe00 && code <= 0xfe0f) || code === 0x200d

/** Ranges drawn two columns wide (Unicode Standard Annex 11, East Asian Width W and F, and emoji). */
const WIDE: readonly (readonly [number, number])[] = [
  [0x1100, 0x115f],
  [0x231a, 0x231b],
  [0x23e9, 0x23ec],
  [0x2e80, 0x303e],
  [0x3041, 0x33ff],
  [0x3400, 0x4dbf],
  [0x4e00, 0x9fff],
  [0xa000, 0xa4cf],
  [0xac00, 0xd7a3],
  [0xf900, 0xfaff],
  [0xfe30, 0xfe6f],
  [0xff01, 0xff60],
  [0xffe0, 0xffe6],
  [0x1f300, 0x1f64f],
  [0x1f680, 0x1f6ff],
  [0x1f900, 0x1faff],
  [0x20000, 0x3fffd],
]

/** Columns a text takes in a terminal or editor with a fixed-width font. */
export const widthOf = (text: string): number => {
  if (ASCII.test(text)) return text.length
  let width = 0
  for (const character of text) {
    const code = character.codePointAt(0)!
    if (isCombining(code)) continue
    width += WIDE.some(([from, to]) => code >= from && code <= to) ? 2 : 1
  }
  return width
}
