import { converter, formatHex, formatHex8, parse } from 'culori'
import type { Effect } from '../design/paint.js'
import type { Token, TokenType } from '../design/token.js'
import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'

// The design token format of the W3C community group: https://www.designtokens.org/tr/2025.10/format/.
// Older files write colours and dimensions as text; both forms are read.

type Json = Readonly<Record<string, unknown>>

/** A token as the file has it: its path, type and value, not yet understood. */
type Raw = {
  readonly name: string
  /** Which of our types a dimension is, where we wrote it down. */
  readonly kind: unknown
  readonly type: string | undefined
  readonly value: unknown
  readonly description: string | undefined
}

const isRecord = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Under which `$extensions` hold what the format cannot say. */
export const EXTENSION = 'org.unimorph.kind'

/** Deepest nesting of groups that is followed. */
const MOST_DEPTH = 40

const collect = (file: Json): Raw[] => {
  const found: Raw[] = []
  const visit = (node: Json, path: readonly string[], type: string | undefined): void => {
    const ownType = typeof node['$type'] === 'string' ? node['$type'] : type
    if ('$value' in node) {
      if (path.length === 0) return
      const description = node['$description']
      found.push({
        name: path.join('.'),
        type: ownType,
        kind: isRecord(node['$extensions']) ? node['$extensions'][EXTENSION] : undefined,
        value: node['$value'],
        description: typeof description === 'string' ? description : undefined,
      })
      return
    }
    if (path.length > MOST_DEPTH) return
    for (const [key, child] of Object.entries(node)) {
      // `$root` is the token that bears the name of its group.
      if (key === '$root' && isRecord(child)) visit(child, path, ownType)
      else if (!key.startsWith('$') && isRecord(child)) visit(child, [...path, key], ownType)
    }
  }
  visit(file, [], undefined)
  return found
}

/** Whether a JSON value is a token file: it holds a `$value` somewhere and is no design. */
export const isTokenFile = (document: unknown): boolean =>
  isRecord(document) && document['format'] === undefined && collect(document).length > 0

const ALIAS = /^\{([^{}]+)\}$/

/** A reason why a value cannot be used; thrown inside, reported as a note. */
class Unusable extends Error {}

const toSrgb = converter('rgb')

const readColor = (value: unknown): string => {
  if (typeof value === 'string') {
    const color = parse(value)
    if (!color) throw new Unusable(`"${value}" is no colour`)
    return (color.alpha ?? 1) < 1 ? formatHex8(color) : formatHex(color)
  }
  if (!isRecord(value)) throw new Unusable('it is no colour')
  const { colorSpace, components, alpha = 1, hex } = value
  const opacity = typeof alpha === 'number' ? alpha : 1
  let color = typeof hex === 'string' ? parse(hex) : undefined
  if (typeof colorSpace === 'string' && Array.isArray(components)) {
    const list = components.map((c: unknown) => (typeof c === 'number' ? String(c) : 'none'))
    const [a = '0', b = '0', c = '0'] = list
    const text: Readonly<Record<string, string>> = {
      hsl: `hsl(${a} ${b}% ${c}%)`,
      hwb: `hwb(${a} ${b}% ${c}%)`,
      lab: `lab(${list.join(' ')})`,
      lch: `lch(${list.join(' ')})`,
      oklab: `oklab(${list.join(' ')})`,
      oklch: `oklch(${list.join(' ')})`,
    }
    // A stated hex value is the author's own fallback for spaces a screen may not show.
    color = color ?? parse(text[colorSpace] ?? `color(${colorSpace} ${list.join(' ')})`)
  }
  const rgb = color && toSrgb(color)
  if (!rgb) throw new Unusable('it is no colour')
  return opacity < 1 ? formatHex8({ ...rgb, alpha: opacity }) : formatHex(rgb)
}

const PX_PER_REM = 16

const readDimension = (value: unknown): number => {
  const { value: amount, unit } = isRecord(value)
    ? { value: value['value'], unit: value['unit'] }
    : typeof value === 'string'
      ? { value: Number.parseFloat(value), unit: value.replace(/^[-+\d.e]+/i, '').trim() || 'px' }
      : { value, unit: 'px' }
  if (typeof amount !== 'number' || !Number.isFinite(amount)) throw new Unusable('it is no length')
  if (unit === 'px') return amount
  if (unit === 'rem' || unit === 'em') return amount * PX_PER_REM
  throw new Unusable(`the unit ${JSON.stringify(unit)} is not px or rem`)
}

const WEIGHTS: Readonly<Record<string, number>> = {
  thin: 100,
  hairline: 100,
  'extra-light': 200,
  'ultra-light': 200,
  light: 300,
  normal: 400,
  regular: 400,
  book: 400,
  medium: 500,
  'semi-bold': 600,
  'demi-bold': 600,
  bold: 700,
  'extra-bold': 800,
  'ultra-bold': 800,
  black: 900,
  heavy: 900,
  'extra-black': 950,
  'ultra-black': 950,
}

const readWeight = (value: unknown): number => {
  const weight =
    typeof value === 'string' ? (WEIGHTS[value.toLowerCase()] ?? Number(value)) : Number(value)
  if (!(weight >= 1 && weight <= 1000)) throw new Unusable('its weight is not from 1 to 1000')
  return weight
}

const readFamily = (value: unknown): string => {
  const first: unknown = Array.isArray(value) ? value[0] : value
  if (typeof first !== 'string' || first === '') throw new Unusable('it names no font family')
  return first
    .split(',')[0]!
    .trim()
    .replace(/^["']|["']$/g, '')
}

/** Follows aliases inside composite values, and whole ones where a value is needed. */
type Resolve = (value: unknown) => unknown

const readType = (value: unknown, resolve: Resolve): unknown => {
  if (!isRecord(value)) throw new Unusable('it is no type style')
  const part = (name: string): unknown => resolve(value[name])
  const size = readDimension(part('fontSize'))
  const lineHeight = part('lineHeight')
  const spacing = part('letterSpacing')
  // A plain number is a multiple of the size, as in CSS.
  const height =
    lineHeight === undefined
      ? undefined
      : typeof lineHeight === 'number'
        ? lineHeight * size
        : readDimension(lineHeight)
  const round = (px: number): number => Math.round(px * 100) / 100
  return {
    family: readFamily(part('fontFamily')),
    weight: value['fontWeight'] === undefined ? 400 : readWeight(part('fontWeight')),
    italic: part('fontStyle') === 'italic',
    size,
    ...(height === undefined ? {} : { lineHeight: round(height) }),
    letterSpacing: spacing === undefined ? 0 : round(readDimension(spacing)),
    decoration: 'none',
    case: 'as-typed',
  }
}

const readShadow = (value: unknown, resolve: Resolve): Effect[] => {
  const list: readonly unknown[] = Array.isArray(value) ? value : [value]
  return list.map((entry): Effect => {
    const shadow = resolve(entry)
    if (!isRecord(shadow)) throw new Unusable('it is no shadow')
    const length = (name: string): number =>
      shadow[name] === undefined ? 0 : readDimension(resolve(shadow[name]))
    return {
      kind: 'shadow',
      inset: resolve(shadow['inset']) === true,
      x: length('offsetX'),
      y: length('offsetY'),
      blur: Math.max(0, length('blur')),
      spread: length('spread'),
      color: readColor(resolve(shadow['color'])),
    }
  })
}

const readBorder = (value: unknown, resolve: Resolve): unknown => {
  if (!isRecord(value)) throw new Unusable('it is no border')
  const style = resolve(value['style'])
  return {
    color: readColor(resolve(value['color'])),
    width: Math.max(0, readDimension(resolve(value['width']))),
    dashed: style === 'dashed' || style === 'dotted' || isRecord(style),
  }
}

type Kind = {
  readonly type: TokenType
  readonly read: (value: unknown, resolve: Resolve) => unknown
}

export const isRadiusName = (name: string): boolean => /radi(us|i)|corner|round/i.test(name)

/** The kind of our token that a token of the file becomes; undefined for types a design has no use for. */
const kindOf = (type: string | undefined, { name, kind }: Raw): Kind | undefined => {
  switch (type) {
    case 'color':
      return { type: 'color', read: readColor }
    case 'dimension':
      return kind === 'radius' || (kind !== 'space' && isRadiusName(name))
        ? { type: 'radius', read: readDimension }
        : { type: 'space', read: readDimension }
    case 'shadow':
      return { type: 'shadow', read: readShadow }
    case 'typography':
      return { type: 'type', read: readType }
    case 'border':
      return { type: 'border', read: readBorder }
    default:
      return undefined
  }
}

export type TokenFile = { readonly name: string; readonly document: unknown }
export type ReadTokens = {
  readonly modes: readonly string[]
  readonly tokens: readonly Token[]
  readonly notes: readonly Note[]
}

/** `tokens.light.json`, `tokens.dark.json` → light, dark: what the names do not have in common. */
const modesOf = (files: readonly TokenFile[]): string[] => {
  const words = files.map(({ name }) =>
    name
      .replace(/\.json$/i, '')
      .replace(/\.tokens?$/i, '')
      .split(/[._\s-]+/),
  )
  const isShared = (word: string): boolean => words.every((list) => list.includes(word))
  const modes = words.map((list, i) => {
    const own = files.length > 1 ? list.filter((word) => !isShared(word)) : list
    const known = own.find((w) => /^(light|dark|day|night|default|base|hc|contrast)$/i.test(w))
    const word = known ?? (files.length > 1 ? own.join(' ') : 'default')
    return word.toLowerCase() || `mode ${i + 1}`
  })
  return modes.map((mode, i) => (modes.indexOf(mode) === i ? mode : `${mode} ${i + 1}`))
}

/** Which type an alias has, following it to a token that says. */
const typeOf = (raw: Raw, all: ReadonlyMap<string, Raw>): string | undefined => {
  const seen = new Set<Raw>()
  for (let r: Raw | undefined = raw; r && !seen.has(r);) {
    seen.add(r)
    if (r.type !== undefined) return r.type
    const alias: string | undefined =
      typeof r.value === 'string' ? ALIAS.exec(r.value)?.[1] : undefined
    r = alias === undefined ? undefined : all.get(alias)
  }
  return undefined
}

/**
 * Reads token files, one for each mode; the first is the mode layers are drawn in. Aliases stay aliases;
 * types that a design has no place for (times, curves, …) are counted in a note.
 */
export const readTokens = (files: readonly TokenFile[]): ReadTokens => {
  const found: Note[] = []
  const modes = modesOf(files)
  type Draft = {
    name: string
    type: TokenType
    description?: string
    values: Record<string, unknown>
  }
  const drafts = new Map<string, Draft>()
  files.forEach(({ name: file, document }, i) => {
    const raws = isRecord(document) ? collect(document) : []
    const all = new Map(raws.map((raw) => [raw.name, raw]))
    const skipped = new Map<string, number>()
    const resolve: Resolve = (value) => {
      let current = value
      for (let n = 0; n < 100; n++) {
        const alias = typeof current === 'string' && ALIAS.exec(current)?.[1]
        if (!alias) return current
        const target = all.get(alias)
        if (!target) throw new Unusable(`there is no token "${alias}"`)
        current = target.value
      }
      throw new Unusable('its alias leads back to itself')
    }
    for (const raw of raws) {
      const type = typeOf(raw, all)
      const kind = kindOf(type, raw)
      if (!kind) {
        skipped.set(type ?? 'without a type', (skipped.get(type ?? 'without a type') ?? 0) + 1)
        continue
      }
      try {
        const alias = typeof raw.value === 'string' ? ALIAS.exec(raw.value)?.[1] : undefined
        // An alias to a token that was left out, or of another kind, is replaced by its value.
        const target = alias === undefined ? undefined : all.get(alias)
        const resolved = kind.read(resolve(raw.value), resolve)
        const keeps = target && kindOf(typeOf(target, all), target)?.type === kind.type
        const value = keeps ? `{${alias}}` : resolved
        const draft = drafts.get(raw.name)
        if (!draft) {
          drafts.set(raw.name, {
            name: raw.name,
            type: kind.type,
            ...(raw.description === undefined ? {} : { description: raw.description }),
            values: { [modes[i]!]: value },
          })
        } else if (draft.type === kind.type) draft.values[modes[i]!] = value
        else throw new Unusable(`it is a ${draft.type} in another mode`)
      } catch (error) {
        if (!(error instanceof Unusable)) throw error
        found.push(notes.tokenRefused(file, raw.name, error.message))
      }
    }
    for (const [type, count] of skipped) found.push(notes.tokensSkipped(file, type, count))
  })
  // What only exists in a later mode still needs a value in the first: the order of the values decides.
  return { modes, tokens: [...drafts.values()] as Token[], notes: found }
}
