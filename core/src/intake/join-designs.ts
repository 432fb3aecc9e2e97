import type { Property } from '../design/component.js'
import type { Design } from '../design/design.js'
import { isContainer, type InstanceLayer, type Layer } from '../design/layer.js'
import type { Paint } from '../design/paint.js'

/** Gives a name of one design its form in the joined one. */
type Rename = (name: string) => string

/** The properties of each component set whose value is the key of another set. */
type SwapProperties = ReadonlyMap<string, ReadonlySet<string>>

const renamePaint = (paint: Paint, rename: Rename): Paint =>
  paint.kind === 'image' ? { ...paint, asset: rename(paint.asset) } : paint

const renameInstance = (
  layer: InstanceLayer,
  rename: Rename,
  swaps: SwapProperties,
): InstanceLayer => {
  const own = swaps.get(layer.component)
  const props = Object.entries(layer.props).map(([name, value]) => [
    name,
    typeof value === 'string' && own?.has(name) ? rename(value) : value,
  ])
  const boxes = Object.entries(layer.boxes ?? {}).map(([key, box]) => [rename(key), box])
  return {
    ...layer,
    component: rename(layer.component),
    props: Object.fromEntries(props) as InstanceLayer['props'],
    ...(layer.boxes ? { boxes: Object.fromEntries(boxes) as InstanceLayer['boxes'] } : {}),
  }
}

const renameLayer = <T extends Layer>(layer: T, rename: Rename, swaps: SwapProperties): T => {
  let next: Layer = { ...layer, key: rename(layer.key) }
  if (next.link && 'screen' in next.link) {
    next = { ...next, link: { ...next.link, screen: rename(next.link.screen) } }
  }
  if ('asset' in next) next = { ...next, asset: rename(next.asset) }
  if ('fills' in next) next = { ...next, fills: next.fills.map((p) => renamePaint(p, rename)) }
  if ('strokes' in next) {
    const strokes = next.strokes.map((s) => ({ ...s, paint: renamePaint(s.paint, rename) }))
    next = { ...next, strokes }
  }
  if (next.type === 'instance') next = renameInstance(next, rename, swaps)
  if (isContainer(next)) {
    next = { ...next, children: next.children.map((child) => renameLayer(child, rename, swaps)) }
  }
  return next as T
}

const renameProperty = (property: Property, rename: Rename): Property =>
  property.kind === 'swap' ? { ...property, default: rename(property.default) } : property

const renameKeys = <T>(record: Readonly<Record<string, T>>, rename: Rename): Record<string, T> =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [rename(key), value]))

const renameMatches = (
  matches: Readonly<Record<string, string | null>>,
  rename: Rename,
): Record<string, string | null> =>
  Object.fromEntries(
    Object.entries(matches).map(([key, to]) => [rename(key), to === null ? null : rename(to)]),
  )

/** Keys, assets and components of a design made different from those of the designs before it. */
export const prefixNames = (design: Design, prefix: string): Design => {
  const rename: Rename = (name) => `${prefix}/${name}`
  const swaps: SwapProperties = new Map(
    design.components.map((set) => [
      set.key,
      new Set(set.properties.flatMap((p) => (p.kind === 'swap' ? [p.name] : []))),
    ]),
  )
  return {
    ...design,
    screens: design.screens.map((screen) => renameLayer(screen, rename, swaps)),
    artboards: design.artboards.map(({ screens, matches }) => ({
      screens: screens.map(rename),
      ...(matches ? { matches: renameMatches(matches, rename) } : {}),
    })),
    ...(design.widths ? { widths: renameKeys(design.widths, rename) } : {}),
    components: design.components.map((set) => ({
      ...set,
      key: rename(set.key),
      properties: set.properties.map((property) => renameProperty(property, rename)),
      variants: set.variants.map((variant) => renameLayer(variant, rename, swaps)),
    })),
    assets: Object.fromEntries(Object.entries(design.assets).map(([id, a]) => [rename(id), a])),
  }
}

/** Two designs as one; tokens both have are kept once. */
export const joinDesigns = (all: Design, next: Design): Design => {
  const known = new Set(all.tokens.map((token) => token.name))
  return {
    ...all,
    modes: [...new Set([...all.modes, ...next.modes])],
    tokens: [...all.tokens, ...next.tokens.filter((token) => !known.has(token.name))],
    components: [...all.components, ...next.components],
    assets: { ...all.assets, ...next.assets },
    screens: [...all.screens, ...next.screens],
    artboards: [...all.artboards, ...next.artboards],
    ...(all.widths || next.widths ? { widths: { ...all.widths, ...next.widths } } : {}),
  }
}

/** Tokens of `next` that `all` has with another value. */
export const findConflicts = (all: Design, next: Design): string[] => {
  const known = new Map(all.tokens.map((token) => [token.name, JSON.stringify(token.values)]))
  return next.tokens.flatMap(({ name, values }) => {
    const before = known.get(name)
    return before !== undefined && before !== JSON.stringify(values) ? [name] : []
  })
}
