import { childrenInLayout, rootsOf, type UiNode } from '../../ui/nodes.js'
import type { Sizing } from '../../design/layout.js'
import type { UiProject } from '../../ui/index.js'
import type { Styling } from '../styling/styling.js'
import { colorWord } from '../shared/color-word.js'
import {
  isAsHighAsRow,
  isFreeWide,
  marginsOf,
  runSlots,
  slotsOf,
  type Slots,
  type Surroundings,
} from './slots.js'
import type { FlutterTheme } from './theme.js'
import { toTokens } from './tokens.js'
import { alignment } from './values.js'

/** What says where a thing stands in its container and how much room it takes there. */
const PLACING =
  /^(?:grow|flexible|width|height|minWidth|maxWidth|minHeight|maxHeight|margin|over|pushed|self|span|left|top|right|bottom|hold-[xy]|centre-[xy]|scale-[xy]|under|absolute|shown|ratio)(?:@\d+)?=/

const FREE: Surroundings = {
  isHigh: false,
  isBounded: false,
  hasEnd: true,
  isHeld: true,
  isInHigh: false,
  isInFit: false,
  pulledPx: 0,
  isBesidePushed: false,
}

/** A node at a width, as it was at the last step before. */
const atWidth = (node: UiNode, width: number): readonly UiNode[] => {
  if (!node.steps) return [node]
  const step = [...node.steps].reverse().find(({ fromPx }) => fromPx <= width)
  return step?.node ? [step.node] : []
}

/** What is known around a node at a width of the window. */
type Around = (width: number) => Surroundings

/** What is known of a node at one width, from what is known of what holds it. */
const surround = (node: UiNode, around: Surroundings): Surroundings => {
  const { place, width, height, limits } = node.style
  const isFixed = height.sizing === 'fixed' || limits.maxHeight !== undefined
  const isRoot = place.kind === 'root' && height.sizing === 'stretch'
  const isStretched =
    place.kind === 'flow' &&
    height.sizing === 'stretch' &&
    (place.parent === 'row' ? around.isBounded : around.isHigh)
  const isHigh = height.sizing === 'fixed' || isRoot || isStretched
  return {
    isHigh,
    isBounded: isHigh || isFixed || around.isBounded,
    isHeld: around.hasEnd,
    isInHigh: around.isHigh,
    isInFit: around.isInFit,
    pulledPx: around.pulledPx,
    isBesidePushed: around.isBesidePushed,
    hasEnd: width.sizing === 'fixed' || limits.maxWidth !== undefined || endsWith(node, around),
  }
}

/** Whether there is an end to the room above and below what stands in a box. */
const isEnded = (
  { style: { arrange } }: UiNode,
  node: UiNode,
  width: number,
  own: Surroundings,
  sizing: Sizing,
): boolean => {
  // In a column there is no end to the room but for what shares it out.
  if (arrange.kind === 'column') return own.isHigh && sizing === 'stretch'
  if (arrange.kind === 'grid') return true
  if (arrange.kind !== 'row') return own.isBounded
  // A row that is as high as its highest tells the others how high that is.
  const others = childrenInLayout(node).flatMap((child) => atWidth(child, width))
  return own.isBounded || others.some(isAsHighAsRow)
}

/** Whether something in a box is pushed to its end. */
const isPushing = (node: UiNode, width: number): boolean =>
  childrenInLayout(node)
    .flatMap((child) => atWidth(child, width))
    .some(({ style: { place } }) => place.kind === 'flow' && place.isPushed)

/** Whether what holds a node ends the room beside it: in a row only for what shares out the room. */
const endsWith = ({ style: { place, width } }: UiNode, { hasEnd }: Surroundings): boolean => {
  if (place.kind === 'root') return true
  if (place.kind === 'absolute') {
    return (
      hasEnd && (place.x.edge === 'both' || place.x.edge === 'scale' || width.sizing === 'stretch')
    )
  }
  return hasEnd && (place.parent !== 'row' || width.sizing === 'stretch')
}

/**
 * How far things in a row or a column begin before their places, in px: nothing takes less than no room there, so that
 * what is pulled back by more than its own size leaves the rest to the next.
 */
const pulledBack = (holder: UiNode, node: UiNode, width: number): ReadonlyMap<UiNode, number> => {
  const pulled = new Map<UiNode, number>()
  const { kind } = holder.style.arrange
  if (kind !== 'row' && kind !== 'column') return pulled
  let rest = 0
  for (const one of childrenInLayout(node)) {
    pulled.set(one, rest)
    const [look] = atWidth(one, width)
    const margins = look && marginsOf(look.style)
    if (!margins) continue
    const { width: own, height } = look.style
    const extent =
      kind === 'row'
        ? margins.left + own.px + margins.right
        : margins.top + height.px + margins.bottom
    rest = Math.max(0, rest - extent)
  }
  return pulled
}

/** A function that remembers what it gave for each width. */
const rememberedAt = <T>(find: (px: number) => T): ((px: number) => T) => {
  const known = new Map<number, T>()
  return (px) => {
    if (!known.has(px)) known.set(px, find(px))
    return known.get(px)!
  }
}

/** What is known around every node of a project, from the outside in: at each width for itself. */
const findSurroundings = (roots: readonly UiNode[]): ReadonlyMap<UiNode, Surroundings> => {
  const found = new Map<UiNode, Surroundings>()
  const look = (node: UiNode, around: Around): void => {
    const lookAt = (px: number): UiNode => atWidth(node, px)[0] ?? node
    const ownAt = rememberedAt((px) => surround(lookAt(px), around(px)))
    found.set(node, ownAt(Infinity))
    for (const { fromPx, node: own } of node.steps ?? []) if (own) found.set(own, ownAt(fromPx))
    const insideAt = rememberedAt((px) => {
      const [own, holder] = [ownAt(px), lookAt(px)]
      return {
        own,
        holder,
        pulled: pulledBack(holder, node, px),
        isBesidePushed: isPushing(node, px),
        isInFit: holder.style.arrange.kind === 'column' && isFreeWide(holder.style, own),
      }
    })
    for (const child of childrenInLayout(node)) {
      look(child, (px) => {
        const { own, holder, pulled, ...inside } = insideAt(px)
        const { height } = (atWidth(child, px)[0] ?? child).style
        return {
          ...own,
          ...inside,
          isBounded: isEnded(holder, node, px, own, height.sizing),
          pulledPx: pulled.get(child) ?? 0,
        }
      })
    }
  }
  for (const root of roots) look(root, () => FREE)
  return found
}

/** The look of a node at one width, with what is in it at that width. */
const withChildren = (look: UiNode, node: UiNode, width: number): UiNode =>
  'children' in node && 'children' in look
    ? { ...look, children: node.children.flatMap((child) => atWidth(child, width)) }
    : look

/** What is different in the letters of a link that leads to the page it stands on. */
const currentSlots = (node: UiNode, slots: (node: UiNode) => Slots): Slots => {
  const state = node.states?.find((one) => one.state === 'current' && one.of === 'self')
  if (!state || node.type !== 'text') return {}
  const [rest, own] = [slots(node), slots(state.node)]
  return Object.fromEntries(
    ['type', 'ink', 'decoration'].flatMap((slot) =>
      own[slot] !== undefined && own[slot] !== rest[slot] ? [[`current.${slot}`, own[slot]]] : [],
    ),
  )
}

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
    id: 'tailwind',
    classes: new Set(),
    node(node) {
      const current = currentSlots(node, slots)
      if (!node.steps) return toTokens([{ fromPx: 0, slots: { ...slots(node), ...current } }])
      return toTokens(
        node.steps.map(({ fromPx, node: look }) => ({
          fromPx,
          // What is folded away at a width is shown by its button, over the page.
          isFolded: look?.style.folds !== undefined,
          slots: look
            ? {
                ...slotsOf(
                  theme,
                  withChildren(look, node, fromPx),
                  surroundings.get(look) ?? FREE,
                  address,
                ),
                ...current,
              }
            : undefined,
        })),
      )
    },
    run: (style) => toTokens([{ fromPx: 0, slots: runSlots(theme, style) }]),
    frame: (node) => toTokens([{ fromPx: 0, slots: slots(node) }]),
    picture: ({ fit, focus }) => [
      `fit=BoxFit.${fit}`,
      ...(focus ? [`focus=${alignment(focus)}`] : []),
    ],
    flat: () => ['contents=true'],
    lineBreak: (steps) =>
      toTokens(steps.map(({ fromPx, isShown }) => ({ fromPx, slots: isShown ? {} : undefined }))),
    panel: () => [],
    message: () => [],
    isText: false,
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
    files: () => [],
    stylesheet: () => '',
  }
}
