import {
  childrenInLayout,
  type UiBox,
  type UiMenuButton,
  type UiNode,
  type UiRun,
  type UiStep,
  type UiText,
} from './nodes.js'
import { isSameValue } from './same-value.js'

/** The tree of a page from a width of the window on, in px. */
export type UiTreeStep = { readonly fromPx: number; readonly root: UiNode }

const textOf = (runs: readonly UiRun[]): string =>
  runs.map((run) => (run.kind === 'text' ? run.text : ' ')).join('')

/** Two nodes are one when they stand for the same layer and are the same kind of thing with the same words. */
const identityOf = (node: UiNode): string => {
  if (node.type !== 'text') return `${node.type} ${node.layer}`
  return `text ${node.layer} ${textOf(node.runs).replace(/\s+/g, '')}`
}

type Child = { readonly id: string; readonly at: (UiNode | undefined)[] }

/**
 * The children at all steps as one list: in the order of the widest, others after what they follow where they
 * are shown.
 */
const joinChildren = (boxes: readonly (UiBox | UiMenuButton | undefined)[]): Child[] => {
  const children: Child[] = []
  const known = new Map<string, Child>()
  for (let step = boxes.length - 1; step >= 0; step--) {
    let after = -1
    const counts = new Map<string, number>()
    for (const node of boxes[step]?.children ?? []) {
      const name = identityOf(node)
      const count = (counts.get(name) ?? 0) + 1
      counts.set(name, count)
      const id = `${name} ${count}`
      let child = known.get(id)
      if (!child) {
        child = { id, at: boxes.map(() => undefined) }
        known.set(id, child)
        children.splice(after + 1, 0, child)
      }
      child.at[step] = node
      after = children.indexOf(child)
    }
  }
  // Where the box itself is not shown, nothing has to be said about what is in it.
  boxes.forEach((box, step) => {
    if (box) return
    const near = boxes.findLastIndex((other, i) => i < step && other !== undefined)
    const from = near >= 0 ? near : boxes.findIndex((other) => other !== undefined)
    for (const child of children) child.at[step] = child.at[from]
  })
  return children
}

/** For each step, whether the children that stand in the flow come in another order than in the joined list. */
const ordersOf = (
  boxes: readonly (UiBox | UiMenuButton | undefined)[],
  children: readonly Child[],
): ((step: number, node: UiNode) => number) => {
  const place = new Map<UiNode, number>()
  children.forEach((child, i) => {
    for (const node of child.at) if (node) place.set(node, i)
  })
  const moved = boxes.map((box) => {
    const flow = (box?.children ?? []).filter((node) => node.style.place.kind !== 'absolute')
    const ranks = flow.map((node) => node.order ?? 0)
    const sorted = flow
      .map((node, i) => ({ node, i }))
      .sort((a, b) => ranks[a.i]! - ranks[b.i]! || a.i - b.i)
      .map(({ node }) => node)
    const isMoved = sorted.some((node, i) => i > 0 && place.get(sorted[i - 1]!)! > place.get(node)!)
    return isMoved ? new Map(sorted.map((node, i) => [node, i + 1])) : undefined
  })
  return (step, node) => moved[step]?.get(node) ?? 0
}

/** What of a node may differ from step to step. */
const lookOf = (node: UiNode): readonly unknown[] => {
  const isHolder = childrenInLayout(node).some(({ style }) => style.place.kind === 'absolute')
  switch (node.type) {
    case 'control':
      return [node.style, isHolder, node.textStyle, node.padding, node.hintColor]
    case 'text': {
      const { style, textStyle, align, wraps, breaksWords, runs } = node
      return [style, isHolder, textStyle, align, wraps, breaksWords, runs]
    }
    default:
      return [node.style, isHolder]
  }
}

/** Line ends that are there at some steps only; the words are the same at all of them. */
const joinRuns = (texts: readonly (UiText | undefined)[]): readonly UiRun[] => {
  const present = texts.filter((text) => text !== undefined)
  const model = present.at(-1)!
  const isSame = present.every((text) => isSameValue(text.runs, model.runs))
  if (isSame) return model.runs
  // Positions are counted in characters that are not white space: lines lose those at their ends.
  const breaksOf = (runs: readonly UiRun[]): Set<number> => {
    const ends = new Set<number>()
    let position = 0
    for (const run of runs) {
      if (run.kind === 'break') ends.add(position)
      else position += run.text.replace(/\s/g, '').length
    }
    return ends
  }
  const plain = present.find((text) => text.runs.every((run) => run.kind === 'text')) ?? model
  const ends = texts.map((text) => (text ? breaksOf(text.runs) : new Set<number>()))
  const all = [...new Set(ends.flatMap((set) => [...set]))].sort((a, b) => a - b)
  const own = breaksOf(plain.runs)
  const runs: UiRun[] = []
  let position = 0
  for (const run of plain.runs) {
    if (run.kind === 'break') {
      const shownAt = ends.map((set) => set.has(position))
      runs.push(shownAt.every((isShown, i) => isShown || !texts[i]) ? run : { ...run, shownAt })
      continue
    }
    let rest = run.text
    for (const end of all) {
      if (own.has(end) || end <= position) continue
      const cut = positionAfter(rest, end - position)
      if (cut === undefined || cut >= rest.length) continue
      const before = rest.slice(0, cut)
      runs.push({ ...run, text: `${before.trimEnd()} ` })
      runs.push({ kind: 'break', shownAt: ends.map((set) => set.has(end)) })
      position += before.replace(/\s/g, '').length
      rest = rest.slice(cut).trimStart()
    }
    position += rest.replace(/\s/g, '').length
    runs.push({ ...run, text: rest })
  }
  return runs
}

/** Where the text has had `count` characters that are not white space, with the white space after them. */
const positionAfter = (text: string, count: number): number | undefined => {
  let seen = 0
  for (let i = 0; i < text.length; i++) {
    if (seen === count && /\s/.test(text[i]!)) return i + 1
    if (!/\s/.test(text[i]!)) seen++
  }
  return undefined
}

const joinInside = (
  boxes: readonly (UiBox | UiMenuButton | undefined)[],
  fromPx: readonly number[],
): UiNode[] => {
  const children = joinChildren(boxes)
  const orders = ordersOf(boxes, children)
  return children.map((child) => joinNode(child.at, fromPx, orders))
}

const joinNode = (
  at: readonly (UiNode | undefined)[],
  fromPx: readonly number[],
  orderAt: (step: number, node: UiNode) => number,
): UiNode => {
  const model = at.findLast((node) => node !== undefined)!
  const isOne = at.every((node) => node === model)
  if (isOne && !model.isHidden && at.every((_, i) => orderAt(i, model) === 0)) return model
  const steps = at.map((node, i): UiStep => {
    const isShown = node && !node.isHidden
    return {
      fromPx: fromPx[i]!,
      order: node ? orderAt(i, node) : 0,
      ...(isShown ? { node } : {}),
    }
  })
  const first = steps[0]!
  const look = first.node && lookOf(first.node)
  const isSame = steps.every(
    ({ node, order }) =>
      node && order === first.order && (node === first.node || isSameValue(lookOf(node), look)),
  )
  const stepped = isSame && first.order === 0 ? {} : { steps }
  switch (model.type) {
    case 'box': {
      const boxes = at.map((node) => (node?.type === 'box' ? node : undefined))
      // It is a menu only where it is folded away at some width.
      const menu = boxes.find((box) => box?.menu !== undefined)?.menu
      const { menu: _menu, ...own } = model
      // What is shown by a button is none itself.
      const { role, act: _act, link: _link, ...rest } = own
      const plain =
        menu === undefined ? own : { ...rest, ...(role && role !== 'button' ? { role } : {}) }
      const children = joinInside(boxes, fromPx)
      return { ...plain, ...(menu === undefined ? {} : { menu }), ...stepped, children }
    }
    case 'menu-button': {
      const buttons = at.map((node) => (node?.type === 'menu-button' ? node : undefined))
      return { ...model, ...stepped, children: joinInside(buttons, fromPx) }
    }
    case 'text': {
      const texts = at.map((node) => (node?.type === 'text' ? node : undefined))
      return { ...model, ...stepped, runs: joinRuns(texts) }
    }
    case 'control':
    case 'image':
      return { ...model, ...stepped }
  }
}

/**
 * Makes one tree of the trees a page has at several widths, from narrow to wide. What is the same at all of them is
 * said once; what differs stands in the steps of its node; what is missing at some is not shown there.
 */
export const joinSteps = (trees: readonly UiTreeStep[]): UiNode => {
  const [only, ...others] = trees
  if (only && others.length === 0) return only.root
  return joinNode(
    trees.map((tree) => tree.root),
    trees.map((tree) => tree.fromPx),
    () => 0,
  )
}
