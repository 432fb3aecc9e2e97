import { resolveSides, subtractSides } from '../design/geometry.js'
import { inputTypeSchema } from '../design/role.js'
import type { UiBox, UiNode, UiStyle } from '../ui/nodes.js'

const lengthOf = ({ sizing, px }: UiStyle['width']): unknown => (sizing === 'fixed' ? px : sizing)

/** Numbers for strings: the same string has the same number. */
class Numbers {
  private readonly known = new Map<string, number>()
  of(text: string): number {
    const number = this.known.get(text) ?? this.known.size
    this.known.set(text, number)
    return number
  }
}

/** Fields that words are typed into, of any kind. */
const INPUTS: ReadonlySet<string> = new Set(inputTypeSchema.options)

/** An arrangement as it is inside of the border, which is counted into the padding. */
const insideBorder = (
  arrange: UiStyle['arrange'],
  border: UiStyle['border'],
): UiStyle['arrange'] => {
  if (!border || !('padding' in arrange)) return arrange
  const [padding, widths] = [resolveSides(arrange.padding), resolveSides(border.widths)]
  return { ...arrange, padding: subtractSides(padding, widths) }
}

/** How a thing looks, its colours aside; what it is painted with, where it is a thing by itself, is one more of its looks. */
const lookOf = ({
  fills,
  border,
  effects,
  tokens: _tokens,
  width: _width,
  height: _height,
  place: _place,
  limits: _limits,
  fitsParent: _fitsParent,
  bleedPx: _bleedPx,
  ...rest
}: UiStyle): { readonly own: string; readonly paint: string } => ({
  own: JSON.stringify([
    { ...rest, arrange: insideBorder(rest.arrange, border) },
    effects.map((effect) => effect.kind),
  ]),
  paint: fills.map((fill) => fill.kind).join(),
})

/** Where a thing stands in its container, and how much room it takes there. */
const placingOf = ({ width, height, place, limits, fitsParent, bleedPx }: UiStyle): string =>
  JSON.stringify([lengthOf(width), lengthOf(height), place, limits, fitsParent, bleedPx])

/** The looks of styles as short words: steps share many styles, and each is written out once. */
class LooksSeen {
  private readonly numbers = new Numbers()
  private readonly words = new Map<UiStyle, readonly [own: string, whole: string]>()
  of(style: UiStyle, isRoot: boolean): string {
    let known = this.words.get(style)
    if (!known) {
      const { own, paint } = lookOf(style)
      const number = String(this.numbers.of(own))
      known = [number, `${number}.${this.numbers.of(paint)}.${this.numbers.of(placingOf(style))}`]
      this.words.set(style, known)
    }
    return known[isRoot ? 0 : 1]
  }
}

/** What is different from which width on, as a word; empty where nothing is that counts here. */
const stepsOf = ({ steps, style }: UiNode, isRoot: boolean, looks: LooksSeen): string => {
  if (!steps) return ''
  let told = ''
  let last: string | undefined
  let count = 0
  for (const { fromPx, node, order } of steps) {
    const look = `${isRoot ? 0 : (order ?? '')} ${node ? looks.of(node.style, isRoot) : ''}`
    if (look === last) continue
    told += `${fromPx}: ${look};`
    last = look
    count++
  }
  return count === 1 && last === `0 ${looks.of(style, isRoot)}` ? '' : told
}

/** What a node is, its looks, its content and what it is in the outline of the page aside. */
const kindOf = (node: UiNode): string => {
  const { isMenuItem, isInert, hover, entrance } = node
  const common = isMenuItem || isInert || hover || entrance
  const rest = common ? JSON.stringify([isMenuItem, isInert, hover, entrance]) : ''
  switch (node.type) {
    case 'text': {
      const { color: _color, ...letters } = node.textStyle
      const { isButton, submits, align, labelFor } = node
      // A link that leads nowhere is one by its colour alone.
      const leads = node.link !== undefined && node.link.kind !== 'nowhere'
      const isLabel = labelFor !== undefined
      return `t${rest}${JSON.stringify([letters, isButton, submits, align, isLabel, leads])}`
    }
    case 'image':
      return `i${rest}${node.fit} ${!!node.link} ${node.alt === ''}`
    case 'control': {
      // What may be typed into a field is one more thing it is given.
      const control = INPUTS.has(node.control) ? 'input' : node.control
      return `c${rest}${control}${JSON.stringify(node.padding)}`
    }
    case 'menu-button':
      return `m${rest}`
    case 'box':
      return `b${rest}${!!node.isOrdered} ${node.columns} ${!!node.link}`
  }
}

type Labels = { readonly inner: string; readonly whole: string | undefined }

/** What a node is like, its content and colours aside: in something, and, a box, by itself. */
const labelsOf = (node: UiNode, looks: LooksSeen): Labels => {
  const kind = kindOf(node)
  const label = (isRoot: boolean): string => {
    const steps = stepsOf(node, isRoot, looks)
    const role = node.type === 'box' ? (roleOf(node, isRoot) ?? '') : ''
    const item = isRoot ? '' : (node.item ?? '')
    const look = looks.of(node.style, isRoot)
    return `${kind}|${look}|${role}|${item}|${steps}`
  }
  return { inner: label(false), whole: node.type === 'box' ? `root${label(true)}` : undefined }
}

/** Whether a node has something of its own that cannot be said in two places: state, ids that others refer to. */
const isBound = (node: UiNode): boolean =>
  node.when !== undefined ||
  node.type === 'menu-button' ||
  ('act' in node && node.act !== undefined && node.act.kind !== 'step') ||
  (node.type === 'box' &&
    (node.form !== undefined ||
      node.menu !== undefined ||
      node.shared !== undefined ||
      ['main', 'banner', 'contentinfo', 'tablist', 'dialog'].includes(node.role ?? '')))

/** Alone among others that are cards, a thing is no less one. */
const roleOf = ({ role }: UiBox, isRoot: boolean): string | undefined =>
  isRoot && role === 'article' ? undefined : role

const childrenOf = (node: UiNode): readonly UiNode[] => ('children' in node ? node.children : [])

/** A node as a number, with those of its children, and what it is like in something, and, a box, by itself. */
type Shape = {
  readonly node: UiNode
  readonly inner: string
  readonly whole: string | undefined
  readonly children: readonly number[]
  readonly weights: readonly number[]
  readonly weight: number
  readonly isBound: boolean
  readonly hasText: boolean
}

/** A node with all that is known of its likeness to others. */
export type Likeness = {
  /** Things of one kind have one number: as parts of something, and as things by themselves. */
  readonly inner: number
  readonly whole: number
  /** How many nodes it is made of. */
  readonly weight: number
  readonly isBound: boolean
  readonly hasText: boolean
}

/** Things differ only in parts that some have and others lack when so much of the larger is in both; a lone part says less. */
const COMMON_SHARE = 0.5
const LONE_SHARE = 0.6
const MOST_ROUNDS = 4
/** Things with fewer parts that differ in one have too little in common. */
const LEAST_PARTS = 3
/** Kinds with one look of the root that are compared with one another. */
const MOST_KINDS = 80

type Kind = { readonly parts: readonly number[]; readonly weights: readonly number[] }

const NO_PARTS: Kind = { parts: [], weights: [] }

/** Several of one kind in a row count once: lists may be of different lengths. */
const withoutRuns = (parts: readonly number[], weights: readonly number[]): Kind => {
  const isKept = (part: number, i: number): boolean =>
    i === 0 || part !== parts[i - 1] || weights[i]! < 2
  if (parts.every(isKept)) return { parts, weights }
  return {
    parts: parts.filter(isKept),
    weights: weights.filter((_, i) => isKept(parts[i]!, i)),
  }
}

const sum = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0)

/** Whether the one with fewer parts has nothing that the other lacks, in the same order, and most of the other. */
const isSubset = (few: Kind, many: Kind): boolean => {
  let at = 0
  let common = 0
  for (let i = 0; i < many.parts.length; i++) {
    if (many.parts[i] !== few.parts[at]) continue
    common += many.weights[i]!
    at++
  }
  if (at < few.parts.length) return false
  const share = few.parts.length > 1 ? COMMON_SHARE : LONE_SHARE
  return common >= share * sum(many.weights)
}

/** Whether things have all parts but one in common, which are more than that one: each shows something of its own there. */
const differInOne = (a: Kind, b: Kind): boolean => {
  const count = a.parts.length
  if (count !== b.parts.length || count < LEAST_PARTS) return false
  let at = -1
  for (let i = 0; i < count; i++) {
    if (a.parts[i] === b.parts[i]) continue
    if (at >= 0) return false
    at = i
  }
  if (at < 0 || a.weights[at]! <= 1 || b.weights[at]! <= 1) return false
  const own = Math.max(a.weights[at]!, b.weights[at]!)
  const common = sum(a.weights) - a.weights[at]!
  return common >= COMMON_SHARE * (common + own) || count > LEAST_PARTS
}

/** Kinds that are one, as a forest of numbers that point to the one they are the same as (union-find). */
class Union {
  private readonly parents = new Map<number, number>()
  find(a: number): number {
    let root = a
    while (this.parents.has(root)) root = this.parents.get(root)!
    return root
  }
  join(a: number, b: number): void {
    const [one, other] = [this.find(a), this.find(b)]
    if (one !== other) this.parents.set(Math.max(one, other), Math.min(one, other))
  }
}

/** The nodes of some trees, children first; a node's number is its place among them. */
const shapesOf = (roots: readonly UiNode[]): readonly Shape[] => {
  const labels = new Numbers()
  const looks = new LooksSeen()
  const shapes: Shape[] = []
  const visit = (node: UiNode): number => {
    const children = childrenOf(node).map(visit)
    const label = labelsOf(node, looks)
    const weights = children.map((child) => shapes[child]!.weight)
    const some = (is: 'isBound' | 'hasText'): boolean =>
      children.some((child) => shapes[child]![is])
    shapes.push({
      node,
      inner: `i${labels.of(label.inner)}`,
      whole: label.whole === undefined ? undefined : `w${labels.of(label.whole)}`,
      children,
      weights,
      weight: 1 + sum(weights),
      isBound: isBound(node) || some('isBound'),
      hasText: node.type === 'text' || node.type === 'control' || some('hasText'),
    })
    return shapes.length - 1
  }
  roots.forEach(visit)
  return shapes
}

/** Joins those of some kinds that only lack parts of another; says whether there were any. */
const joinKin = (siblings: ReadonlyMap<number, Kind>, same: Union): boolean => {
  const numbers = [...siblings.keys()].slice(0, MOST_KINDS)
  const kinds = [...siblings.values()]
  let isChanged = false
  for (let i = 0; i < numbers.length; i++) {
    for (let j = i + 1; j < numbers.length; j++) {
      const [a, b] = [kinds[i]!, kinds[j]!]
      if (same.find(numbers[i]!) === same.find(numbers[j]!)) continue
      const hasFewer = a.parts.length <= b.parts.length
      if (!isSubset(hasFewer ? a : b, hasFewer ? b : a) && !differInOne(a, b)) continue
      same.join(numbers[i]!, numbers[j]!)
      isChanged = true
    }
  }
  return isChanged
}

/**
 * How alike the nodes of some trees are. Two are of one kind when they are built and measured alike, whatever they say
 * and in whatever colours; and when one only lacks parts the other has.
 */
export const findLikeness = (roots: readonly UiNode[]): ReadonlyMap<UiNode, Likeness> => {
  const shapes = shapesOf(roots)
  const same = new Union()
  const numbers = new Numbers()
  const kinds = new Int32Array(shapes.length)
  const wholes = new Int32Array(shapes.length).fill(-1)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    /** By the look of the root: the kinds with it, by their numbers. */
    const byLabel = new Map<string, Map<number, Kind>>()
    const number = (key: string, kind: Kind, list: string): number => {
      if (list === '') return same.find(numbers.of(key))
      const found = same.find(numbers.of(`${key}:${list}`))
      const siblings = byLabel.get(key)
      if (!siblings) byLabel.set(key, new Map([[found, kind]]))
      else if (!siblings.has(found)) siblings.set(found, kind)
      return found
    }
    shapes.forEach(({ inner, whole, children, weights }, i) => {
      const kind =
        children.length === 0
          ? NO_PARTS
          : withoutRuns(
              children.map((child) => kinds[child]!),
              weights,
            )
      const list = kind.parts.join()
      kinds[i] = number(inner, kind, list)
      if (whole !== undefined) wholes[i] = number(whole, kind, list)
    })
    let isChanged = false
    for (const siblings of byLabel.values()) isChanged = joinKin(siblings, same) || isChanged
    if (!isChanged) break
  }
  const found = new Map<UiNode, Likeness>()
  shapes.forEach(({ node, weight, isBound: bound, hasText }, i) => {
    found.set(node, {
      weight,
      isBound: bound,
      hasText,
      inner: same.find(kinds[i]!),
      whole: same.find(wholes[i]!),
    })
  })
  return found
}
