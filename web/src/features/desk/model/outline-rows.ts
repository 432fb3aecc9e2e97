import type { LayerType } from '@unimorph/core'
import type { LayerRow } from '../../../engine/protocol'

/** Open to this depth when a design is opened: screens and their main parts. */
export const OPEN_DEPTH = 2

/** Keys of the layers that are open at first. */
export const initiallyOpen = (layers: readonly LayerRow[]): Set<string> =>
  new Set(layers.filter((l) => l.childCount > 0 && l.depth < OPEN_DEPTH).map((l) => l.key))

/** Indexes of the layers around one, outermost first. `layers` lists parents before children. */
export const findAncestors = (layers: readonly LayerRow[], index: number): LayerRow[] => {
  const found: LayerRow[] = []
  let depth = layers[index]!.depth
  for (let i = index - 1; i >= 0 && depth > 0; i--) {
    if (layers[i]!.depth < depth) {
      found.unshift(layers[i]!)
      depth = layers[i]!.depth
    }
  }
  return found
}

const matches = (layer: LayerRow, query: string): boolean =>
  layer.name.toLowerCase().includes(query) ||
  layer.type.includes(query) ||
  (layer.text?.toLowerCase().includes(query) ?? false)

/** Which layers of the outline are wanted. */
export type Filter = {
  /** Part of a name, a kind or a text. */
  readonly query: string
  readonly kind: LayerType | 'all'
  /** Only layers that are hidden, or that stand in one that is. */
  readonly onlyHidden: boolean
}

export const NO_FILTER: Filter = { query: '', kind: 'all', onlyHidden: false }

export const isFiltering = ({ query, kind, onlyHidden }: Filter): boolean =>
  query.trim() !== '' || kind !== 'all' || onlyHidden

/** The rows to show: those inside open layers or, with a filter, those that match and what is around them. */
export const visibleRows = (
  layers: readonly LayerRow[],
  open: ReadonlySet<string>,
  filter: Filter,
): LayerRow[] => {
  if (isFiltering(filter)) {
    const wanted = filter.query.trim().toLowerCase()
    const shown = new Set<LayerRow>()
    layers.forEach((layer, i) => {
      if (filter.kind !== 'all' && layer.type !== filter.kind) return
      if (filter.onlyHidden && layer.visible) return
      if (wanted !== '' && !matches(layer, wanted)) return
      shown.add(layer)
      for (const around of findAncestors(layers, i)) shown.add(around)
    })
    return layers.filter((layer) => shown.has(layer))
  }
  const rows: LayerRow[] = []
  let closedAt = Infinity
  for (const layer of layers) {
    if (layer.depth > closedAt) continue
    closedAt = Infinity
    rows.push(layer)
    if (layer.childCount > 0 && !open.has(layer.key)) closedAt = layer.depth
  }
  return rows
}
