import type { Design } from '../design/design.js'
import type { PartRuling } from '../design/part.js'
import type { EditOf } from './edit.js'
import { layerFinder } from './has-layer.js'

/** What a person says about parts. Layers that are gone are left out; where all are, nothing changes. */
export const setPart = (design: Design, edit: EditOf<'set-part'>): Design => {
  const known = edit.layers.filter(layerFinder(design))
  if (known.length === 0) return design
  const parts = { ...design.parts }
  for (const key of known) {
    const as = edit.as === undefined ? parts[key]?.as : (edit.as ?? undefined)
    const name = edit.name === undefined ? parts[key]?.name : (edit.name ?? undefined)
    const ruling: PartRuling = { ...(as ? { as } : {}), ...(name ? { name } : {}) }
    if (as || name) parts[key] = ruling
    else delete parts[key]
  }
  if (JSON.stringify(parts) === JSON.stringify(design.parts ?? {})) return design
  return { ...design, parts }
}
