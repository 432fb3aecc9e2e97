import type { LayoutNode } from '../layout/index.js'

/** Rows of one look and one measure, or of one content, give way alike: cards of a list, entries of a menu. */
export type Peers = {
  /** The rows that are like this one, itself among them; none where it is alone. */
  of(node: LayoutNode): readonly LayoutNode[]
}

const keyOf = (node: LayoutNode): string => `${node.layer.key} ${node.arrangement.kind}`

/** How it lays its content out, but for room that is different from row to row. */
const arrangementOf = ({ arrangement }: LayoutNode): string => JSON.stringify(arrangement)

const lookOf = ({ layer }: LayoutNode): string | undefined => {
  const fills = 'fills' in layer ? layer.fills.map(({ kind }) => kind) : []
  const strokes = 'strokes' in layer ? layer.strokes.length : 0
  return fills.length + strokes > 0 ? `${fills.join()} ${strokes}` : undefined
}

/** Finds which rows of a page are alike, whatever they say. */
export const findPeers = (root: LayoutNode): Peers => {
  const groups = new Map<string, LayoutNode[]>()
  const groupsOf = new Map<string, string>()
  const signs = new Map<LayoutNode, string>()
  const sign = (node: LayoutNode): string => {
    const known = signs.get(node)
    if (known !== undefined) return known
    const { layer, children, arrangement } = node
    const own =
      layer.type === 'text'
        ? `text ${layer.style.size} ${layer.style.weight}`
        : children.length === 0
          ? layer.type
          : `${arrangement.kind}(${children.map(sign).join()})`
    signs.set(node, own)
    return own
  }
  const visit = (node: LayoutNode): void => {
    node.children.forEach(visit)
    // What is as wide as its own words has room of its own.
    const hasRoom = node.sizing.width !== 'fit'
    const { kind } = node.arrangement
    if ((kind !== 'row' && kind !== 'grid') || node.children.length === 0 || !hasRoom) return
    const look = lookOf(node)
    const [width, height] = [Math.round(node.box.width), Math.round(node.box.height)]
    const content = look === undefined ? sign(node) : `${look} ${height}`
    const group = `${arrangementOf(node)} ${width} ${content}`
    const known = groups.get(group)
    if (known) known.push(node)
    else groups.set(group, [node])
    groupsOf.set(keyOf(node), group)
  }
  visit(root)
  return {
    of(node) {
      const group = groupsOf.get(keyOf(node))
      const all = group === undefined ? [] : groups.get(group)!
      return all.length > 1 ? all : []
    },
  }
}
