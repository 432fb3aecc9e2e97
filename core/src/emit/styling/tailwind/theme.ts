import type { Effect } from '../../../design/paint.js'
import type { TextStyle } from '../../../design/text.js'
import type { ThemeToken, UiTheme } from '../../../ui/theme.js'
import { fallbackOf, isGenericFamily } from '../../../fonts/needs.js'
import { fallbackName } from '../../shared/fallback-faces.js'
import { quoteCss } from '../../shared/quote-css.js'
import { toKebab, UniqueNames } from '../../../text/names.js'
import { NAMESPACE, nameTokens } from './token-names.js'
import { cssColor, cssShadow, decimal } from './values.js'

type TokenType = ThemeToken['type']

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

const declarationsOf = (
  { type, value: own }: Pick<ThemeToken, 'type' | 'value'>,
  variable: string,
): [string, string][] => {
  switch (type) {
    // Layers refer to the parts of a border, never to the whole.
    case 'border':
      return []
    case 'color':
      return [[variable, cssColor(own as string)]]
    case 'space':
    case 'radius':
      return [[variable, `${decimal(own as number)}px`]]
    case 'shadow': {
      const shadows = (own as Effect[]).flatMap((e) =>
        e.kind === 'shadow' ? cssShadow(e, true) : [],
      )
      return [[variable, shadows.join(', ').replaceAll('_', ' ')]]
    }
    case 'type': {
      const style = own as Omit<TextStyle, 'color'>
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

/** Tokens that are one value each. */
const SINGLE: ReadonlySet<TokenType> = new Set(['color', 'radius', 'space'])

const print = (values: ReadonlyMap<string, string>): string[] =>
  [...values]
    .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0))
    .map(([variable, value]) => `${variable}: ${value};`)

/** The part of the theme a project uses: tokens and font families. Lives for one emission. */
export class TailwindTheme {
  private readonly slugs: ReadonlyMap<string, string>
  /** Tokens that the design does not name: whatever has their value refers to them. */
  private readonly found: readonly ThemeToken[]
  private readonly families = new Map<string, string>()
  private readonly used = new Map<string, string>()
  /** What is different in the other modes, by mode. */
  private readonly usedIn = new Map<string, Map<string, string>>()
  private readonly fontNames = new UniqueNames('-', FONT_WORDS)

  /** `delivered`: the families whose fonts lie beside the code. */
  constructor(
    private readonly tokens: UiTheme,
    private readonly delivered: ReadonlySet<string>,
  ) {
    this.slugs = nameTokens(tokens.values())
    this.found = [...tokens.values()].filter(({ isFound }) => isFound)
  }

  /** The class suffix for a token that is of this type and has this value; it then becomes part of the theme. */
  find(
    name: string | undefined,
    type: TokenType,
    isValue: (value: unknown) => boolean,
  ): string | undefined {
    const isMeant = (one: ThemeToken | undefined): boolean =>
      one?.type === type && isValue(one.value)
    const named = name === undefined ? undefined : this.tokens.get(name)
    const token = isMeant(named) ? named : this.found.find(isMeant)
    if (!token) return undefined
    const slug = this.slugs.get(token.name)!
    const variable = `--${NAMESPACE[type]}-${slug}`
    const { code } = token
    for (const [property, value] of declarationsOf(token, variable)) {
      // Where the codebase's own theme is not on the page, the design's value holds.
      const isNamed = code !== undefined && code.name !== variable && SINGLE.has(type)
      this.used.set(property, isNamed ? `var(${code.name}, ${value})` : value)
    }
    if (code !== undefined && SINGLE.has(type)) return slug
    for (const [mode, other] of Object.entries(token.modes ?? {})) {
      const own = this.usedIn.get(mode) ?? new Map<string, string>()
      this.usedIn.set(mode, own)
      for (const [property, value] of declarationsOf({ type, value: other }, variable)) {
        if (this.used.get(property) !== value) own.set(property, value)
      }
    }
    return slug
  }

  /** The colour that a class names, where the design has no name for it. */
  foundColor(slug: string): string | undefined {
    const token = this.found.find(
      ({ name, type }) => type === 'color' && this.slugs.get(name) === slug,
    )
    return token?.value as string | undefined
  }

  /** What the colours of the design's tokens are called. */
  colorNames(): readonly string[] {
    return [...this.tokens.values()].flatMap(({ name, type }) =>
      type === 'color' ? [this.slugs.get(name)!] : [],
    )
  }

  /** The class for a font family. */
  font(family: string): string {
    const known = this.families.get(family)
    if (known) return known
    const slug = this.fontNames.take(toKebab(family, 'text'))
    const standIn = this.delivered.has(family.toLowerCase())
      ? `${quoteCss(fallbackName(family))}, `
      : ''
    const list = isGenericFamily(family)
      ? family
      : `${quoteCss(family)}, ${standIn}${fallbackOf(family)}`
    this.used.set(`--font-${slug}`, list)
    this.families.set(family, `font-${slug}`)
    return `font-${slug}`
  }

  /** The declarations in use, sorted by name so that the order of layers does not matter. */
  declarations(): string[] {
    return print(this.used)
  }

  /** What is different in each of the other modes. */
  modes(): readonly { readonly mode: string; readonly declarations: readonly string[] }[] {
    return [...this.usedIn].flatMap(([mode, own]) =>
      own.size > 0 ? [{ mode, declarations: print(own) }] : [],
    )
  }
}
