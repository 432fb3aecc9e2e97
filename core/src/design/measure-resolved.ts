import { isContainer, type ComponentLayer, type InstanceLayer, type Layer } from './layer.js'
import type { ComponentSet, Design } from './design.js'
import { defaultsOf, findVariant } from './resolve-instances.js'

/** How many layers there are, and how deep they are nested. */
export type Extent = { readonly layers: number; readonly depth: number }

type Props = Readonly<Record<string, string | boolean>>

const TOO_MANY: Extent = { layers: Infinity, depth: 0 }
const TOO_DEEP: Extent = { layers: 0, depth: Infinity }

/**
 * How large a design is with its instances resolved, told without resolving them: each drawing is looked at once for each
 * choice of what is put into it. `most`: so many layers are looked at, and so deep; a design that needs more has Infinity.
 * Takes a checked design.
 */
export const measureResolved = (design: Design, most: Extent): Extent => {
  const sets = new Map(design.components.map((set) => [set.key, set]))
  const known = new Map<string, Extent>()
  let [looked, level] = [0, 0]

  const together = (layers: readonly Layer[], props: Props): Extent => {
    if (level >= most.depth) return TOO_DEEP
    let [count, depth] = [0, 0]
    level++
    for (const layer of layers) {
      const own = extentOf(layer, props)
      count += own.layers
      depth = Math.max(depth, own.depth)
    }
    level--
    return { layers: count + 1, depth: depth + 1 }
  }

  const drawing = (set: ComponentSet, variant: ComponentLayer, props: Props): Extent => {
    const swaps = set.properties.flatMap(({ kind, name }) =>
      kind === 'swap' ? [props[name] ?? ''] : [],
    )
    const key = JSON.stringify([set.key, variant.key, ...swaps])
    const before = known.get(key)
    if (before) return before
    const extent = together(variant.children, props)
    known.set(key, extent)
    return extent
  }

  const instance = ({ bind, component, variant, props }: InstanceLayer, around: Props): Extent => {
    const swap = bind?.swap === undefined ? undefined : around[bind.swap]
    const set = sets.get(typeof swap === 'string' ? swap : component)
    if (!set) return { layers: 1, depth: 1 }
    return drawing(set, findVariant(set, variant), { ...defaultsOf(set), ...props })
  }

  const extentOf = (layer: Layer, props: Props): Extent => {
    if (++looked > most.layers) return TOO_MANY
    if (layer.type === 'instance') return instance(layer, props)
    return isContainer(layer) ? together(layer.children, props) : { layers: 1, depth: 1 }
  }

  return together(design.screens, {})
}
