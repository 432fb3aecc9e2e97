import type { ThemeToken } from '../../../ui/theme.js'
import { toKebab, UniqueNames } from '../../../text/names.js'

type TokenType = ThemeToken['type']

/** Where a token lives in the theme, by its type. */
export const NAMESPACE: Readonly<Record<TokenType, string>> = {
  border: 'border',
  color: 'color',
  space: 'spacing',
  radius: 'radius',
  shadow: 'shadow',
  type: 'text',
}

// `text-…` is the prefix of colours, sizes, alignment and wrapping alike.
const TEXT_WORDS = [
  'balance',
  'base',
  'center',
  'clip',
  'ellipsis',
  'end',
  'justify',
  'left',
  'nowrap',
  'pretty',
  'right',
  'start',
  'wrap',
]
/** `color.sea.deep` → `sea-deep`: the first word says the type, which the class name says already. */
const slugOf = ({ name, type }: Pick<ThemeToken, 'name' | 'type'>): string => {
  const segments = name.split(/[./]/)
  const slug = toKebab((segments.length > 1 ? segments.slice(1) : segments).join('-'), type)
  const isNumber = /^\d/.test(slug) && type !== 'radius' && type !== 'shadow'
  return isNumber ? `${type}-${slug}` : slug
}

/** What the tokens of a design are called in the theme, by their names: the ends of class names, and of variables. */
export const nameTokens = (
  tokens: Iterable<Pick<ThemeToken, 'name' | 'type'>>,
): ReadonlyMap<string, string> => {
  const names: Record<string, UniqueNames> = {
    border: new UniqueNames('-'),
    color: new UniqueNames('-', TEXT_WORDS),
    spacing: new UniqueNames('-'),
    radius: new UniqueNames('-'),
    shadow: new UniqueNames('-'),
  }
  // Colours and sizes share the prefix `text-`, so their names must differ from one another too.
  names['text'] = names['color']!
  return new Map(
    [...tokens].map((token) => [token.name, names[NAMESPACE[token.type]]!.take(slugOf(token))]),
  )
}
