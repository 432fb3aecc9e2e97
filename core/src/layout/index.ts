export { inferGrouped, inferLayout, type InferOptions } from './infer.js'
export { draftNode, plainFrame } from './draft.js'
export { isPainted } from './pieces.js'
export { placesOf } from './places.js'
export {
  INFERRED,
  layerOfNode,
  NO_MARGIN,
  stackedPlainly,
  walkNodes,
  type Anchor,
  type Arrangement,
  type Doubt,
  type LayoutNode,
  type Placement,
} from './node.js'
export { columnWidths, solveFlow, solveWidths, type Flow, type Measured } from './solve.js'
