export { inferGrouped, inferLayout, type InferOptions } from './infer.js'
export { placesOf } from './places.js'
export {
  layerOfNode,
  walkNodes,
  type Anchor,
  type Arrangement,
  type Doubt,
  type LayoutNode,
  type Placement,
} from './node.js'
export { solveFlow, solveWidths, type Measured } from './solve.js'
