import { colorWord } from '../../shared/color-word.js'

/** Words that are no colours of a theme. */
const NO_COLOR = /^(current|start|end|center|left|right|justify|nowrap|wrap|xs|sm|base|lg|xl)$/

/** The colour a class names, in a word: `bg-rust-tint` → `rust tint`, `bg-[#1b3a2f]` → `green`. */
export const colorIn = (
  token: string,
  foundColor: (slug: string) => string | undefined,
): string | undefined => {
  const [, value = ''] = /^(?:bg|text|border|outline|fill)-(.+)$/.exec(token) ?? []
  const hex = /^\[(#[0-9a-f]{3,8})\]$/.exec(value)?.[1]
  if (hex !== undefined) return colorWord(hex)
  const found = foundColor(value)
  if (found !== undefined) return colorWord(found)
  return /^[a-z][a-z-]*$/.test(value) && !NO_COLOR.test(value) ? value : undefined
}
