import { converter, differenceEuclidean } from 'culori'
import { splitColor } from '../design/color.js'
import type { Design } from '../design/design.js'
import { freeKey } from '../design/free-key.js'
import type { Layer } from '../design/layer.js'
import type { Effect } from '../design/paint.js'
import type { Token, TokenType } from '../design/token.js'
import { drawingsOf, walkLayers } from '../design/walk.js'
import { listTokenFields } from './fields.js'
import { nameColor } from './name-color.js'

export type TokenUse = { readonly layer: string; readonly path: string }

/** A token the design does not have yet but repeats the value of, with the places that would use it. */
export type TokenProposal = { readonly token: Token; readonly uses: readonly TokenUse[] }

type Found = { readonly value: unknown; readonly uses: TokenUse[] }

/** A value must stand in this many places to be worth a name. */
export const FEWEST_USES: Readonly<Record<TokenType, number>> = {
  border: 2,
  color: 2,
  radius: 2,
  shadow: 2,
  space: 3,
  type: 2,
}

// Differences in OKLab; below about 0.02 two colours side by side can hardly be told apart.
const SAME_COLOR = 0.02
const toOklab = converter('oklab')
const toOklch = converter('oklch')
const difference = differenceEuclidean('oklab')

/** Values of one type that are written the same, in the order they first appear. */
const collect = (layers: readonly Layer[]): Map<TokenType, Found[]> => {
  const byType = new Map<TokenType, Map<string, Found>>()
  for (const root of layers) {
    walkLayers(root, (layer) => {
      for (const { path, type, value } of listTokenFields(layer)) {
        if (layer.tokens?.[path] !== undefined) continue
        const found = byType.get(type) ?? new Map<string, Found>()
        byType.set(type, found)
        const key = JSON.stringify(value)
        const known = found.get(key) ?? { value, uses: [] }
        found.set(key, known)
        known.uses.push({ layer: layer.key, path })
      }
    })
  }
  return new Map([...byType].map(([type, found]) => [type, [...found.values()]]))
}

/** Colours nobody can tell apart become one: the one that is used most. */
const joinColors = (found: readonly Found[]): Found[] => {
  const joined: Found[] = []
  for (const next of [...found].sort((a, b) => b.uses.length - a.uses.length)) {
    const { color, opacity } = splitColor(next.value as string)
    const near = joined.find((known) => {
      const other = splitColor(known.value as string)
      if (Math.abs(other.opacity - opacity) > 0.02) return false
      return difference(toOklab(color)!, toOklab(other.color)!) < SAME_COLOR
    })
    if (near) near.uses.push(...next.uses)
    else joined.push({ value: next.value, uses: [...next.uses] })
  }
  return joined
}

const nameType = (value: unknown): string => {
  const { size, weight, italic } = value as { size: number; weight: number; italic: boolean }
  return `${Math.round(size)}-${weight}${italic ? '-italic' : ''}`
}

const blurOf = (effects: unknown): number =>
  (effects as readonly Effect[]).reduce((sum, e) => sum + ('blur' in e ? e.blur + e.y : 0), 0)

/** How the values of a type are ordered and called. */
const KINDS: Readonly<
  Record<
    Exclude<TokenType, 'border'>,
    {
      readonly order: (value: unknown) => number
      readonly name: (value: unknown, i: number) => string
    }
  >
> = {
  color: {
    order: (value) => -toOklch(splitColor(value as string).color)!.l,
    name: (value) => `color.${nameColor(value as string)}`,
  },
  radius: { order: Number, name: (value) => `radius.${Math.round(Number(value))}` },
  shadow: { order: blurOf, name: (_value, i) => `shadow.${i + 1}` },
  space: { order: Number, name: (value) => `space.${Math.round(Number(value))}` },
  type: {
    order: (value) => (value as { size: number }).size,
    name: (value) => `type.${nameType(value)}`,
  },
}

/**
 * Values of a type with what they are called, in the order in which they are listed: `#467fcf` is `color.blue-400`. The
 * names are added to those that are taken.
 */
export const nameRepeated = <T extends { readonly value: unknown }>(
  type: keyof typeof KINDS,
  repeated: readonly T[],
  taken: Set<string>,
): readonly (T & { readonly name: string })[] => {
  const { order, name: wanted } = KINDS[type]
  return [...repeated]
    .sort((a, b) => order(a.value) - order(b.value))
    .map((one, i) => {
      const name = freeKey(wanted(one.value, i), taken)
      taken.add(name)
      return { ...one, name }
    })
}

/**
 * Takes a design and returns the tokens it does not have and could: colours (those that look the same count
 * as one), spacing, radii, type styles and shadows that stand in several places. Nothing is changed.
 */
export const proposeTokens = (design: Design): TokenProposal[] => {
  const found = collect(drawingsOf(design))
  const names = new Set(design.tokens.map((token) => token.name))
  const mode = design.modes[0]!
  return (Object.keys(KINDS) as (keyof typeof KINDS)[]).flatMap((type) => {
    const values = type === 'color' ? joinColors(found.get(type) ?? []) : (found.get(type) ?? [])
    const repeated = values
      .filter(({ uses }) => uses.length >= FEWEST_USES[type])
      .sort((a, b) => b.uses.length - a.uses.length)
    return nameRepeated(type, repeated, names).map(({ name, value, uses }): TokenProposal => {
      const token = { name, type, values: { [mode]: value } } as Token
      return { token, uses }
    })
  })
}
