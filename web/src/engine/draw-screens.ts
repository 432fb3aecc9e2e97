import {
  applyEdits,
  drawLayer,
  isContainer,
  measureBoxes,
  resolveInstances,
  walkLayers,
  walkScreens,
  type Design,
  type Edit,
} from '@unimorph/core'
import type { Drawn, LayerRow } from './protocol'

/** The screens as drawings and as rows for the outline, with the edits applied. */
export const drawScreens = (design: Design, edits: readonly Edit[]): Drawn => {
  const edited = applyEdits(design, edits)
  const own = new Set<string>()
  walkScreens(edited.design, (layer) => own.add(layer.key))
  const layers: LayerRow[] = []
  const resolved = resolveInstances(edited.design)
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
    })
  })
  const screens = resolved.map((screen, i) => ({
    key: screen.key,
    name: screen.name,
    width: screen.box.width,
    height: screen.box.height,
    svg: drawLayer(screen, { assets: edited.design.assets, idPrefix: `s${i}-` }),
  }))
  return { screens, layers }
}
