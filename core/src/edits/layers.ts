import type { Design, Screen } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { isSameBox } from '../design/geometry.js'
import { mapLayers } from '../design/walk.js'
import { setPlainField } from '../tokens/fields.js'
import type { EditOf } from './edit.js'

/** Changes one layer of the screens; undefined removes it. The last screen is never removed. */
export const changeLayer = (
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

export const setBox = (design: Design, { layer, box }: EditOf<'set-box'>): Design =>
  changeLayer(design, layer, (l) => (isSameBox(l.box, box, 0.005) ? l : { ...l, box }))

export const setSizing = (design: Design, { layer, width, height }: EditOf<'set-sizing'>): Design =>
  changeLayer(design, layer, (l) => {
    const sizing = { width: width ?? l.sizing.width, height: height ?? l.sizing.height }
    const isSame = sizing.width === l.sizing.width && sizing.height === l.sizing.height
    return isSame ? l : { ...l, sizing }
  })

/** Auto layout and the way to read a container exclude each other. */
export const setLayout = (design: Design, { layer, layout }: EditOf<'set-layout'>): Design =>
  changeLayer(design, layer, (l) => {
    if (!('clip' in l)) return l
    const { layout: _before, arrange: _arrange, ...rest } = l
    return layout ? { ...rest, layout } : rest
  })

export const readAs = (design: Design, { layer, as }: EditOf<'read-as'>): Design =>
  changeLayer(design, layer, (l) => {
    if (!('clip' in l) || l.layout || l.arrange === (as ?? undefined)) return l
    const { arrange: _before, ...rest } = l
    return as ? { ...rest, arrange: as } : rest
  })

export const setConstraints = (
  design: Design,
  { layer, horizontal, vertical }: EditOf<'set-constraints'>,
): Design =>
  changeLayer(design, layer, (l) => ({
    ...l,
    constraints: {
      horizontal: horizontal ?? l.constraints?.horizontal ?? 'start',
      vertical: vertical ?? l.constraints?.vertical ?? 'start',
    },
  }))

export const setFlow = (design: Design, { layer, flow }: EditOf<'set-flow'>): Design =>
  changeLayer(design, layer, (l) => (l.flow === flow ? l : { ...l, flow }))

export const setValue = (design: Design, { layer, path, value }: EditOf<'set-value'>): Design =>
  changeLayer(design, layer, (l) => setPlainField(l, path, value))

export const rename = (design: Design, { layer, name }: EditOf<'rename'>): Design =>
  changeLayer(design, layer, (l) => ({ ...l, name }))
