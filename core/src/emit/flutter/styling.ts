import { childrenInLayout, rootsOf, type UiNode } from '../../ui/nodes.js'
import type { UiProject } from '../../ui/index.js'
import type { Styling } from '../styling/styling.js'
import { colorWord } from '../shared/color-word.js'
import { runSlots, slotsOf, type Slots, type Surroundings } from './slots.js'
import type { FlutterTheme } from './theme.js'
import { toTokens } from './tokens.js'

/** What says where a thing stands in its container and how much room it takes there. */
const PLACING =
  /^(?:grow|flexible|width|height|minWidth|maxWidth|minHeight|maxHeight|margin|pushed|self|span|left|top|right|bottom|hold-[xy]|centre-[xy]|scale-[xy]|under|absolute|shown|ratio)(?:@\d+)?=/

const FREE: Surroundings = { isHigh: false, isBounded: false }

/** What is known around every node of a project, from the outside in: at each width for itself. */
const findSurroundings = (roots: readonly UiNode[]): ReadonlyMap<UiNode, Surroundings> => {
  const found = new Map<UiNode, Surroundings>()
  const inside = (node: UiNode, around: Surroundings): Surroundings => {
    const { place, height, limits } = node.style
    const isFixed = height.sizing === 'fixed' || limits.maxHeight !== undefined
    const isRoot = place.kind === 'root' && height.sizing === 'stretch'
    const isStretched =
      place.kind === 'flow' &&
      height.sizing === 'stretch' &&
      (place.parent === 'row' ? around.isBounded : around.isHigh)
    const isHigh = height.sizing === 'fixed' || isRoot || isStretched
    return { isHigh, isBounded: isHigh || isFixed || around.isBounded }
  }
  const look = (node: UiNode, around: Surroundings): void => {
    const own = inside(node, around)
    found.set(node, own)
    for (const step of node.steps ?? []) {
      if (step.node) found.set(step.node, inside({ ...node, ...step.node } as UiNode, around))
    }
    if (!('children' in node)) return
    const arrangements = [node, ...(node.steps ?? []).flatMap((step) => step.node ?? [])].map(
      ({ style }) => style.arrange.kind,
    )
    const isColumn = arrangements.every((kind) => kind === 'column')
    for (const child of childrenInLayout(node)) {
      const { place, height } = child.style
      const isTall = place.kind === 'flow' && place.parent === 'row' && height.sizing === 'stretch'
      // In a column there is no end to the room but for what shares it out.
      const isBounded = isColumn
        ? own.isHigh && height.sizing === 'stretch'
        : own.isBounded || isTall
      look(child, { ...own, isBounded })
    }
  }
  for (const root of roots) look(root, FREE)
  return found
}

/** A node at a width, as it was at the last step before. */
const atWidth = (node: UiNode, width: number): readonly UiNode[] => {
  if (!node.steps) return [node]
  const step = [...node.steps].reverse().find(({ fromPx }) => fromPx <= width)
  return step?.node ? [step.node] : []
}

/** The look of a node at one width, with what is in it at that width. */
const withChildren = (look: UiNode, node: UiNode, width: number): UiNode =>
  'children' in node && 'children' in look
    ? { ...look, children: node.children.flatMap((child) => atWidth(child, width)) }
    : look

/** The look of nodes as what is said of widgets. `address`: the file of a picture. */
export const createFlutterStyling = (
  project: UiProject,
  theme: FlutterTheme,
  address: (asset: string) => string,
): Styling => {
  const surroundings = findSurroundings([
    ...project.pages.flatMap(rootsOf),
    ...(project.notFound ? [project.notFound.root] : []),
  ])
  const slots = (node: UiNode): Slots =>
    slotsOf(theme, node, surroundings.get(node) ?? FREE, address)
  return {
    classes: new Set(),
    node(node) {
      if (!node.steps) return toTokens([{ fromPx: 0, slots: slots(node) }])
      return toTokens(
        node.steps.map(({ fromPx, node: look }) => ({
          fromPx,
          // What is folded away at a width is shown by its button, over the page.
          slots:
            look && !look.style.folds
              ? slotsOf(
                  theme,
                  withChildren(look, node, fromPx),
                  surroundings.get(look) ?? FREE,
                  address,
                )
              : undefined,
        })),
      )
    },
    run: (style) => toTokens([{ fromPx: 0, slots: runSlots(theme, style) }]),
    frame: (node) => toTokens([{ fromPx: 0, slots: slots(node) }]),
    picture: (node) => [`fit=BoxFit.${node.fit}`],
    flat: () => ['contents=true'],
    lineBreak: (steps) =>
      toTokens(steps.map(({ fromPx, isShown }) => ({ fromPx, slots: isShown ? {} : undefined }))),
    panel: () => [],
    message: () => [],
    isPlacing: (token) => PLACING.test(token),
    likenessOf: (tokens) =>
      tokens
        .split(' ')
        .filter((token) => !/^(nowrap|flexible)(@\d+)?=/.test(token))
        .join(' '),
    colorIn(token) {
      const code = /^(?:color|ink|border)(?:@\d+)?=(.*)$/.exec(token)?.[1]
      const named = code && /\bcolors\.([a-z][A-Za-z0-9]*)/.exec(code)?.[1]
      if (named) return named.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
      const hex = code && /Color\(0x..([0-9A-F]{6})\)/.exec(code)?.[1]
      return hex ? colorWord(`#${hex.toLowerCase()}`) : undefined
    },
    stylesheet: () => '',
  }
}
