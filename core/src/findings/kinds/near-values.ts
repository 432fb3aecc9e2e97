import { differenceCiede2000, parse } from 'culori'
import type { SingleEdit } from '../../edits/edit.js'
import { listTokenFields } from '../../tokens/fields.js'
import { count, type Entry, type ScreenContext } from '../context.js'
import type { Found, FindingKind } from '../kind.js'

type Use = { readonly entry: Entry; readonly path: string }
type Value<T> = { readonly value: T; readonly uses: Use[] }

/** Values by how often they are used, the most used first; of equals the one seen first. */
const byUse = <T>(values: ReadonlyMap<T, Use[]>): Value<T>[] =>
  [...values]
    .map(([value, uses]) => ({ value, uses }))
    .sort((a, b) => b.uses.length - a.uses.length)

const collect = <T>(
  { entries }: ScreenContext,
  read: (entry: Entry) => readonly { path: string; value: T }[],
): Map<T, Use[]> => {
  const values = new Map<T, Use[]>()
  for (const entry of entries) {
    if (!entry.isSeen) continue
    for (const { path, value } of read(entry)) {
      const uses = values.get(value)
      if (uses) uses.push({ entry, path })
      else values.set(value, [{ entry, path }])
    }
  }
  return values
}

/** Each value that is nearly a more used one, with that one. A value is mended only once. */
const pairNear = <T>(
  values: readonly Value<T>[],
  distance: (a: T, b: T) => number,
  most: number,
): { from: Value<T>; to: Value<T>; by: number }[] => {
  const kept: Value<T>[] = []
  const pairs: { from: Value<T>; to: Value<T>; by: number }[] = []
  for (const value of values) {
    const near = kept
      .map((to) => ({ to, by: distance(value.value, to.value) }))
      .filter(({ by }) => by <= most)
      .sort((a, b) => a.by - b.by)[0]
    if (near) pairs.push({ from: value, ...near })
    else kept.push(value)
  }
  return pairs
}

const toFound = <T extends string | number>(
  { from, to }: { from: Value<T>; to: Value<T> },
  words: { readonly one: string; readonly show: (value: T) => string },
  change: { readonly px: number; readonly deltaE: number },
): Found => ({
  layers: [...new Set(from.uses.map(({ entry }) => entry.layer.key))],
  evidence: from.uses.slice(0, 50).map(({ entry }) => entry.box),
  message: `${words.show(from.value)} (${count(from.uses.length, 'use')}) is nearly ${words.show(to.value)} (${count(to.uses.length, 'use')}).`,
  remedy: {
    label: `Use ${words.show(to.value)}`,
    edits: from.uses.map(({ entry, path }): SingleEdit => ({
      kind: 'set-value',
      layer: entry.layer.key,
      path,
      value: to.value,
    })),
    isSafe: false,
    change,
  },
})

/** Colours closer than this look alike beside each other (CIE 142-2001). */
const NEAR_COLOR = 2.3
const difference = differenceCiede2000()

const opaque = (color: string): string => color.slice(0, 7)
const alphaOf = (color: string): string => color.slice(7)

export const nearColors: FindingKind = {
  id: 'near-colors',
  area: 'consistency',
  severity: 'hint',
  title: 'Near-equal colours',
  why: 'Two colours nobody can tell apart become two values in the theme.',
  find: (context) => {
    const colors = collect(context, ({ layer }) =>
      listTokenFields(layer).flatMap(({ path, type, value }) =>
        type === 'color' && !path.startsWith('runs.') && !layer.tokens?.[path]
          ? [{ path, value: value as string }]
          : [],
      ),
    )
    const known = new Map<string, ReturnType<typeof parse>>()
    const read = (color: string): ReturnType<typeof parse> => {
      if (!known.has(color)) known.set(color, parse(opaque(color)))
      return known.get(color)
    }
    const pairs = pairNear(
      byUse(colors),
      (a, b) =>
        alphaOf(a) === alphaOf(b) && read(a) && read(b) ? difference(read(a)!, read(b)!) : Infinity,
      NEAR_COLOR,
    )
    return pairs.map((pair) =>
      toFound(pair, { one: 'colour', show: (v) => v }, { px: 0, deltaE: NEAR_COLOR }),
    )
  },
}

const px = (value: number): string => `${value} px`

/** Sizes of text closer than this, in shares, are meant to be one. */
const NEAR_SIZE = 0.05

export const nearTextSizes: FindingKind = {
  id: 'near-text-sizes',
  area: 'consistency',
  severity: 'hint',
  title: 'Near-equal text sizes',
  why: 'A scale of sizes that differ by less than can be seen is no scale.',
  find: (context) => {
    const sizes = collect(context, ({ layer }) =>
      layer.type === 'text' && !layer.tokens?.['style']
        ? [{ path: 'style.size', value: layer.style.size }]
        : [],
    )
    const distance = (a: number, b: number): number => Math.abs(a - b) / Math.max(a, b)
    return pairNear(byUse(sizes), distance, NEAR_SIZE).map((pair) => {
      const widest = Math.max(...pair.from.uses.map(({ entry }) => entry.box.width))
      const change = { px: Math.ceil(widest * NEAR_SIZE) + 1, deltaE: 0 }
      return toFound(pair, { one: 'size', show: px }, change)
    })
  },
}

const NEAR_RADIUS_PX = 1.01

export const nearRadii: FindingKind = {
  id: 'near-radii',
  area: 'consistency',
  severity: 'hint',
  title: 'Near-equal radii',
  why: 'Corners that differ by a px become different classes.',
  find: (context) => {
    const radii = collect(context, ({ layer }) =>
      'radius' in layer && typeof layer.radius === 'number' && layer.radius > 0
        ? layer.tokens?.['radius']
          ? []
          : [{ path: 'radius', value: layer.radius }]
        : [],
    )
    const pairs = pairNear(byUse(radii), (a, b) => Math.abs(a - b), NEAR_RADIUS_PX)
    return pairs.map((pair) => toFound(pair, { one: 'radius', show: px }, { px: 1, deltaE: 0 }))
  },
}
