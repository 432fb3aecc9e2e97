import type { Design } from '../design/design.js'
import type { PartRuling } from '../design/part.js'
import type { EditOf } from './edit.js'
import { layerFinder } from './has-layer.js'

type Props = NonNullable<PartRuling['props']>

/** What was said of props, with what is said of them now; what is null is as it was found. */
const mergeProps = (said: Props = {}, edit: EditOf<'set-part'>['props'] = {}): Props => {
  const merged = { ...said }
  for (const [id, ruling] of Object.entries(edit)) {
    if (ruling && Object.keys(ruling).length > 0) merged[id] = ruling
    else delete merged[id]
  }
  return merged
}

/** What a person says about parts. Layers that are gone are left out; where all are, nothing changes. */
export const setPart = (design: Design, edit: EditOf<'set-part'>): Design => {
  const known = edit.layers.filter(layerFinder(design))
  if (known.length === 0) return design
  const parts = { ...design.parts }
  for (const key of known) {
    const as = edit.as === undefined ? parts[key]?.as : (edit.as ?? undefined)
    const name = edit.name === undefined ? parts[key]?.name : (edit.name ?? undefined)
    const of = edit.of === undefined ? parts[key]?.of : (edit.of ?? undefined)
    const props = mergeProps(parts[key]?.props, edit.props)
    const ruling: PartRuling = {
      ...(as ? { as } : {}),
      ...(of ? { of } : {}),
      ...(name ? { name } : {}),
      ...(Object.keys(props).length > 0 ? { props } : {}),
    }
    if (Object.keys(ruling).length > 0) parts[key] = ruling
    else delete parts[key]
  }
  if (JSON.stringify(parts) === JSON.stringify(design.parts ?? {})) return design
  return { ...design, parts }
}
