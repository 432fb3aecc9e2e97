export { inferLayout, type InferOptions } from './infer.js'
export {
  layerOfNode,
  walkNodes,
  type Anchor,
  type Arrangement,
  type Doubt,
  type LayoutNode,
  type Placement,
} from './node.js'
