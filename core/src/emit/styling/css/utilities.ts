import { arbitrary, length, negative } from './values.js'

/** `['padding-top', '1rem']` */
export type Declaration = readonly [property: string, value: string]

/** What a theme has: names of variables without their dashes, as `color-ink`. */
export type Known = ReadonlySet<string>

type Match = RegExpExecArray

type Rule = readonly [RegExp, (match: Match, known: Known) => readonly Declaration[]]

/** A value written as it is: `items-center` → `align-items: center`. */
const WORDS: Readonly<Record<string, readonly Declaration[]>> = {
  absolute: [['position', 'absolute']],
  'accent-current': [['accent-color', 'currentcolor']],
  'animate-none': [['animation', 'none']],
  'appearance-none': [['appearance', 'none']],
  'aspect-auto': [['aspect-ratio', 'auto']],
  'bg-center': [['background-position', 'center']],
  'bg-contain': [['background-size', 'contain']],
  'bg-cover': [['background-size', 'cover']],
  'bg-current': [['background-color', 'currentcolor']],
  'bg-no-repeat': [['background-repeat', 'no-repeat']],
  'bg-none': [['background-image', 'none']],
  'bg-repeat': [['background-repeat', 'repeat']],
  'bg-transparent': [['background-color', 'transparent']],
  block: [['display', 'block']],
  border: [['border-width', '1px']],
  'border-dashed': [['border-style', 'dashed']],
  'border-solid': [['border-style', 'solid']],
  capitalize: [['text-transform', 'capitalize']],
  contents: [['display', 'contents']],
  'cursor-pointer': [['cursor', 'pointer']],
  'field-sizing-content': [['field-sizing', 'content']],
  'filter-none': [['filter', 'none']],
  fixed: [['position', 'fixed']],
  flex: [['display', 'flex']],
  'flex-1': [['flex', '1']],
  'flex-auto': [['flex', 'auto']],
  'flex-col': [['flex-direction', 'column']],
  'flex-initial': [['flex', '0 1 auto']],
  'flex-none': [['flex', 'none']],
  'flex-nowrap': [['flex-wrap', 'nowrap']],
  'flex-row': [['flex-direction', 'row']],
  'flex-wrap': [['flex-wrap', 'wrap']],
  grid: [['display', 'grid']],
  hidden: [['display', 'none']],
  inline: [['display', 'inline']],
  isolate: [['isolation', 'isolate']],
  'isolation-auto': [['isolation', 'auto']],
  italic: [['font-style', 'italic']],
  'line-through': [['text-decoration-line', 'line-through']],
  'list-none': [['list-style', 'none']],
  lowercase: [['text-transform', 'lowercase']],
  'leading-none': [['line-height', '1']],
  'no-underline': [['text-decoration-line', 'none']],
  'normal-case': [['text-transform', 'none']],
  'not-italic': [['font-style', 'normal']],
  'order-none': [['order', '0']],
  'outline-dashed': [['outline-style', 'dashed']],
  'outline-solid': [['outline-style', 'solid']],
  'pointer-events-none': [['pointer-events', 'none']],
  relative: [['position', 'relative']],
  'resize-none': [['resize', 'none']],
  shrink: [['flex-shrink', '1']],
  'shrink-0': [['flex-shrink', '0']],
  'shadow-lg': [
    ['box-shadow', '0 10px 15px -3px rgb(0 0 0 / 0.1), 0 4px 6px -4px rgb(0 0 0 / 0.1)'],
  ],
  'shadow-none': [['box-shadow', 'none']],
  'sr-only': [
    ['position', 'absolute'],
    ['width', '1px'],
    ['height', '1px'],
    ['padding', '0'],
    ['margin', '-1px'],
    ['overflow', 'hidden'],
    ['clip-path', 'inset(50%)'],
    ['white-space', 'nowrap'],
    ['border-width', '0'],
  ],
  static: [['position', 'static']],
  'text-red-800': [['color', '#9f0712']],
  'text-shadow-none': [['text-shadow', 'none']],
  transition: [
    ['transition-property', 'background-color, box-shadow, opacity, scale, translate'],
    ['transition-timing-function', 'ease'],
  ],
  'transition-none': [['transition-property', 'none']],
  'tracking-normal': [['letter-spacing', '0']],
  underline: [['text-decoration-line', 'underline']],
  uppercase: [['text-transform', 'uppercase']],
  'whitespace-normal': [['white-space', 'normal']],
  'whitespace-nowrap': [['white-space', 'nowrap']],
  'wrap-anywhere': [['overflow-wrap', 'anywhere']],
  'wrap-normal': [['overflow-wrap', 'normal']],
  'z-auto': [['z-index', 'auto']],
}

const SIDES: Readonly<Record<string, readonly string[]>> = {
  '': [''],
  x: ['-inline'],
  y: ['-block'],
  t: ['-top'],
  r: ['-right'],
  b: ['-bottom'],
  l: ['-left'],
}

const CORNERS: Readonly<Record<string, readonly string[]>> = {
  '': ['border-radius'],
  t: ['border-top-left-radius', 'border-top-right-radius'],
  r: ['border-top-right-radius', 'border-bottom-right-radius'],
  b: ['border-bottom-right-radius', 'border-bottom-left-radius'],
  l: ['border-top-left-radius', 'border-bottom-left-radius'],
  tl: ['border-top-left-radius'],
  tr: ['border-top-right-radius'],
  br: ['border-bottom-right-radius'],
  bl: ['border-bottom-left-radius'],
}

const RADII: Readonly<Record<string, string>> = {
  none: '0',
  xs: '0.125rem',
  sm: '0.25rem',
  md: '0.375rem',
  lg: '0.5rem',
  xl: '0.75rem',
  '2xl': '1rem',
  '3xl': '1.5rem',
  '4xl': '2rem',
  full: '9999px',
}

const SIZES: Readonly<Record<string, string>> = {
  xs: '0.75rem',
  sm: '0.875rem',
  base: '1rem',
  lg: '1.125rem',
  xl: '1.25rem',
  '2xl': '1.5rem',
  '3xl': '1.875rem',
  '4xl': '2.25rem',
  '5xl': '3rem',
  '6xl': '3.75rem',
  '7xl': '4.5rem',
  '8xl': '6rem',
  '9xl': '8rem',
}

const WEIGHTS: Readonly<Record<string, string>> = {
  thin: '100',
  extralight: '200',
  light: '300',
  normal: '400',
  medium: '500',
  semibold: '600',
  bold: '700',
  extrabold: '800',
  black: '900',
}

const ALIGN: Readonly<Record<string, string>> = {
  start: 'flex-start',
  end: 'flex-end',
  center: 'center',
  between: 'space-between',
  stretch: 'stretch',
  baseline: 'baseline',
  auto: 'auto',
}

const signed = (sign: string, value: string): string => (sign === '-' ? negative(value) : value)

/** A colour: written out, of the theme, or black with an opacity. */
const color = (value: string): string => {
  const own = arbitrary(value)
  if (own !== undefined) return own
  const mixed = /^(black|current)\/(\d+)$/.exec(value)
  if (mixed?.[1] === 'black') return `rgb(0 0 0 / ${mixed[2]!}%)`
  if (mixed) return `color-mix(in oklab, currentcolor ${mixed[2]!}%, transparent)`
  return value === 'current' ? 'currentcolor' : `var(--color-${value})`
}

const px = (value: string): string =>
  /^\d+$/.test(value) ? `${value}px` : (arbitrary(value) ?? value)

/** How letters are set by a name of the theme, with all that it says. */
const typeOf = (name: string, known: Known): readonly Declaration[] => {
  const part = (suffix: string, property: string): Declaration[] =>
    known.has(`text-${name}--${suffix}`) ? [[property, `var(--text-${name}--${suffix})`]] : []
  return [
    ['font-size', `var(--text-${name})`],
    ...part('line-height', 'line-height'),
    ...part('letter-spacing', 'letter-spacing'),
    ...part('font-weight', 'font-weight'),
  ]
}

const textOf = ([, value]: Match, known: Known): readonly Declaration[] => {
  const [size, leading] = splitSlash(value!)
  if (leading !== undefined) {
    return [
      ['font-size', SIZES[size] ?? arbitrary(size) ?? size],
      ['line-height', length(leading)],
    ]
  }
  if (/^(start|center|end|justify)$/.test(size)) return [['text-align', size]]
  if (size === 'sm') {
    return [
      ['font-size', SIZES['sm']!],
      ['line-height', '1.25rem'],
    ]
  }
  const own = arbitrary(size)
  if (own !== undefined) return [[/^[\d.]+px$/.test(own) ? 'font-size' : 'color', own]]
  return known.has(`text-${size}`) ? typeOf(size, known) : [['color', color(size)]]
}

/** `[26px]/8.5` → `[26px]` and `8.5`; a slash in brackets is none. */
const splitSlash = (value: string): readonly [string, string | undefined] => {
  const [, size, leading] = /^(\[[^\]]*\]|[^/]+)(?:\/(.+))?$/.exec(value) ?? []
  return [size ?? value, leading]
}

const backgroundOf = ([, value]: Match): readonly Declaration[] => {
  const own = arbitrary(value!)
  const said = own === undefined ? undefined : /^(length|position):([\s\S]*)$/.exec(own)
  if (said) return [[said[1] === 'length' ? 'background-size' : 'background-position', said[2]!]]
  if (own !== undefined && /gradient\(|url\(/.test(own)) return [['background-image', own]]
  return [['background-color', color(value!)]]
}

const borderOf = ([, side, value]: Match): readonly Declaration[] => {
  const sides = SIDES[side ?? '']!
  if (value === undefined) return sides.map((one) => [`border${one}-width`, '1px'])
  const own = arbitrary(value)
  if (/^\d+$/.test(value) || (own !== undefined && /^[\d.]+px$/.test(own))) {
    return sides.map((one) => [`border${one}-width`, px(value)])
  }
  return [['border-color', color(value)]]
}

const outlineOf = ([, value]: Match): readonly Declaration[] => {
  const own = arbitrary(value!)
  if (/^\d+$/.test(value!) || (own !== undefined && /^[\d.]+px$/.test(own))) {
    return [
      ['outline-style', 'solid'],
      ['outline-width', px(value!)],
    ]
  }
  return [['outline-color', color(value!)]]
}

const spaced = (property: string): Rule[1] => {
  return ([, sign, side, value]) =>
    SIDES[side ?? '']!.map((one) => [`${property}${one}`, signed(sign!, length(value!))])
}

/** In order: the first that fits says what a utility is. */
const RULES: readonly Rule[] = [
  [/^\[([\w-]+):([\s\S]+)\]$/, ([, property, value]) => [[property!, arbitrary(`[${value!}]`)!]]],
  [/^(-?)m([xytrbl]?)-(.+)$/, spaced('margin')],
  [/^(-?)p([xytrbl]?)-(.+)$/, spaced('padding')],
  [/^gap-x-(.+)$/, ([, value]) => [['column-gap', length(value!)]]],
  [/^gap-y-(.+)$/, ([, value]) => [['row-gap', length(value!)]]],
  [/^gap-(.+)$/, ([, value]) => [['gap', length(value!)]]],
  [
    /^size-(.+)$/,
    ([, value]) => [
      ['width', length(value!)],
      ['height', length(value!)],
    ],
  ],
  [
    /^(min|max)-(w|h)-(.+)$/,
    ([, bound, side, value]) => [
      [`${bound!}-${side === 'w' ? 'width' : 'height'}`, length(value!)],
    ],
  ],
  [/^(w|h)-(.+)$/, ([, side, value]) => [[side === 'w' ? 'width' : 'height', length(value!)]]],
  [
    /^(-?)inset-(x|y)-(.+)$/,
    ([, sign, side, value]) => [
      [`inset-${side === 'x' ? 'inline' : 'block'}`, signed(sign!, length(value!))],
    ],
  ],
  [/^(-?)inset-(.+)$/, ([, sign, value]) => [['inset', signed(sign!, length(value!))]]],
  [
    /^(-?)(top|right|bottom|left)-(.+)$/,
    ([, sign, side, value]) => [[side!, signed(sign!, length(value!))]],
  ],
  [/^(-?)z-(\d+)$/, ([, sign, value]) => [['z-index', `${sign!}${value!}`]]],
  [
    /^(-?)translate-(x|y)-(.+)$/,
    ([, sign, axis, value]) => [[`translate-${axis!}`, signed(sign!, length(value!))]],
  ],
  [/^scale-(.+)$/, ([, value]) => [['scale', arbitrary(value!) ?? `${value!}%`]]],
  [
    /^(-?)rotate-(.+)$/,
    ([, sign, value]) => [['rotate', `${sign!}${arbitrary(value!) ?? `${value!}deg`}`]],
  ],
  [
    /^(col|row)-span-(\d+)$/,
    ([, axis, count]) => [[`grid-${axis === 'col' ? 'column' : 'row'}`, `span ${count!}`]],
  ],
  [
    /^grid-cols-(\d+)$/,
    ([, count]) => [['grid-template-columns', `repeat(${count!}, minmax(0, 1fr))`]],
  ],
  [/^grid-cols-(\[.+\])$/, ([, value]) => [['grid-template-columns', arbitrary(value!)!]]],
  [/^items-(\w+)$/, ([, value]) => [['align-items', ALIGN[value!]!]]],
  [/^justify-self-(\w+)$/, ([, value]) => [['justify-self', value!]]],
  [/^justify-(\w+)$/, ([, value]) => [['justify-content', ALIGN[value!]!]]],
  [/^self-(\w+)$/, ([, value]) => [['align-self', ALIGN[value!]!]]],
  [/^order-(\d+)$/, ([, value]) => [['order', value!]]],
  [/^text-shadow-(\[.+\])$/, ([, value]) => [['text-shadow', arbitrary(value!)!]]],
  [/^text-(.+)$/, textOf],
  [
    /^font-(.+)$/,
    ([, value], known) =>
      known.has(`font-${value!}`)
        ? [['font-family', `var(--font-${value!})`]]
        : [['font-weight', WEIGHTS[value!] ?? arbitrary(value!) ?? value!]],
  ],
  [/^tracking-(\[.+\])$/, ([, value]) => [['letter-spacing', arbitrary(value!)!]]],
  [/^bg-(.+)$/, backgroundOf],
  [/^border-([trblxy])(?:-(.+))?$/, borderOf],
  [/^border()-(.+)$/, borderOf],
  [
    /^(-?)outline-offset-(.+)$/,
    ([, sign, value]) => [['outline-offset', signed(sign!, px(value!))]],
  ],
  [/^outline-(.+)$/, outlineOf],
  [
    /^rounded(?:-(tl|tr|br|bl|t|r|b|l))?-(.+)$/,
    ([, corner, value]) =>
      CORNERS[corner ?? '']!.map((property) => [
        property,
        RADII[value!] ?? length(value!, 'radius'),
      ]),
  ],
  [
    /^shadow-(.+)$/,
    ([, value]) => [['box-shadow', arbitrary(value!) ?? `var(--shadow-${value!})`]],
  ],
  [/^drop-shadow-(.+)$/, ([, value]) => [['filter', `drop-shadow(${arbitrary(value!)!})`]]],
  [/^filter-(\[.+\])$/, ([, value]) => [['filter', arbitrary(value!)!]]],
  [
    /^blur-(.+)$/,
    ([, value]) => (value === 'none' ? [] : [['filter', `blur(${arbitrary(value!)!})`]]),
  ],
  [
    /^backdrop-blur-(.+)$/,
    ([, value]) => [['backdrop-filter', value === 'none' ? 'none' : `blur(${arbitrary(value!)!})`]],
  ],
  [/^brightness-(\d+)$/, ([, value]) => [['filter', `brightness(${value!}%)`]]],
  [
    /^opacity-(.+)$/,
    ([, value]) => [['opacity', arbitrary(value!) ?? String(Number(value) / 100)]],
  ],
  [/^mix-blend-(.+)$/, ([, value]) => [['mix-blend-mode', value!]]],
  [/^overflow-(x|y)-(\w+)$/, ([, axis, value]) => [[`overflow-${axis!}`, value!]]],
  [/^overflow-(\w+)$/, ([, value]) => [['overflow', value!]]],
  [/^aspect-(\[.+\])$/, ([, value]) => [['aspect-ratio', arbitrary(value!)!.replace('/', ' / ')]]],
  [/^object-(\[.+\])$/, ([, value]) => [['object-position', arbitrary(value!)!]]],
  [/^object-center$/, () => [['object-position', 'center']]],
  [/^object-(\w+)$/, ([, value]) => [['object-fit', value!]]],
  [/^duration-(\d+)$/, ([, value]) => [['transition-duration', `${value!}ms`]]],
  [/^animate-(.+)$/, ([, value]) => [['animation', `var(--animate-${value!})`]]],
]

/** What a utility without its conditions declares; undefined for what is none. */
export const declare = (utility: string, known: Known): readonly Declaration[] | undefined => {
  const words = WORDS[utility]
  if (words) return words
  for (const [pattern, write] of RULES) {
    const match = pattern.exec(utility)
    if (match) return write(match, known)
  }
  return undefined
}
