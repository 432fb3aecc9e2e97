import type { PartRuling } from '../design/part.js'
import { mostCommon } from '../math/statistics.js'
import {
  mapChildren,
  type PartOrigin,
  type UiBox,
  type UiNode,
  type UiPage,
  type UiPart,
  type UiText,
} from '../ui/nodes.js'
import { headingIn } from './heading.js'
import { namePart } from './name-part.js'
import { findLikeness, type Likeness } from './signature.js'

export type PartOptions = {
  /** The component sets that instances show, by the keys of the instances' layers. */
  readonly components: ReadonlyMap<string, string>
  /** The property of its component that a text shows, by the text's layer. */
  readonly properties: ReadonlyMap<string, string>
  /** What component sets are called, by key. */
  nameOfComponent(key: string): string
  readonly rulings: Readonly<Record<string, PartRuling>>
}

/** A thing where it stands: what holds it, and the words over it. */
type Place = {
  readonly node: UiBox
  readonly parents: readonly UiNode[]
  readonly heading: string | undefined
}

type Candidate = {
  readonly places: readonly Place[]
  readonly origin: PartOrigin
  readonly weight: number
}

/** Fewer elements are not worth a name, but for entries of a menu that other things stand between: in a run they are a loop. */
const LEAST_WEIGHT = 3
const LEAST_ENTRY_WEIGHT = 2
const LEAST_ENTRIES = 5
const LEAST_RUN = 3
/** A button is a component even where it is small. */
const LEAST_BUTTON_WEIGHT = 2
const LEAST_BUTTONS = 3
/** What a use and a component cost beside the elements they are made of, in elements. */
const USE_COST = 0.8
const COMPONENT_COST = 2
/** What holds hardly more than other parts is no part itself. */
const LEAST_OWN_WEIGHT = 3

/** Every box of the pages once: what several pages have in common is written once anyway. */
const findPlaces = (pages: readonly UiPage[]): readonly Place[] => {
  const places: Place[] = []
  const shared = new Set<string>()
  const panels = new Set<string>()
  const visit = (node: UiNode, parents: readonly UiNode[], above: string | undefined): void => {
    if (node.type !== 'box') return
    if (node.shared) {
      if (shared.has(node.shared)) return
      shared.add(node.shared)
    }
    if (parents.length > 0) places.push({ node, parents, heading: above })
    let heading = above
    for (const child of node.children) {
      visit(child, [...parents, node], heading)
      heading = headingIn(child) ?? heading
    }
  }
  for (const page of pages) {
    visit(page.root, [], undefined)
    for (const panel of page.panels ?? []) {
      if (!panels.has(panel.id)) visit(panel.root, [], panel.label)
      panels.add(panel.id)
    }
  }
  return places
}

/** The path from a box to something in it: which child of which child. */
const pathIn = (place: Place, depth: number): string => {
  const chain = [...place.parents.slice(depth), place.node]
  return chain
    .slice(1)
    .map((node, i) => (chain[i] as UiBox).children.indexOf(node))
    .join('.')
}

/** The nearest of some boxes a thing stands in, and where in it. */
const holderOf = (
  place: Place,
  holders: ReadonlyMap<UiNode, number>,
): { readonly group: number; readonly path: string } | undefined => {
  for (let i = place.parents.length - 1; i >= 0; i--) {
    const group = holders.get(place.parents[i]!)
    if (group !== undefined) return { group, path: pathIn(place, i) }
  }
  return undefined
}

const savedBy = ({ places, weight }: Pick<Candidate, 'places' | 'weight'>): number =>
  places.length * weight - weight - places.length * USE_COST - COMPONENT_COST

/** Instances of the design's own components, one group a set; what is said to be none stays where it stands. */
const groupDrawn = (
  places: readonly Place[],
  likeness: ReadonlyMap<UiNode, Likeness>,
  { components, rulings }: PartOptions,
): readonly Candidate[] => {
  const groups = new Map<string, Place[]>()
  const seen = new Set<string>()
  for (const place of places) {
    const { layer } = place.node
    const set = components.get(layer)
    // Of several boxes for one layer, the outermost is the instance.
    if (set === undefined || rulings[layer]?.as === 'none' || seen.has(layer)) continue
    seen.add(layer)
    const { weight, isBound } = likeness.get(place.node)!
    if (weight < 2 || isBound) continue
    const group = groups.get(set)
    if (group) group.push(place)
    else groups.set(set, [place])
  }
  return [...groups].map(([component, own]) => ({
    places: own,
    origin: { kind: 'component', component },
    weight: Math.max(...own.map(({ node }) => likeness.get(node)!.weight)),
  }))
}

/** An item of a menu that is nothing but a link. */
const isEntry = ({ node, parents }: Place): boolean =>
  node.item === 'listitem' &&
  node.children.every((child) => 'link' in child && child.link !== undefined) &&
  parents.some((parent) => parent.type === 'box' && parent.role === 'navigation')

const isButton = ({ node }: Place): boolean => node.role === 'button'

/** How little a thing may be made of, to be a component. */
const leastWeight = (place: Place): number =>
  isEntry(place) ? LEAST_ENTRY_WEIGHT : isButton(place) ? LEAST_BUTTON_WEIGHT : LEAST_WEIGHT

/** Whether some things that are alike are worth a component. */
const areWorth = (places: readonly Place[], weight: number): boolean => {
  if (weight < LEAST_WEIGHT && places.every(isButton)) return places.length >= LEAST_BUTTONS
  const isLarge = weight >= LEAST_WEIGHT || (places.length >= LEAST_ENTRIES && !areRuns(places))
  return places.length > 1 && isLarge && savedBy({ places, weight }) > 0
}

/** Whether things stand beside others of them, each in a run that a list can be made of. */
const areRuns = (places: readonly Place[]): boolean => {
  const nodes = new Set<UiNode>(places.map(({ node }) => node))
  return places.every(({ node, parents }) => {
    const siblings = (parents.at(-1) as UiBox).children
    const at = siblings.indexOf(node)
    let [from, to] = [at, at]
    while (from > 0 && nodes.has(siblings[from - 1]!)) from--
    while (to + 1 < siblings.length && nodes.has(siblings[to + 1]!)) to++
    return to - from + 1 >= LEAST_RUN
  })
}

/** Things that are alike, or that a person has said to be parts. */
const groupAlike = (
  places: readonly Place[],
  likeness: ReadonlyMap<UiNode, Likeness>,
  rulings: PartOptions['rulings'],
): readonly Candidate[] => {
  const weightOf = (things: readonly Place[]): number =>
    Math.max(0, ...things.map(({ node }) => likeness.get(node)!.weight))
  const byLayer = new Map<string, Place>()
  for (const place of places)
    if (!byLayer.has(place.node.layer)) byLayer.set(place.node.layer, place)
  /** What a person has moved into another part, or out of one, is with those it was moved to. */
  const groupOf = ({ node }: Place): string => {
    const target = rulings[node.layer]?.of
    const other = target === undefined ? undefined : byLayer.get(target)
    if (!other) return String(likeness.get(node)!.whole)
    const isApart = rulings[other.node.layer]?.of === other.node.layer
    return isApart ? `of ${other.node.layer}` : String(likeness.get(other.node)!.whole)
  }
  const groups = new Map<string, Place[]>()
  const add = (to: Map<string, Place[]>, key: string, place: Place): void => {
    const group = to.get(key)
    if (group) group.push(place)
    else to.set(key, [place])
  }
  /** What was alike before a person moved anything. */
  const asFound = new Map<string, Place[]>()
  for (const place of places) {
    const { whole, weight, isBound, hasText } = likeness.get(place.node)!
    const ruling = rulings[place.node.layer]
    if (isBound) continue
    const isSaid = ruling?.as === 'part' || ruling?.of !== undefined
    if (!isSaid && (weight < leastWeight(place) || !hasText)) continue
    add(groups, groupOf(place), place)
    add(asFound, String(whole), place)
  }
  return [...groups].flatMap(([key, group]): Candidate[] => {
    // A box around nothing but another of the same layer is the same thing.
    const isOuter = ({ node, parents }: Place): boolean => parents.at(-1)?.layer !== node.layer
    const all = group.filter(isOuter)
    // What a person has taken out was worth as much: the others stay one.
    const before = (asFound.get(key) ?? []).filter(isOuter)
    const whole = before.length > all.length ? before : all
    const weight = weightOf(whole)
    const own = all.filter(({ node }) => rulings[node.layer]?.as !== 'none')
    const isSaid = own.some(({ node }) => {
      const ruling = rulings[node.layer]
      return ruling?.as === 'part' || (ruling?.of !== undefined && ruling.as !== 'none')
    })
    if (!isSaid && (own.length < 2 || !areWorth(whole, weight))) return []
    return [{ places: own, origin: { kind: isSaid ? 'said' : 'found' }, weight: weightOf(own) }]
  })
}

/** Whether all things of a group stand at one place of those of another: they are a part of that. */
const isPartOf = ({ places }: Candidate, holders: ReadonlyMap<UiNode, number>): boolean => {
  const found = places.map((place) => holderOf(place, holders))
  const [first] = found
  return (
    first !== undefined &&
    found.every((one) => one?.group === first.group && one.path === first.path)
  )
}

/** How much of a thing is its own: what other groups hold several times each is not. */
const ownWeight = (
  candidate: Candidate,
  others: readonly Candidate[],
  likeness: ReadonlyMap<UiNode, Likeness>,
): number => {
  const [first] = candidate.places
  const inside = new Map<UiNode, number>()
  for (const other of others) {
    if (other === candidate || other.weight >= candidate.weight) continue
    const within = other.places.filter(({ parents }) => parents.includes(first!.node))
    if (within.length < 2) continue
    for (const { node } of within) inside.set(node, likeness.get(node)!.weight)
  }
  // Of nested ones the outer counts.
  const measure = (node: UiNode): number =>
    inside.get(node) ?? ('children' in node ? node.children.reduce((s, c) => s + measure(c), 0) : 0)
  return candidate.weight - measure(first!.node)
}

const explain = ({ places, origin }: Candidate): { confidence: number; evidence: string[] } => {
  if (origin.kind === 'said') return { confidence: 1, evidence: ['said by hand'] }
  if (origin.kind === 'component')
    return { confidence: 1, evidence: ['it is a component of the design'] }
  const parents = new Set(places.map(({ parents: own }) => own.at(-1)))
  const evidence = [
    `${places.length} things are built and measured alike`,
    ...(parents.size < places.length ? ['they stand beside one another'] : []),
  ]
  return {
    confidence: Math.min(
      0.98,
      0.7 + places.length * 0.04 + (parents.size < places.length ? 0.1 : 0),
    ),
    evidence,
  }
}

/** Things that are alike are alike in the outline of the page too: what most of them are, all are. */
const harmonise = (
  nodes: readonly UiBox[],
  kindOf: (text: UiText) => string | number,
  changes: Map<UiNode, Partial<UiNode>>,
): void => {
  const areCards = nodes.some((node) => node.role === 'article')
  for (const node of nodes) {
    if (areCards && node.role === undefined) changes.set(node, { role: 'article' })
  }
  // Texts that look alike, by which of those in their thing they are.
  const texts = new Map<string, UiText[]>()
  for (const node of nodes) {
    const counts = new Map<string | number, number>()
    const visit = (inner: UiNode): void => {
      if (inner.type === 'text') {
        const kind = kindOf(inner)
        const count = counts.get(kind) ?? 0
        counts.set(kind, count + 1)
        const key = `${kind} ${count}`
        texts.set(key, [...(texts.get(key) ?? []), inner])
      }
      if ('children' in inner) inner.children.forEach(visit)
    }
    visit(node)
  }
  for (const alike of texts.values()) {
    const level = mostCommon(alike.map((text) => text.level))
    // What leads nowhere is a link by its looks alone: a look of some of them does not make it one.
    const isLink = alike.every((text) => text.link !== undefined)
    for (const text of alike) {
      const isLost = text.link?.kind === 'nowhere' && !isLink
      const change = {
        ...(text.level === level ? {} : { level }),
        ...(isLost ? { link: undefined, reacts: undefined } : {}),
      } as Partial<UiNode>
      if (Object.keys(change).length > 0) changes.set(text, change)
    }
  }
}

export type Parted = { readonly pages: readonly UiPage[]; readonly parts: readonly UiPart[] }

/**
 * Finds what is written once and used in several places: instances of the design's components, and structure that
 * repeats. Takes the finished pages; returns them with the root of each instance marked, and the parts.
 */
export const findParts = (pages: readonly UiPage[], options: PartOptions): Parted => {
  const { rulings, properties, nameOfComponent } = options
  const places = findPlaces(pages)
  const roots = [...new Set(places.map(({ parents }) => parents[0]!))]
  const likeness = findLikeness(roots)
  const drawn = groupDrawn(places, likeness, options)
  const taken = new Set(drawn.flatMap(({ places: own }) => own.map(({ node }) => node.layer)))
  // What stands in an instance is the component's own affair.
  const isInside = ({ node, parents }: Place): boolean =>
    taken.has(node.layer) || parents.some((parent) => taken.has(parent.layer))
  const alike = groupAlike(
    places.filter((place) => !isInside(place)),
    likeness,
    rulings,
  )
  const all = [...drawn, ...alike]
  const worth = all
    .filter(
      (candidate) =>
        candidate.origin.kind !== 'found' ||
        ownWeight(candidate, all, likeness) >= Math.min(LEAST_OWN_WEIGHT, candidate.weight),
    )
    .sort((a, b) => b.weight - a.weight)
  const holders = new Map<UiNode, number>()
  const chosen: Candidate[] = []
  for (const candidate of worth) {
    if (candidate.origin.kind === 'found' && isPartOf(candidate, holders)) continue
    for (const { node } of candidate.places) holders.set(node, chosen.length)
    chosen.push(candidate)
  }
  const changes = new Map<UiNode, Partial<UiNode>>()
  const order = new Map(places.map(({ node }, i) => [node, i]))
  const parts = chosen
    .sort((a, b) => order.get(a.places[0]!.node)! - order.get(b.places[0]!.node)!)
    .map((candidate): UiPart => {
      const nodes = candidate.places.map(({ node }) => node)
      const id = nodes[0]!.layer
      const isDrawn = candidate.origin.kind === 'component'
      const kindOf = ({ layer }: UiText): string => properties.get(layer) ?? ''
      harmonise(nodes, isDrawn ? kindOf : (text) => likeness.get(text)!.inner, changes)
      for (const node of nodes) changes.set(node, { ...changes.get(node), part: id })
      const name =
        rulings[id]?.name ??
        (candidate.origin.kind === 'component'
          ? nameOfComponent(candidate.origin.component)
          : namePart(nodes, candidate.places[0]!.heading))
      return {
        id,
        name,
        ...(rulings[id]?.props ? { props: rulings[id].props } : {}),
        origin: candidate.origin,
        instances: nodes.map(({ layer }) => layer),
        ...explain(candidate),
        saved: Math.max(0, savedBy(candidate)),
      }
    })
  if (parts.length === 0) return { pages, parts }
  const mark = (node: UiNode): UiNode => {
    const change = changes.get(node)
    const own = mapChildren(node, mark)
    return change ? ({ ...own, ...change } as UiNode) : own
  }
  return {
    parts,
    pages: pages.map((page) => ({
      ...page,
      root: mark(page.root),
      ...(page.panels
        ? { panels: page.panels.map((panel) => ({ ...panel, root: mark(panel.root) })) }
        : {}),
    })),
  }
}
