import { placesOf, walkNodes, type LayoutNode } from '../../layout/index.js'
import type { Found, FindingKind } from '../kind.js'

const paintOf = ({ layer }: LayoutNode): string =>
  'fills' in layer ? JSON.stringify(layer.fills) : ''

const textStyleOf = ({ layer }: LayoutNode): string =>
  layer.type === 'text' ? `${layer.style.family} ${layer.style.weight} ${layer.style.color}` : ''

type Drawing = { readonly node: LayoutNode; readonly look: string }

const lookOf = (node: LayoutNode): string => {
  const { layer, arrangement } = node
  const radius = 'radius' in layer ? JSON.stringify(layer.radius) : ''
  const size = node.children.map((c) => (c.layer.type === 'text' ? c.layer.style.size : 0)).join()
  const isArranged = arrangement.kind !== 'free'
  return `${radius} ${size} ${Math.round(node.box.height)} ${isArranged}`
}

/** Small boxes with a word in them, alike in colour and lettering, that differ in size or corners. */
export const drawnDifferently: FindingKind = {
  id: 'drawn-differently',
  area: 'consistency',
  severity: 'doubt',
  title: 'The same thing drawn differently in several places',
  why: 'One component would do; drawn differently it becomes several.',
  find(context) {
    const places = placesOf(context.layout)
    const groups = new Map<string, Drawing[]>()
    walkNodes(context.layout, (node) => {
      const texts = node.children.filter((child) => child.layer.type === 'text')
      const isLabelled = texts.length === 1 && node.children.length <= 2 && node.box.height <= 80
      if (!isLabelled || paintOf(node) === '' || paintOf(node) === '[]') return
      const sign = `${paintOf(node)} ${textStyleOf(texts[0]!)}`
      const drawing = { node, look: lookOf(node) }
      const group = groups.get(sign)
      if (group) group.push(drawing)
      else groups.set(sign, [drawing])
    })
    const found: Found[] = []
    for (const drawings of groups.values()) {
      const looks = new Map<string, Drawing[]>()
      for (const drawing of drawings) {
        const alike = looks.get(drawing.look)
        if (alike) alike.push(drawing)
        else looks.set(drawing.look, [drawing])
      }
      if (looks.size < 2 || drawings.length < 3) continue
      const [usual, ...others] = [...looks.values()].sort((a, b) => b.length - a.length)
      if (usual!.length < 2) continue
      const odd = others.flat()
      const layers = odd.map(({ node }) => node.layer.key).filter((key) => context.byKey.has(key))
      if (layers.length === 0) continue
      found.push({
        layers,
        evidence: odd.map(({ node }) => places.get(node)!),
        message: `${odd.length} of ${drawings.length} boxes alike in colour and lettering have another size or other corners.`,
      })
    }
    return found
  },
}
