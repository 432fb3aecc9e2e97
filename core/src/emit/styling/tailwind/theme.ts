import type { Effect } from '../../../design/paint.js'
import type { TextStyle } from '../../../design/text.js'
import type { ThemeToken, UiTheme } from '../../../ui/theme.js'
import { fallbackOf, isGenericFamily } from '../../../fonts/needs.js'
import { quoteCss } from '../../shared/font-files.js'
import { toKebab, UniqueNames } from '../../../text/names.js'
import { cssColor, cssShadow, decimal } from './values.js'

type TokenType = ThemeToken['type']

/** Where a token lives in the theme, by its type. */
const NAMESPACE: Readonly<Record<TokenType, string>> = {
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
// `font-…` is the prefix of families and weights.
const FONT_WORDS = [
  'black',
  'bold',
  'extrabold',
  'extralight',
  'light',
  'medium',
  'mono',
  'normal',
  'sans',
  'semibold',
  'serif',
  'thin',
]

/** `color.sea.deep` → `sea-deep`: the first word says the type, which the class name says already. */
const slugOf = ({ name, type }: ThemeToken): string => {
  const segments = name.split(/[./]/)
  const slug = toKebab((segments.length > 1 ? segments.slice(1) : segments).join('-'), type)
  return /^\d/.test(slug) ? `${type}-${slug}` : slug
}

const declarationsOf = (token: ThemeToken, variable: string): [string, string][] => {
  switch (token.type) {
    // Layers refer to the parts of a border, never to the whole.
    case 'border':
      return []
    case 'color':
      return [[variable, cssColor(token.value as string)]]
    case 'space':
    case 'radius':
      return [[variable, `${decimal(token.value as number)}px`]]
    case 'shadow': {
      const shadows = (token.value as Effect[]).flatMap((e) =>
        e.kind === 'shadow' ? cssShadow(e, true) : [],
      )
      return [[variable, shadows.join(', ').replaceAll('_', ' ')]]
    }
    case 'type': {
      const style = token.value as Omit<TextStyle, 'color'>
      return [
        [variable, `${decimal(style.size)}px`],
        ...(style.lineHeight === undefined
          ? []
          : [[`${variable}--line-height`, `${decimal(style.lineHeight)}px`] as [string, string]]),
        ...(style.letterSpacing === 0
          ? []
          : [
              [`${variable}--letter-spacing`, `${decimal(style.letterSpacing)}px`] as [
                string,
                string,
              ],
            ]),
        [`${variable}--font-weight`, String(style.weight)],
      ]
    }
  }
}

/** The part of the theme a project uses: tokens and font families. Lives for one emission. */
export class TailwindTheme {
  private readonly slugs = new Map<string, string>()
  private readonly families = new Map<string, string>()
  private readonly used = new Map<string, string>()
  private readonly fontNames = new UniqueNames('-', FONT_WORDS)

  constructor(private readonly tokens: UiTheme) {
    const names: Record<string, UniqueNames> = {
      border: new UniqueNames('-'),
      color: new UniqueNames('-', TEXT_WORDS),
      spacing: new UniqueNames('-'),
      radius: new UniqueNames('-'),
      shadow: new UniqueNames('-'),
    }
    // Colours and sizes share the prefix `text-`, so their names must differ from one another too.
    names['text'] = names['color']!
    for (const token of tokens.values()) {
      this.slugs.set(token.name, names[NAMESPACE[token.type]]!.take(slugOf(token)))
    }
  }

  /** The class suffix for a token that is of this type and has this value; it then becomes part of the theme. */
  find(
    name: string | undefined,
    type: TokenType,
    isValue: (value: unknown) => boolean,
  ): string | undefined {
    const token = name === undefined ? undefined : this.tokens.get(name)
    if (!token || token.type !== type || !isValue(token.value)) return undefined
    const slug = this.slugs.get(token.name)!
    for (const [variable, value] of declarationsOf(token, `--${NAMESPACE[type]}-${slug}`)) {
      this.used.set(variable, value)
    }
    return slug
  }

  /** The class for a font family. */
  font(family: string): string {
    const known = this.families.get(family)
    if (known) return known
    const slug = this.fontNames.take(toKebab(family, 'text'))
    const list = isGenericFamily(family) ? family : `${quoteCss(family)}, ${fallbackOf(family)}`
    this.used.set(`--font-${slug}`, list)
    this.families.set(family, `font-${slug}`)
    return `font-${slug}`
  }

  /** The declarations in use, sorted by name so that the order of layers does not matter. */
  declarations(): string[] {
    return [...this.used]
      .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0))
      .map(([variable, value]) => `${variable}: ${value};`)
  }
}
