import { boxOf, constrain, type Box, type Constraints, type Placed } from './box.js'
import type { Layout } from './layout.js'
import { numberOf } from './read-values.js'
import { nameIn, type Made } from './values.js'

type Line = { readonly boxes: Box[]; main: number; cross: number }

/** Things one after the other, in as many lines as they need (RenderWrap). */
export const layOutWrap = (widget: Made, c: Constraints, path: string, layout: Layout): Box => {
  const { named } = widget
  const isRow = nameIn(named['direction']) !== 'vertical'
  const [spacing, runSpacing] = [numberOf(named['spacing']), numberOf(named['runSpacing'])]
  const most = isRow ? c.maxWidth : c.maxHeight
  const room: Constraints = {
    minWidth: 0,
    maxWidth: isRow ? c.maxWidth : Infinity,
    minHeight: 0,
    maxHeight: isRow ? Infinity : c.maxHeight,
  }
  const lines: Line[] = []
  for (const child of layout.childrenOf(widget, path)) {
    const box = layout.lay(child.widget, room, child.path)
    const [main, cross] = isRow ? [box.width, box.height] : [box.height, box.width]
    const line = lines.at(-1)
    if (line && line.main + spacing + main <= most + 0.01) {
      line.boxes.push(box)
      line.main += spacing + main
      line.cross = Math.max(line.cross, cross)
    } else lines.push({ boxes: [box], main, cross })
  }
  const across =
    lines.reduce((sum, { cross }) => sum + cross, 0) + runSpacing * Math.max(0, lines.length - 1)
  const along = Math.max(0, ...lines.map(({ main }) => main))
  const size = constrain(
    isRow ? { width: along, height: across } : { width: across, height: along },
    c,
  )
  const full = isRow ? size.width : size.height
  const placed: Placed[] = []
  let down = 0
  for (const line of lines) {
    const left = Math.max(0, full - line.main)
    const alignment = nameIn(named['alignment']) ?? 'start'
    const between =
      alignment === 'spaceBetween' && line.boxes.length > 1 ? left / (line.boxes.length - 1) : 0
    let at = alignment === 'center' ? left / 2 : alignment === 'end' ? left : 0
    for (const box of line.boxes) {
      const [main, cross] = isRow ? [box.width, box.height] : [box.height, box.width]
      const crossAlign = nameIn(named['crossAxisAlignment']) ?? 'start'
      const offset =
        crossAlign === 'center'
          ? (line.cross - cross) / 2
          : crossAlign === 'end'
            ? line.cross - cross
            : 0
      placed.push(isRow ? { x: at, y: down + offset, box } : { x: down + offset, y: at, box })
      at += main + spacing + between
    }
    down += line.cross + runSpacing
  }
  return boxOf(size, placed)
}
