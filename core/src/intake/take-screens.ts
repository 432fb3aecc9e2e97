import { findArtboards } from '../design/find-artboards.js'
import type { Design, Screen } from '../design/design.js'
import { childrenOf, type Layer } from '../design/layer.js'
import { assetsOf } from '../design/references.js'
import { screenOf } from '../design/interaction.js'
import { mapLayers } from '../design/walk.js'

/** Which screens of a read design are taken, and which of them are one screen drawn at several widths. */
export type Choice = {
  readonly screens: readonly string[]
  readonly artboards: readonly (readonly string[])[]
}

/** Everything that layers show, directly or through the components they use. */
const findUsed = (design: Design, roots: readonly Layer[]) => {
  const sets = new Map(design.components.map((set) => [set.key, set]))
  const swaps = new Map(
    design.components.map((set) => [
      set.key,
      set.properties.filter((p) => p.kind === 'swap').map((p) => p.name),
    ]),
  )
  const components = new Set<string>()
  const assets = new Set<string>()
  const open: Layer[] = [...roots]
  const use = (key: string): void => {
    const set = sets.get(key)
    if (!set || components.has(key)) return
    components.add(key)
    open.push(...set.variants)
    for (const property of set.properties) if (property.kind === 'swap') use(property.default)
  }
  for (let layer = open.pop(); layer; layer = open.pop()) {
    for (const [, asset] of assetsOf(layer)) assets.add(asset)
    if (layer.type === 'instance') {
      use(layer.component)
      for (const name of swaps.get(layer.component) ?? []) {
        const value = layer.props[name]
        if (typeof value === 'string') use(value)
      }
    }
    open.push(...childrenOf(layer))
  }
  return { components, assets }
}

/** Links to screens that were not taken lead nowhere and are dropped. */
const dropLinks = (screen: Screen, screens: ReadonlySet<string>): Screen =>
  mapLayers(screen, (layer) => {
    const screen = screenOf(layer.link)
    if (screen === undefined || screens.has(screen)) return layer
    const { link: _gone, ...rest } = layer
    return rest as Layer
  }) as Screen

/** That none belong together is said by a lone screen, where names would say otherwise. */
const sayArtboards = (
  groups: readonly (readonly string[])[],
  screens: readonly Screen[],
): Design['artboards'] => {
  const isOtherwise = groups.length === 0 && findArtboards(screens).length > 0
  return isOtherwise
    ? [{ screens: [screens[0]!.key] }]
    : groups.map((group) => ({ screens: [...group] }))
}

/**
 * The design with only the chosen screens, without pictures and components nothing in it uses, and with the
 * screens that are one screen at several widths said to be so. At least one screen must be chosen.
 */
export const takeScreens = (design: Design, choice: Choice): Design => {
  const wanted = new Set(choice.screens)
  const kept = design.screens.filter((screen) => wanted.has(screen.key))
  const screens = kept.map((screen) => dropLinks(screen, wanted))
  const used = findUsed(design, screens)
  const isAll = kept.length === design.screens.length
  const artboards = choice.artboards
    .map((group) => group.filter((key) => wanted.has(key)))
    .filter((group) => group.length > 1)
  return {
    ...design,
    screens,
    // A component set without an instance may still be wanted: only leaving screens out takes others along.
    components: isAll
      ? design.components
      : design.components.filter((c) => used.components.has(c.key)),
    assets: Object.fromEntries(
      Object.entries(design.assets).filter(([id]) => isAll || used.assets.has(id)),
    ),
    artboards: sayArtboards(artboards, screens),
  }
}
