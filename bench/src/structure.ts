import { readFileSync } from 'node:fs'
import { basename } from 'node:path'
import {
  createTableMeasure,
  inferLayout,
  readFiles,
  resolveInstances,
  walkNodes,
  type LayoutNode,
} from '@unimorph/core'
import { similarity } from './similarity.js'

const layoutOf = (file: string): LayoutNode => {
  const measure = createTableMeasure()
  const { design } = readFiles([{ name: basename(file), bytes: readFileSync(file) }], measure)
  if (!design) throw new Error(`${file} holds no design`)
  return inferLayout(resolveInstances(design)[0]!, { measure, assets: design.assets })
}

/** Shares of a layout's nodes: placed over the flow, and of a fixed width without being a picture. */
const sharesOf = (root: LayoutNode): { overlays: number; fixed: number } => {
  let [all, overlays, fixed] = [0, 0, 0]
  walkNodes(root, (node) => {
    all++
    if (node.placement.kind === 'overlay') overlays++
    const isPicture = node.isGraphic || node.layer.type === 'image'
    if (node.sizing.width === 'fixed' && !isPicture) fixed++
  })
  return { overlays: overlays / all, fixed: fixed / all }
}

export type StructureFigures = {
  readonly similarity: number
  readonly overlays: number
  readonly fixed: number
}

/** How a page's careful and careless files are laid out, and how alike. */
export const measureStructure = (layered: string, flat: string): StructureFigures => {
  const [careful, careless] = [layoutOf(layered), layoutOf(flat)]
  return { similarity: similarity(careful, careless), ...sharesOf(careless) }
}
