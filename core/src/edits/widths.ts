import type { Design } from '../design/design.js'
import type { LayerWidths, WidthDifference } from '../design/widths.js'
import type { EditOf } from './edit.js'
import { hasLayer } from './has-layer.js'
import { changeLayer } from './layers.js'

/** Changes what is said about one layer; what says nothing any more is left out. */
const say = (design: Design, key: string, change: (widths: LayerWidths) => LayerWidths): Design => {
  if (!hasLayer(design, key)) return design
  const before = design.widths?.[key] ?? {}
  const after = change(before)
  if (JSON.stringify(after) === JSON.stringify(before)) return design
  const { [key]: _before, ...others } = design.widths ?? {}
  const isEmpty = Object.values(after).every((value) => value === undefined)
  return { ...design, widths: isEmpty ? others : { ...others, [key]: after } }
}

export const giveWay = (design: Design, { layer, as }: EditOf<'give-way'>): Design =>
  say(design, layer, ({ giveWay: _before, ...rest }) => (as ? { ...rest, giveWay: as } : rest))

export const holdContent = (design: Design, { layer, px }: EditOf<'hold-content'>): Design =>
  say(design, layer, ({ contentMax: _before, ...rest }) =>
    px === undefined ? rest : { ...rest, contentMax: px },
  )

const isSameRange = (
  a: WidthDifference,
  b: { from: number; below?: number | undefined },
): boolean => a.from === b.from && a.below === b.below

/** Only what is said changes; null takes all that was said about these widths away. */
export const setAt = (design: Design, edit: EditOf<'set-at'>): Design => {
  const { layer, from, below, set } = edit
  return say(design, layer, ({ at = [], ...rest }) => {
    const range = { from, ...(below === undefined ? {} : { below }) }
    const known = at.find((difference) => isSameRange(difference, range))
    const others = at.filter((difference) => difference !== known)
    const next = set ? [...others, { ...known, ...set, ...range }] : others
    const sorted = next.sort(
      (a, b) => a.from - b.from || (a.below ?? Infinity) - (b.below ?? Infinity),
    )
    return sorted.length > 0 ? { ...rest, at: sorted } : rest
  })
}

export const setBreakpoints = (design: Design, { px }: EditOf<'set-breakpoints'>): Design => {
  const { breakpoints: before, ...rest } = design
  if (px === null) return before ? rest : design
  const sorted = [...new Set(px)].sort((a, b) => a - b)
  return JSON.stringify(sorted) === JSON.stringify(before)
    ? design
    : { ...design, breakpoints: sorted }
}

/** Which screens are one screen at several widths; a screen is part of one group only. */
export const setArtboards = (design: Design, { groups }: EditOf<'set-artboards'>): Design => {
  const screens = new Set(design.screens.map((screen) => screen.key))
  const all = groups.flat()
  const isSound = all.every((key) => screens.has(key)) && new Set(all).size === all.length
  if (!isSound) return design
  const matchesOf = (group: readonly string[]) =>
    design.artboards.find((known) => known.screens.some((key) => group.includes(key)))?.matches
  const artboards = groups.map((group) => {
    const matches = matchesOf(group)
    return { screens: [...group], ...(matches ? { matches } : {}) }
  })
  // A design that says nothing is grouped by names; that nothing belongs together is said by a lone screen.
  const said = artboards.length > 0 ? artboards : [{ screens: [design.screens[0]!.key] }]
  return JSON.stringify(said) === JSON.stringify(design.artboards)
    ? design
    : { ...design, artboards: said }
}

/** The layer of another artboard that a layer is the same as: a key, null for none, absent to leave it to the program. */
export const match = (design: Design, { layer, to, screens }: EditOf<'match'>): Design => {
  if (!hasLayer(design, layer) || (to && !hasLayer(design, to))) return design
  const known = design.artboards.find((group) =>
    screens.every((key) => group.screens.includes(key)),
  )
  const group = known ?? { screens: [...screens] }
  const keys = new Set(design.screens.map((screen) => screen.key))
  if (!screens.every((key) => keys.has(key))) return design
  const { [layer]: before, ...others } = group.matches ?? {}
  if (before === to && known) return design
  const matches = to === undefined ? others : { ...others, [layer]: to }
  const { matches: _matches, ...rest } = group
  const next = Object.keys(matches).length > 0 ? { ...rest, matches } : rest
  return { ...design, artboards: [...design.artboards.filter((g) => g !== known), next] }
}

export const setLimits = (design: Design, edit: EditOf<'set-limits'>): Design =>
  changeLayer(design, edit.layer, (layer) => {
    const limits = Object.fromEntries(
      Object.entries({ ...layer.limits, ...edit.limits }).filter(([, value]) => value !== null),
    ) as NonNullable<typeof layer.limits>
    if (JSON.stringify(limits) === JSON.stringify(layer.limits ?? {})) return layer
    const { limits: _before, ...rest } = layer
    return (Object.keys(limits).length > 0 ? { ...rest, limits } : rest) as typeof layer
  })
