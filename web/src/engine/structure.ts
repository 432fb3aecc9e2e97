import {
  applyEdits,
  convert,
  FINDING_KINDS,
  inferLayout,
  layerOfNode,
  mendAll,
  placesOf,
  resolveSides,
  walkNodes,
  type Arrange,
  type Design,
  type Edit,
  type FindingKind,
  type Font,
  type Grade,
  type Layer,
  type LayoutNode,
  type Report,
  type TargetId,
  type TextMeasure,
  type Box,
  type Screen,
} from '@unimorph/core'

/** What is wrong with the design as drawn, and how it was graded before any edit. */
export type StructureReport = Report & {
  readonly start: readonly Grade[]
  /** What kinds of findings there are, in the order they are listed. */
  readonly kinds: readonly KindOfFinding[]
}

/** What is said of a kind; the code that finds it stays in the worker. */
export type KindOfFinding = Pick<FindingKind, 'id' | 'title' | 'why'>

/** Which findings are mended: those with these ids, of one kind, the safe ones, or all. */
export type MendChoice =
  | { readonly which: 'ids'; readonly ids: readonly string[] }
  | { readonly which: 'kind'; readonly kind: string }
  | { readonly which: 'safe' }
  | { readonly which: 'all' }

export type MendAnswer =
  | {
      readonly edits: Edit & { kind: 'together' }
      readonly refused: number
    }
  | { readonly edits: undefined; readonly refused: number }

/** How a part of a screen is arranged, for the stage to show; in the screen's coordinates. */
export type ArrangedBox = {
  readonly layer: string
  readonly kind: Arrange
  readonly box: Box
  readonly gaps: readonly Box[]
  readonly padding: readonly Box[]
}

/** One side of a comparison: the code of a page, and the layers of a screen as an indented list. */
export type Side = { readonly code: string; readonly tree: string }
export type Comparison = { readonly before: Side; readonly after: Side; readonly path: string }

export const reportStructure = (report: Report, start: readonly Grade[]): StructureReport => ({
  ...report,
  start,
  kinds: FINDING_KINDS.map(({ id, title, why }) => ({ id, title, why })),
})

const LABELS = {
  ids: 'Mend a finding',
  kind: 'Mend all of a kind',
  safe: 'Mend all safe ones',
  all: 'Mend all',
}

export const mend = (design: Design, measure: TextMeasure, choice: MendChoice): MendAnswer => {
  const ids = new Set(choice.which === 'ids' ? choice.ids : [])
  const { edits, refused } = mendAll(design, measure, (finding) => {
    if (choice.which === 'ids') return ids.has(finding.id)
    if (choice.which === 'kind') return finding.kind === choice.kind
    return choice.which === 'all' || finding.remedy?.isSafe === true
  })
  if (edits.length === 0) return { edits: undefined, refused: refused.length }
  const label = LABELS[choice.which]
  return { edits: { kind: 'together', label, edits: [...edits] }, refused: refused.length }
}

const innerBox = (node: LayoutNode, box: Box): { inside: Box; padding: Box[] } => {
  const { arrangement } = node
  if (arrangement.kind === 'free') return { inside: box, padding: [] }
  const { top, right, bottom, left } = resolveSides(arrangement.padding)
  const inside = {
    x: box.x + left,
    y: box.y + top,
    width: Math.max(0, box.width - left - right),
    height: Math.max(0, box.height - top - bottom),
  }
  const sides: Box[] = [
    { x: box.x, y: box.y, width: box.width, height: top },
    { x: box.x, y: inside.y + inside.height, width: box.width, height: bottom },
    { x: box.x, y: inside.y, width: left, height: inside.height },
    { x: inside.x + inside.width, y: inside.y, width: right, height: inside.height },
  ]
  return { inside, padding: sides.filter((side) => side.width > 0.5 && side.height > 0.5) }
}

/** How everything on a screen is arranged. */
export const listArranged = (
  design: Design,
  screen: Layer,
  measure: TextMeasure,
): ArrangedBox[] => {
  const layout = inferLayout(screen, { measure, assets: design.assets })
  const places = placesOf(layout)
  const list: ArrangedBox[] = []
  walkNodes(layout, (node) => {
    if (node.children.length === 0) return
    const box = places.get(node)!
    const { kind } = node.arrangement
    const flow = node.children
      .filter((child) => child.placement.kind === 'flow')
      .map((child) => places.get(child)!)
    const { inside, padding } = innerBox(node, box)
    const gaps = flow.slice(1).flatMap((b, i): Box[] => {
      const a = flow[i]!
      const isBeside = b.x >= a.x + a.width - 0.5
      const gap = isBeside
        ? { x: a.x + a.width, y: inside.y, width: b.x - a.x - a.width, height: inside.height }
        : { x: inside.x, y: a.y + a.height, width: inside.width, height: b.y - a.y - a.height }
      return kind === 'grid' || gap.width < 0.5 || gap.height < 0.5 ? [] : [gap]
    })
    list.push({
      layer: layerOfNode(node.layer.key),
      kind: kind === 'free' ? 'overlay' : kind,
      box,
      gaps,
      padding,
    })
  })
  return list
}

const printTree = (screen: Screen | undefined): string => {
  const lines: string[] = []
  const step = (layer: Screen['children'][number], depth: number): void => {
    const arranged = 'arrange' in layer && layer.arrange ? `, ${layer.arrange}` : ''
    const laid = 'layout' in layer && layer.layout ? `, ${layer.layout.kind}` : ''
    const name = layer.name || layer.type
    lines.push(`${'  '.repeat(depth)}${name} (${layer.type}${arranged}${laid})`)
    if ('children' in layer) layer.children.forEach((child) => step(child, depth + 1))
  }
  if (screen) step(screen, 0)
  return lines.join('\n')
}

const sideOf = (
  design: Design,
  edits: readonly Edit[],
  screen: string,
  target: TargetId,
  fonts: readonly Font[],
): Side & { path: string } => {
  const edited = applyEdits(design, edits)
  const result = convert(edited.design, [], { target, select: [screen], fonts })
  const path = result.ok ? (result.value.pages[screen]?.path ?? '') : ''
  const file = result.ok ? result.value.files.find((f) => f.path === path) : undefined
  const code = file?.content.kind === 'text' ? file.content.text : ''
  return { path, code, tree: printTree(edited.design.screens.find((s) => s.key === screen)) }
}

/** The code and the layers of a screen without and with some edits. */
export const compareEdits = (
  design: Design,
  before: readonly Edit[],
  after: readonly Edit[],
  screen: string,
  target: TargetId,
  fonts: readonly Font[],
): Comparison => {
  const one = sideOf(design, before, screen, target, fonts)
  const other = sideOf(design, after, screen, target, fonts)
  return { before: one, after: other, path: other.path }
}
