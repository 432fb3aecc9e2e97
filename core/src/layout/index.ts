export { inferGrouped, inferLayout, inferPage, type InferOptions } from './infer.js'
export { borderOf, draftNode, plainFrame } from './draft.js'
export { isPainted } from './layer-kinds.js'
export { lookOf } from './look.js'
export { placesOf } from './places.js'
export {
  stackedPlainly,
  walkNodes,
  type Anchor,
  type Arrangement,
  type CrossAlign,
  type Doubt,
  type LayoutNode,
  type Placement,
} from './node.js'
export { keptWidths } from './text-draft.js'
export { columnWidths, solveFlow, solveWidths, type Flow, type Measured } from './solve.js'
