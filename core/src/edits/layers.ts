import type { Design, Screen } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { mapLayers } from '../design/walk.js'
import type { EditOf } from './edit.js'

/** Changes one layer of the screens; undefined removes it. The last screen is never removed. */
const changeLayer = (
  design: Design,
  key: string,
  change: (layer: Layer) => Layer | undefined,
): Design => {
  const screens = design.screens.flatMap(
    (screen) =>
      (mapLayers(screen, (layer) => (layer.key === key ? change(layer) : layer)) ?? []) as Screen,
  )
  const isSame =
    screens.length === design.screens.length && screens.every((s, i) => s === design.screens[i])
  return isSame || screens.length === 0 ? design : { ...design, screens }
}

export const hide = (design: Design, { layer, hidden }: EditOf<'hide'>): Design =>
  changeLayer(design, layer, (l) => ({ ...l, visible: !hidden }))

export const remove = (design: Design, { layer }: EditOf<'remove'>): Design =>
  changeLayer(design, layer, () => undefined)

export const rename = (design: Design, { layer, name }: EditOf<'rename'>): Design =>
  changeLayer(design, layer, (l) => ({ ...l, name }))
