import type { Design } from './design.js'
import type { TextRun } from './text.js'

// Defaults that are the same wherever the field stands; the schema fills them in again.
const DEFAULTS: Readonly<Record<string, unknown>> = {
  blend: 'normal',
  clip: false,
  decoration: 'none',
  flow: 'in',
  inset: false,
  italic: false,
  letterSpacing: 0,
  opacity: 1,
  padding: 0,
  rotationDeg: 0,
  rule: 'nonzero',
  spread: 0,
  visible: true,
  wrap: false,
}
const EMPTY_LISTS = new Set([
  'artboards',
  'children',
  'components',
  'dash',
  'effects',
  'fills',
  'properties',
  'strokes',
  'tokens',
])
const EMPTY_RECORDS = new Set(['assets', 'props', 'variant'])
/** Their fields are names chosen by people, or complete values: nothing in them is a default. */
const VERBATIM = new Set([
  'assets',
  'boxes',
  'matches',
  'props',
  'tokens',
  'values',
  'variant',
  'widths',
])

const isDefault = (key: string, value: unknown, owner: object): boolean => {
  if (value === undefined) return true
  if (EMPTY_LISTS.has(key) && Array.isArray(value)) return value.length === 0
  if (EMPTY_RECORDS.has(key)) return Object.keys(value as object).length === 0
  // A gradient and a blur also have a radius, and theirs has no default.
  if (key === 'radius') return value === 0 && !('kind' in owner)
  if (key === 'sizing') {
    const sizing = value as { width: string; height: string }
    return sizing.width === 'fixed' && sizing.height === 'fixed'
  }
  return key in DEFAULTS && DEFAULTS[key] === value
}

const writeRun = ({ text, style }: TextRun): unknown =>
  Object.keys(style).length > 0 ? { text, style } : { text }

const strip = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(strip)
  if (typeof value !== 'object' || value === null) return value
  const out: Record<string, unknown> = {}
  for (const [key, inner] of Object.entries(value)) {
    if (isDefault(key, inner, value)) continue
    if (key === 'runs') out[key] = (inner as TextRun[]).map(writeRun)
    else if (VERBATIM.has(key) && !Array.isArray(inner)) out[key] = inner
    else out[key] = strip(inner)
  }
  return out
}

/**
 * A design as a JSON value without the fields that have their default value, which is how a person
 * would write it. `readDesign(writeDesign(d))` gives `d` back.
 */
export const writeDesign = (design: Design): unknown => strip(design)
