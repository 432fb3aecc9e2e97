import { colorWord } from '../../shared/color-word.js'
import { UniqueNames } from '../../../text/names.js'

/** `hover:bg-[#13233f]/50` in its parts: what comes before the value, the value, and what comes after it. */
const BRACKETS = /^((?:[^[\]]|\[[^\]]*\](?=[:/]))*?:)?(-?)([a-z-]+)-\[([^[\]]+)\](\/\S+)?$/

const COLORS =
  /^(bg|text|border(-[trblxyse])?|outline|ring|fill|stroke|from|via|to|decoration|accent|caret|divide)$/
const SPACES =
  /^(m|p)[trblxyse]?$|^(gap|gap-x|gap-y|space-x|space-y|w|h|size|min-w|min-h|max-w|max-h|basis|inset|inset-x|inset-y|top|right|bottom|left|start|end|translate-x|translate-y|scroll-m[trblxy]?|scroll-p[trblxy]?|indent)$/
/** Where the theme has names for all else, by the property. */
const NAMED: readonly (readonly [RegExp, string])[] = [
  [/^shadow$/, 'shadow'],
  [/^bg$/, 'background-image'],
  [/^aspect$/, 'aspect'],
  [/^grid-cols$/, 'grid-template-columns'],
  [/^grid-rows$/, 'grid-template-rows'],
  [SPACES, 'spacing'],
]
const RADII = /^rounded(-[a-z]+)?$/
const LENGTH = /^(-?)(\d+(?:\.\d+)?(?:px|rem))$/
/** Words that Tailwind has colours of its own for. */
const TAKEN = ['black', 'white', 'current', 'transparent', 'inherit']

/**
 * What stands in brackets as CSS: `calc(100%-95px)` → `calc(100% - 95px)`; there room is needed around signs. Addresses and names
 * of variables are as they are.
 */
const asCss = (value: string): string =>
  value.replace(/(?:url|var)\([^()]*\)|_|(?<=[%\d)]|px|rem)[+-](?=[\d(])/g, (part) =>
    part === '_' ? ' ' : part.length === 1 ? ` ${part} ` : part,
  )

/** Gives what is written in brackets a name in the theme. Lives for one emission. */
export class ValueNames {
  private readonly colors = new Map<string, string>()
  private readonly others = new Map<string, string>()
  private readonly colorNames: UniqueNames
  private readonly otherNames = new Map<string, UniqueNames>()
  /** Declarations of the theme, by variable. */
  readonly declarations = new Map<string, string>()

  /** `taken`: names of colours that the design's tokens have. */
  constructor(taken: readonly string[]) {
    this.colorNames = new UniqueNames('-', [...TAKEN, ...taken])
  }

  /** A class without brackets, where its value is one that a theme can name; else the class as it is. */
  name(utility: string): string {
    return this.value(this.leading(this.widths(utility)))
  }

  /** Widths of the window that are no breakpoint of the theme yet: `min-[24.375rem]:` → `from-390:`. */
  private widths(utility: string): string {
    return utility.replace(/(?<![\w-])min-\[(\d+(?:\.\d+)?)rem\]:/g, (_, rem: string) => {
      const name = `from-${String(Math.round(Number(rem) * 16 * 100) / 100).replace('.', '_')}`
      this.declarations.set(`--breakpoint-${name}`, `${rem}rem`)
      return `${name}:`
    })
  }

  private value(utility: string): string {
    const [, variants = '', minus = '', property = '', value = '', after = ''] =
      BRACKETS.exec(utility) ?? []
    if (value === '') return utility
    if (COLORS.test(property) && /^#|^(rgb|hsl|oklch)/.test(value))
      return `${variants}${property}-${this.color(value)}${after}`
    const [, sign = '', length] = LENGTH.exec(value) ?? []
    if (length !== undefined) {
      const both = minus !== sign ? '-' : ''
      if (SPACES.test(property)) {
        this.declare('spacing', length)
        return `${variants}${both}${property}-${length}${after}`
      }
      if (both === '' && RADII.test(property)) {
        this.declare('radius', length)
        return `${variants}${property}-${length}`
      }
      if (both === '' && property === 'text') {
        this.declare('text', length)
        return `${variants}text-${length}${after}`
      }
    }
    const [, namespace] = NAMED.find(([pattern]) => pattern.test(property)) ?? []
    return namespace === undefined || after !== '' || minus !== ''
      ? utility
      : `${variants}${property}-${this.drawn(namespace, value)}`
  }

  /** `text-3xl/[normal]`: lines as high as the font has them. */
  private leading(utility: string): string {
    return utility.replace(/\/\[normal\]$/, () => {
      this.declarations.set('--leading-font', 'normal')
      return '/font'
    })
  }

  private declare(namespace: string, length: string): void {
    this.declarations.set(`--${namespace}-${length.replaceAll('.', '_')}`, length)
  }

  private color(value: string): string {
    const known = this.colors.get(value)
    if (known !== undefined) return known
    const name = this.colorNames.take(colorWord(asCss(value)))
    this.colors.set(value, name)
    this.declarations.set(`--color-${name}`, asCss(value))
    return name
  }

  private drawn(namespace: string, value: string): string {
    const key = `${namespace} ${value}`
    const known = this.others.get(key)
    if (known !== undefined) return known
    const names = this.otherNames.get(namespace) ?? new UniqueNames('-')
    this.otherNames.set(namespace, names)
    const name = names.take('drawn')
    this.others.set(key, name)
    this.declarations.set(`--${namespace}-${name}`, asCss(value))
    return name
  }
}
