import {
  applyEdits,
  createSheetDrawer,
  isContainer,
  measureBoxes,
  resolveInstances,
  walkLayers,
  walkScreens,
  type Design,
  type Edit,
  type Font,
  type Screen,
  type SheetDrawer,
} from '@unimorph/core'
import type { Behaviour, Drawn, LayerRow } from './protocol'

/** A design with its edits applied, and its screens with their instances resolved. */
export type Edited = { readonly design: Design; readonly screens: readonly Screen[] }

export const applyAndResolve = (design: Design, edits: readonly Edit[]): Edited => {
  const edited = applyEdits(design, edits).design
  return { design: edited, screens: resolveInstances(edited) }
}

/** The screens as drawings and as rows for the outline. `drawSheets` remembers what it has drawn before. */
export const drawScreens = (
  { design, screens: resolved }: Edited,
  fonts: readonly Font[] = [],
  drawSheets: SheetDrawer = createSheetDrawer(),
): Drawn => {
  const own = new Set<string>()
  walkScreens(design, (layer) => own.add(layer.key))
  const layers: LayerRow[] = []
  const behaviour: Record<string, Behaviour> = {}
  resolved.forEach((screen) => {
    const boxes = measureBoxes(screen)
    walkLayers(screen, (layer, _parent, depth) => {
      layers.push({
        key: layer.key,
        name: layer.name || layer.type,
        type: layer.type,
        depth,
        childCount: isContainer(layer) ? layer.children.length : 0,
        screen: screen.key,
        box: boxes.get(layer.key)!,
        visible: layer.visible,
        editable: own.has(layer.key),
        ...(layer.type === 'text' ? { text: layer.runs.map((r) => r.text).join('') } : {}),
      })
      const { link, hover, entrance } = layer
      if (link ?? hover ?? entrance) {
        behaviour[layer.key] = {
          ...(link ? { press: link } : {}),
          ...(hover ? { hover } : {}),
          ...(entrance ? { entrance } : {}),
        }
      }
    })
  })
  const screens = resolved.map((screen) => ({
    key: screen.key,
    name: screen.name,
    width: screen.box.width,
    height: screen.box.height,
    sheets: drawSheets(screen, { assets: design.assets, fonts }),
  }))
  return { screens, layers, behaviour, forms: design.forms ?? {} }
}
