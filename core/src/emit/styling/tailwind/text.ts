import { NO_SIDES } from '../../../design/geometry.js'
import type { TextStyle } from '../../../design/text.js'
import type { UiText } from '../../../ui/nodes.js'
import { colorClass } from './box.js'
import { valueSlot, type Slot } from './slots.js'
import type { TailwindTheme } from './theme.js'
import { decimal, spacing } from './values.js'

const SIZES: Readonly<Record<number, string>> = {
  12: 'xs',
  14: 'sm',
  16: 'base',
  18: 'lg',
  20: 'xl',
  24: '2xl',
  30: '3xl',
  36: '4xl',
  48: '5xl',
  60: '6xl',
  72: '7xl',
  96: '8xl',
  128: '9xl',
}
const WEIGHTS: Readonly<Record<number, string>> = {
  100: 'thin',
  200: 'extralight',
  300: 'light',
  400: 'normal',
  500: 'medium',
  600: 'semibold',
  700: 'bold',
  800: 'extrabold',
  900: 'black',
}
const CASES = {
  'as-typed': 'normal-case',
  upper: 'uppercase',
  lower: 'lowercase',
  title: 'capitalize',
} as const
const ALIGN = {
  start: 'text-start',
  centre: 'text-center',
  end: 'text-end',
  justify: 'text-justify',
} as const

const sizeClass = (size: number, lineHeight: number | undefined): string => {
  const name = SIZES[size] ?? `[${decimal(size)}px]`
  return `text-${name}/${lineHeight === undefined ? '[normal]' : spacing(lineHeight)}`
}

/** The size token, when the whole style agrees with it: a token that fits in part would change the look. */
const findTypeToken = (
  theme: TailwindTheme,
  style: TextStyle,
  token: string | undefined,
): string | undefined =>
  theme.find(token, 'type', (value) => {
    const type = value as Omit<TextStyle, 'color'>
    return (
      type.size === style.size &&
      type.lineHeight === style.lineHeight &&
      type.letterSpacing === style.letterSpacing &&
      type.weight === style.weight
    )
  })

const weightClass = (weight: number): string => `font-${WEIGHTS[weight] ?? `[${weight}]`}`

/** What a text says of its letters. `inherited` is the family set further out, which need not be said again. */
export const textSlots = (
  theme: TailwindTheme,
  node: UiText,
  inherited: string | undefined,
): Slot[] => {
  const { textStyle: style } = node
  const { left, right, top, bottom } = node.style.room ?? NO_SIDES
  const token = findTypeToken(theme, style, node.style.tokens['style'])
  return [
    { slot: 'family', token: style.family === inherited ? '' : theme.font(style.family) },
    { slot: 'type', token: token ? `text-${token}` : sizeClass(style.size, style.lineHeight) },
    // A token of type says weight and tracking too.
    { slot: 'weight', token: token ? '' : weightClass(style.weight) },
    { slot: 'italic', token: style.italic ? 'italic' : 'not-italic' },
    {
      slot: 'tracking',
      token: token
        ? ''
        : style.letterSpacing === 0
          ? 'tracking-normal'
          : `tracking-[${decimal(style.letterSpacing)}px]`,
    },
    { slot: 'align', token: ALIGN[node.align] },
    {
      slot: 'color',
      token: colorClass(theme, 'text', node.style.tokens['style.color'], style.color),
    },
    {
      slot: 'decoration',
      token: style.decoration === 'none' ? 'no-underline' : style.decoration,
    },
    { slot: 'case', token: CASES[style.case] },
    { slot: 'whitespace', token: node.wraps ? 'whitespace-normal' : 'whitespace-nowrap' },
    { slot: 'wrap-words', token: node.breaksWords ? 'wrap-anywhere' : 'wrap-normal' },
    valueSlot('pl', spacing(left)),
    valueSlot('pr', spacing(right)),
    valueSlot('pt', spacing(top)),
    valueSlot('pb', spacing(bottom)),
  ]
}

/** Classes for what a run says differently from its text. */
export const runClasses = (theme: TailwindTheme, style: Partial<TextStyle>): string[] => {
  const classes: string[] = []
  if (style.family !== undefined) classes.push(theme.font(style.family))
  // An arbitrary size leaves the line height alone; the named ones would set their own.
  if (style.size !== undefined) classes.push(`text-[${decimal(style.size)}px]`)
  if (style.lineHeight !== undefined) classes.push('leading-none')
  if (style.weight !== undefined) classes.push(weightClass(style.weight))
  if (style.italic !== undefined) classes.push(style.italic ? 'italic' : 'not-italic')
  if (style.letterSpacing !== undefined)
    classes.push(`tracking-[${decimal(style.letterSpacing)}px]`)
  if (style.color !== undefined) classes.push(colorClass(theme, 'text', undefined, style.color))
  if (style.decoration !== undefined) {
    classes.push(style.decoration === 'none' ? 'no-underline' : style.decoration)
  }
  if (style.case !== undefined) classes.push(CASES[style.case])
  return classes
}
