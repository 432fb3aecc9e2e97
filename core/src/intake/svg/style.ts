import type { StyleSheet } from './style-sheet.js'
import type { XmlElement } from './xml.js'

/** Properties that an element without its own value takes from its parent (SVG 2, property index). */
const INHERITED_NAMES = [
  'clip-rule',
  'color',
  'dominant-baseline',
  'fill',
  'fill-opacity',
  'fill-rule',
  'font-family',
  'font-size',
  'font-style',
  'font-weight',
  'letter-spacing',
  'line-height',
  'marker-end',
  'marker-mid',
  'marker-start',
  'paint-order',
  'stroke',
  'stroke-dasharray',
  'stroke-dashoffset',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-opacity',
  'stroke-width',
  'text-anchor',
  'text-decoration',
  'text-transform',
  'visibility',
  'white-space',
  'word-spacing',
  'writing-mode',
  'xml:space',
] as const

const OWN = [
  'backdrop-filter',
  'clip-path',
  'display',
  'filter',
  'flood-color',
  'flood-opacity',
  'mask',
  'mask-type',
  'mix-blend-mode',
  'opacity',
  'stop-color',
  'stop-opacity',
  'vector-effect',
] as const

type Property = (typeof INHERITED_NAMES)[number] | (typeof OWN)[number]
export type Style = Readonly<Partial<Record<Property, string>>>

const INHERITED: ReadonlySet<string> = new Set(INHERITED_NAMES)
const KNOWN: ReadonlySet<string> = new Set([...INHERITED, ...OWN])

// Geometry that SVG 2 also allows in style sheets; without it such shapes would have no size.
const GEOMETRY: ReadonlySet<string> = new Set([
  'cx',
  'cy',
  'd',
  'height',
  'r',
  'rx',
  'ry',
  'transform',
  'width',
  'x',
  'y',
])

const GEOMETRY_IN_STYLE = /(?:^|[;\s])(?:[cr]?[xyr]|d|width|height|transform)\s*:/

type Declared = { readonly name: string; readonly value: string; readonly important: boolean }

/** `fill: red; opacity: .5 !important` → declarations. */
const parseDeclarations = (text: string): Declared[] => {
  // Semicolons inside url(data:…;base64,…) or quotes separate nothing.
  const parts = text.match(/(?:[^;("']|\([^)]*\)|"[^"]*"|'[^']*')+/g) ?? []
  return parts.flatMap((declaration) => {
    const colon = declaration.indexOf(':')
    if (colon < 0) return []
    const value = declaration.slice(colon + 1).trim()
    const bare = value.replace(/\s*!important\s*$/, '')
    return [{ name: declaration.slice(0, colon).trim(), value: bare, important: bare !== value }]
  })
}

// `style` of `font`: everything before the size, then size/line-height, then the families (CSS Fonts 4, 4.6).
const FONT =
  /^(.*?)((?:\d+\.?\d*|\.\d+)(?:px|pt|em|rem|%|pc|in|cm|mm))(?:\s*\/\s*([^\s]+))?\s+(.+)$/

/** `italic 700 16px/24px Inter` → longhands. */
const expandFont = (value: string): [string, string][] => {
  const [, before = '', size, lineHeight, family] = FONT.exec(value) ?? []
  if (!size || !family) return []
  const weight = /\b(bold|bolder|lighter|[1-9]00)\b/.exec(before)?.[1] ?? '400'
  const style = /\b(italic|oblique)\b/.exec(before)?.[1] ?? 'normal'
  return [
    ['font-size', size],
    ['font-family', family],
    ['font-weight', weight],
    ['font-style', style],
    ...(lineHeight ? ([['line-height', lineHeight]] as [string, string][]) : []),
  ]
}

const SIZE_WORDS: Readonly<Record<string, number>> = {
  'xx-small': 9,
  'x-small': 10,
  small: 13,
  medium: 16,
  large: 18,
  'x-large': 24,
  'xx-large': 32,
}

/** A font size in px: children inherit the computed size, not the word or share it was written as. */
const computeFontSize = (value: string, parentPx: number): number => {
  if (value in SIZE_WORDS) return SIZE_WORDS[value]!
  if (value === 'larger') return parentPx * 1.2
  if (value === 'smaller') return parentPx / 1.2
  return parseLength(value, parentPx, parentPx)
}

/** `var(--ink, #111)` → what the variable holds, else the fallback. */
const substitute = (value: string, variables: ReadonlyMap<string, string>, depth = 0): string => {
  if (!value.includes('var(') || depth > 8) return value
  const next = value.replace(
    /var\(\s*(--[^\s,)]+)\s*(?:,((?:[^()]|\([^()]*\))*))?\)/,
    (_, name: string, fallback?: string) => variables.get(name) ?? (fallback ?? '').trim(),
  )
  return next === value ? value : substitute(next, variables, depth + 1)
}

const SHORTHANDS: ReadonlySet<string> = new Set(['font', 'text-decoration-line'])

/** What the children of an element with this style take from it; worked out once for all of them. */
export const inheritable = (style: Style): Style => {
  const taken: Partial<Record<string, string>> = {}
  for (const property in style) {
    if (INHERITED.has(property)) taken[property] = style[property as Property]!
  }
  return taken
}

const NO_VARIABLES: ReadonlyMap<string, string> = new Map()

/**
 * The style of an element (CSS Cascade 5, 6): what it inherits (`parent`, see `inheritable`), its
 * presentation attributes, what style sheets say, then its `style`; important ones last.
 */
export const resolveStyle = (
  element: XmlElement,
  parent: Style,
  sheet?: StyleSheet,
  parentOf?: (element: XmlElement) => XmlElement | undefined,
): Style => {
  // Copied by hand: adding to a spread copy is many times slower in engines of today.
  const style: Partial<Record<string, string>> = {}
  for (const property in parent) style[property] = parent[property as Property]!
  const variables = sheet?.variables ?? NO_VARIABLES
  const set = (name: string, raw: string): void => {
    if (!KNOWN.has(name) && !SHORTHANDS.has(name)) return
    const value = substitute(raw, variables)
    if (name === 'font') for (const [longhand, part] of expandFont(value)) set(longhand, part)
    else if (name === 'text-decoration-line') style['text-decoration'] = value
    else if (value === 'inherit') style[name] = parent[name as Property]
    else if (value === 'initial' || value === 'unset') delete style[name]
    else if (name === 'font-size') {
      const px = computeFontSize(value, Number.parseFloat(parent['font-size'] ?? '16') || 16)
      if (Number.isFinite(px)) style[name] = `${px}`
    } else style[name] = value
  }
  for (const name in element.attributes) set(name, element.attributes[name]!)
  const important: Declared[] = []
  const apply = (declarations: readonly Declared[]): void => {
    for (const declared of declarations) {
      if (declared.important) important.push(declared)
      else set(declared.name, declared.value)
    }
  }
  if (sheet && parentOf && !sheet.isEmpty) apply(sheet.declarationsFor(element, parentOf))
  const inline = element.attributes['style']
  if (inline) apply(parseDeclarations(inline))
  for (const { name, value } of important) set(name, value)
  return style as Style
}

/** An element whose style sheet or `style` gives it geometry, with that written as attributes. */
export const withStyledGeometry = (
  element: XmlElement,
  sheet: StyleSheet,
  parentOf: (element: XmlElement) => XmlElement | undefined,
): XmlElement => {
  const inline = element.attributes['style']
  if (sheet.isEmpty && !(inline && GEOMETRY_IN_STYLE.test(inline))) return element
  const declared = [
    ...sheet.declarationsFor(element, parentOf),
    ...(inline ? parseDeclarations(inline) : []),
  ].filter(({ name }) => GEOMETRY.has(name))
  if (declared.length === 0) return element
  const attributes = { ...element.attributes }
  for (const { name, value } of declared) {
    // `d: path("M…")`, `transform: translate(1px, 2px)`
    const text = name === 'd' ? value.replace(/^path\(\s*["']|["']\s*\)$/g, '') : value
    attributes[name] = name === 'transform' ? text.replace(/(\d)(?:px|deg)/g, '$1') : text
  }
  return { ...element, attributes }
}

const PX_PER_UNIT: Readonly<Record<string, number>> = {
  '': 1,
  px: 1,
  pt: 4 / 3,
  pc: 16,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  q: 96 / 101.6,
  rem: 16,
}

/** A length in px; `%` is taken of `whole`, `em` and `ex` of `fontPx`. NaN when it is not a length. */
export const parseLength = (text: string, whole = 0, fontPx = 16): number => {
  const match = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*(%|[a-z]*)\s*$/i.exec(text)
  if (!match) return Number.NaN
  const value = Number(match[1])
  const unit = match[2]!.toLowerCase()
  if (unit === '%') return (value / 100) * whole
  if (unit === 'em') return value * fontPx
  if (unit === 'ex' || unit === 'ch') return (value * fontPx) / 2
  return value * (PX_PER_UNIT[unit] ?? Number.NaN)
}
