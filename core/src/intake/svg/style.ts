import type { XmlElement } from './xml.js'

/** Properties that an element without its own value takes from its parent (SVG 2, property index). */
const INHERITED = [
  'color',
  'fill',
  'fill-opacity',
  'fill-rule',
  'font-family',
  'font-size',
  'font-style',
  'font-weight',
  'letter-spacing',
  'line-height',
  'stroke',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-opacity',
  'stroke-width',
  'text-anchor',
  'text-decoration',
  'text-transform',
  'visibility',
  'xml:space',
] as const

const OWN = [
  'clip-path',
  'display',
  'filter',
  'mask',
  'mix-blend-mode',
  'opacity',
  'stop-color',
  'stop-opacity',
] as const

type Property = (typeof INHERITED)[number] | (typeof OWN)[number]
export type Style = Readonly<Partial<Record<Property, string>>>

const KNOWN: ReadonlySet<string> = new Set([...INHERITED, ...OWN])

/** `fill: red; opacity: .5` → pairs. */
const parseDeclarations = (text: string): [string, string][] =>
  text.split(';').flatMap((declaration): [string, string][] => {
    const colon = declaration.indexOf(':')
    if (colon < 0) return []
    const value = declaration.slice(colon + 1).replace(/!important\s*$/, '')
    return [[declaration.slice(0, colon).trim(), value.trim()]]
  })

/** The style of an element: what it inherits, its presentation attributes, then its `style`. */
export const resolveStyle = (element: XmlElement, parent: Style): Style => {
  const style: Partial<Record<string, string>> = {}
  for (const property of INHERITED) {
    const value = parent[property]
    if (value !== undefined) style[property] = value
  }
  const set = (name: string, value: string): void => {
    if (!KNOWN.has(name)) return
    if (value === 'inherit') style[name] = parent[name as Property]
    else style[name] = value
  }
  for (const name in element.attributes) set(name, element.attributes[name]!)
  const inline = element.attributes['style']
  if (inline) for (const [name, value] of parseDeclarations(inline)) set(name, value)
  return style as Style
}

const PX_PER_UNIT: Readonly<Record<string, number>> = {
  '': 1,
  px: 1,
  pt: 4 / 3,
  pc: 16,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  em: 16,
  rem: 16,
}

/** A length in px; `%` is taken of `whole`. NaN when it is not a length. */
export const parseLength = (text: string, whole = 0): number => {
  const match = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*(%|[a-z]*)\s*$/i.exec(text)
  if (!match) return Number.NaN
  const value = Number(match[1])
  const unit = match[2]!.toLowerCase()
  return unit === '%' ? (value / 100) * whole : value * (PX_PER_UNIT[unit] ?? Number.NaN)
}
