import type { LayoutNode } from '../../layout/index.js'
import { assign } from '../../math/assign.js'
import { isPart, partsOf, type Part } from './parts.js'

/** A layer of one artboard that is the same as one of the base artboard. */
export type Match = {
  readonly base: string
  readonly other: string
  /** From 0 to 1. */
  readonly confidence: number
  /** In words: what speaks for it. */
  readonly evidence: string
  readonly isRuling: boolean
}

/** What a person has said: the key on the base artboard, or null when it is on none. */
export type MatchRulings = Readonly<Record<string, string | null>>

/** Things that are alike in number beyond this are taken in order, since comparing all with all takes too long. */
const MOST_ASSIGNED = 80
/** As many of a box's contents are looked at to tell whether two boxes hold the same. */
const MOST_KNOWN = 12
/** Two parts that cost more than this to be one are two. */
const MOST_COST = 0.62
/** Texts that share no word are two, unless all else speaks for one. */
const MOST_TEXT_COST = 0.5

const words = (text: string): Set<string> => new Set(text.split(/[^\p{L}\p{N}]+/u).filter(Boolean))

/** How alike two texts are, from 0 to 1: by the words they share. */
const textLikeness = (a: string, b: string): number => {
  if (a === b) return 1
  const [one, other] = [words(a), words(b)]
  if (one.size === 0 || other.size === 0) return 0
  let shared = 0
  for (const word of one) if (other.has(word)) shared++
  return (2 * shared) / (one.size + other.size)
}

const contentLikeness = (a: Part, b: Part): number => {
  if (a.kind === 'text') return textLikeness(a.content, b.content)
  if (a.content === '' && b.content === '') return 0.5
  return a.content === b.content ? 1 : 0
}

const ratioOf = ({ box }: Part): number => (box.height > 0 ? box.width / box.height : 1)

const groupByParent = (parts: readonly Part[]): ReadonlyMap<Part, readonly Part[]> => {
  const groups = new Map<Part, Part[]>()
  for (const part of parts) {
    if (!part.parent) continue
    const known = groups.get(part.parent)
    if (known) known.push(part)
    else groups.set(part.parent, [part])
  }
  return groups
}

type Candidate = { readonly base: Part; readonly other: Part; readonly share: number }

/** How much speaks for two boxes that share things: of boxes inside one another, the more alike come first. */
const closeness = ({ base, other, share }: Candidate): number =>
  share +
  (base.name !== '' && base.name === other.name ? 0.1 : 0) +
  (base.look === other.look ? 0.05 : 0)

class Matcher {
  readonly pairs = new Map<Part, Match & { readonly part: Part }>()
  /** Of the base: by which part it was taken. */
  private readonly taken = new Map<Part, Part>()

  constructor(
    private readonly base: readonly Part[],
    private readonly others: readonly Part[],
    rulings: MatchRulings,
  ) {
    this.index = new Map([...base.entries(), ...others.entries()].map(([i, part]) => [part, i]))
    const byKey = new Map(base.map((part) => [part.key, part]))
    this.pair(base[0]!, others[0]!, 1, 'the artboards themselves')
    for (const other of others) {
      const said = rulings[other.key]
      if (said === undefined) continue
      if (said === null) this.refused.add(other)
      const part = said === null ? undefined : byKey.get(said)
      if (part && !this.taken.has(part)) this.pair(part, other, 1, 'said by hand', true)
    }
  }

  private readonly refused = new Set<Part>()
  /** The place of each part among those of its artboard. */
  private readonly index: ReadonlyMap<Part, number>

  private pair(part: Part, other: Part, confidence: number, evidence: string, isRuling = false) {
    const match = { base: part.key, other: other.key, confidence, evidence, isRuling, part }
    this.pairs.set(other, match)
    this.taken.set(part, other)
  }

  private isFree = (part: Part): boolean => !this.taken.has(part)
  private isOpen = (part: Part): boolean => !this.pairs.has(part) && !this.refused.has(part)

  /** Whether the containers around two parts are the same. */
  private context(a: Part, b: Part): number {
    const [one, other] = [a.parent, b.parent]
    if (!one || !other) return 1
    const match = this.pairs.get(other)
    if (match) return match.part === one ? 1 : 0
    return this.taken.has(one) ? 0.2 : 0.5
  }

  /** For each part of the other artboard, the nearest before and after it that are matched already. */
  private anchors: ReadonlyMap<Part, readonly { readonly at: number; readonly base: number }[]> =
    new Map()

  /** Parts of the base that are known to be in each box of the other artboard. */
  private inside: ReadonlyMap<Part, readonly Part[]> = new Map()

  /** Remembers what stands next to what, and in which box, for the parts that are still open. */
  private lookAround(): void {
    const anchors = new Map<Part, { at: number; base: number }[]>()
    const scan = (order: readonly Part[]): void => {
      let last: { at: number; base: number } | undefined
      for (const part of order) {
        const match = this.pairs.get(part)
        if (match && part.kind !== 'box') {
          last = { at: this.index.get(part)!, base: this.index.get(match.part)! }
        } else if (!match && last) anchors.set(part, [...(anchors.get(part) ?? []), last])
      }
    }
    const inside = new Map<Part, Part[]>()
    for (const [other, { part }] of this.pairs) {
      if (other.kind === 'box') continue
      for (let at = other.parent; at; at = at.parent) {
        const known = inside.get(at)
        if (!known) inside.set(at, [part])
        else if (known.length < MOST_KNOWN) known.push(part)
      }
    }
    this.inside = inside
    scan(this.others)
    scan([...this.others].reverse())
    this.anchors = anchors
  }

  /** Whether two parts stand next to the same things, from 0 to 1. */
  private nearness(a: Part, b: Part): number {
    const anchors = this.anchors.get(b) ?? []
    if (anchors.length === 0) return 1 - Math.min(1, Math.abs(a.rank - b.rank) * 4)
    const at = this.index.get(b)!
    const own = this.index.get(a)!
    return Math.max(
      ...anchors.map((anchor) => {
        const expected = anchor.base + (at - anchor.at)
        const far = Math.abs(at - anchor.at)
        return 1 / (1 + 0.4 * Math.abs(own - expected) + 0.02 * far)
      }),
    )
  }

  /** What it costs to take two parts of a kind for the same, from 0 to 1. */
  private cost(a: Part, b: Part): number {
    if (a.kind === 'box' && this.holdsOthers(a, b)) return 1
    const content = contentLikeness(a, b)
    const name = a.name !== '' && a.name === b.name ? 1 : 0
    const look = a.look === b.look ? 1 : 0
    const place = this.nearness(a, b)
    const ratio = Math.min(ratioOf(a), ratioOf(b)) / Math.max(ratioOf(a), ratioOf(b), 0.001)
    const isText = a.kind === 'text'
    const likeness = isText
      ? 0.5 * content + 0.1 * name + 0.08 * look + 0.2 * place + 0.12 * this.context(a, b)
      : 0.26 * content +
        0.18 * name +
        0.12 * look +
        0.16 * place +
        0.2 * this.context(a, b) +
        0.08 * ratio
    return 1 - likeness
  }

  /** Whether what is known of the contents of two boxes says that they hold other things. */
  private holdsOthers(a: Part, b: Part): boolean {
    const known = this.inside.get(b)
    if (!known || known.length === 0) return false
    const shared = known.filter((part) => {
      let at = part.parent
      while (at && at !== a) at = at.parent
      return at === a
    })
    return shared.length * 3 < known.length
  }

  private assignAll(
    bases: readonly Part[],
    others: readonly Part[],
    most: number,
    evidence: string,
  ) {
    if (bases.length === 0 || others.length === 0) return
    if (bases.length > MOST_ASSIGNED || others.length > MOST_ASSIGNED) {
      this.inOrder(bases, others, most, evidence)
      return
    }
    const cost = others.map((other) => bases.map((base) => this.cost(base, other)))
    assign(cost).forEach((column, row) => {
      const own = column < 0 ? Infinity : cost[row]![column]!
      if (own <= most) this.pair(bases[column]!, others[row]!, confidenceOf(own), evidence)
    })
  }

  /** Long lists of things that are alike, piece by piece. */
  private inOrder(bases: readonly Part[], others: readonly Part[], most: number, evidence: string) {
    const pieces = Math.ceil(Math.max(bases.length, others.length) / MOST_ASSIGNED)
    const slice = (list: readonly Part[], i: number): readonly Part[] =>
      list.slice(
        Math.floor((list.length * i) / pieces),
        Math.floor((list.length * (i + 1)) / pieces),
      )
    for (let i = 0; i < pieces; i++)
      this.assignAll(slice(bases, i), slice(others, i), most, evidence)
  }

  /** Parts that say or show the same; where there are several, by name, place and what is around them. */
  byContent(): void {
    const groups = new Map<string, { bases: Part[]; others: Part[] }>()
    const groupOf = (part: Part): { bases: Part[]; others: Part[] } => {
      const id = `${part.kind} ${part.content}`
      const known = groups.get(id) ?? { bases: [], others: [] }
      groups.set(id, known)
      return known
    }
    for (const part of this.base) {
      if (part.content !== '' && this.isFree(part)) groupOf(part).bases.push(part)
    }
    for (const part of this.others) {
      if (part.content !== '' && this.isOpen(part)) groupOf(part).others.push(part)
    }
    const several: { bases: Part[]; others: Part[] }[] = []
    for (const group of groups.values()) {
      const { bases, others } = group
      const isDrawing = bases[0]?.kind === 'drawing'
      if (bases.length === 1 && others.length === 1) {
        const [a, b] = [bases[0]!, others[0]!]
        this.pair(
          a,
          b,
          isDrawing ? 0.9 : 0.98,
          a.kind === 'text' ? 'the same words' : 'the same picture',
        )
      } else if (bases.length > 0 && others.length > 0) several.push(group)
    }
    // What is there several times is decided when its surroundings are known.
    this.byContents()
    this.lookAround()
    for (const { bases, others } of several) {
      this.assignAll(
        bases.filter(this.isFree),
        others.filter(this.isOpen),
        0.8,
        bases[0]!.kind === 'text'
          ? 'the same words, and where they stand'
          : 'the same picture, and where it stands',
      )
    }
  }

  /** Boxes that hold the same things. */
  byContents(): void {
    const open = this.others.filter((part) => part.kind === 'box' && this.isOpen(part))
    const votes = new Map<Part, Map<Part, number>>()
    const sizes = new Map<Part, number>()
    const count = (part: Part): void => {
      for (let at = part.parent; at; at = at.parent) sizes.set(at, (sizes.get(at) ?? 0) + 1)
    }
    for (const part of this.base) if (part.kind !== 'box') count(part)
    for (const part of this.others) if (part.kind !== 'box') count(part)
    for (const [other, { part }] of this.pairs) {
      if (other.kind === 'box') continue
      for (let b = other.parent; b; b = b.parent) {
        let known = votes.get(b)
        if (!known) votes.set(b, (known = new Map()))
        for (let a = part.parent; a; a = a.parent) known.set(a, (known.get(a) ?? 0) + 1)
      }
    }
    const found: Candidate[] = []
    for (const other of open) {
      for (const [base, shared] of votes.get(other) ?? []) {
        if (!this.isFree(base)) continue
        const share = (2 * shared) / ((sizes.get(base) ?? 0) + (sizes.get(other) ?? 0))
        if (share >= 0.3) found.push({ base, other, share })
      }
    }
    found.sort(
      (a, b) =>
        closeness(b) - closeness(a) || a.other.rank - b.other.rank || a.base.rank - b.base.rank,
    )
    for (const { base, other, share } of found) {
      if (this.isFree(base) && this.isOpen(other)) {
        this.pair(base, other, Math.min(0.97, 0.6 + 0.37 * share), 'they hold the same things')
      }
    }
  }

  /** What is left, first among what lies in the same boxes, then anywhere. */
  rest(): void {
    const kinds = ['box', 'picture', 'drawing', 'text', 'shape'] as const
    const free = groupByParent(this.base.filter(this.isFree))
    const children = groupByParent(this.others)
    this.lookAround()
    for (const parent of this.others) {
      const match = this.pairs.get(parent)
      if (!match) continue
      const bases = free.get(match.part)
      if (!bases) continue
      const inside = children.get(parent) ?? []
      for (const kind of kinds) {
        this.assignAll(
          bases.filter((part) => part.kind === kind && this.isFree(part)),
          inside.filter((part) => part.kind === kind && this.isOpen(part)),
          kind === 'text' ? MOST_TEXT_COST : MOST_COST,
          'what they are, and where they stand',
        )
      }
    }
    for (const kind of kinds) {
      this.assignAll(
        this.base.filter((part) => part.kind === kind && this.isFree(part)),
        this.others.filter((part) => part.kind === kind && this.isOpen(part)),
        kind === 'text' ? MOST_TEXT_COST : 0.42,
        'what they are like',
      )
    }
  }
}

const confidenceOf = (cost: number): number =>
  Math.round(Math.max(0.3, Math.min(0.97, 1.02 - cost)) * 100) / 100

type Assets = Parameters<typeof partsOf>[1]

/**
 * Finds which layers of one artboard are the same as those of another: by what they say and show, by name, kind,
 * place in the tree and geometry, as an optimal assignment. Takes the layouts of both; rulings win.
 */
export const matchArtboards = (
  base: LayoutNode,
  other: LayoutNode,
  assets: Assets,
  rulings: MatchRulings = {},
): readonly Match[] => {
  const matcher = new Matcher(partsOf(base, assets), partsOf(other, assets), rulings)
  matcher.byContent()
  matcher.byContents()
  matcher.rest()
  matcher.byContents()
  return [...matcher.pairs.values()].map(({ part: _part, ...match }) => match)
}

export { isPart }
