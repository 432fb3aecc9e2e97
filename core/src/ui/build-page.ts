import type { Design } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { inferLayout, type LayoutNode } from '../layout/index.js'
import { findTitle } from '../meaning/find-title.js'
import { readRoles } from '../meaning/roles/index.js'
import type { InstanceStates } from '../meaning/states.js'
import { notes } from '../notes/catalogue.js'
import { composeScreen, screenOptions } from '../responsive/index.js'
import { buildNode, OUTSIDE, type BuildContext } from './build/index.js'
import { createControlIds } from './control-ids.js'
import { joinSteps } from './join-steps.js'
import { placeMain } from './landmarks.js'
import type { UiNode, UiPage } from './nodes.js'

/** What the pages of a project have in common while they are built. */
export type PageSurroundings = Pick<
  BuildContext,
  'account' | 'collector' | 'measure' | 'pages' | 'home' | 'pageNamed'
> & {
  readonly design: Design
  /** The states of instances, by their keys. */
  readonly states: ReadonlyMap<string, InstanceStates>
}

/** Layers that nothing separates and that stay where they are; true overlays are not counted. */
const countFree = (node: LayoutNode): number =>
  node.children.reduce(
    (count, child) => count + countFree(child),
    node.arrangement.kind === 'free' ? node.children.length : 0,
  )

/** A screen with auto layout takes the room the window has. */
const finishRoot = (node: UiNode, isScreen: boolean): UiNode => {
  if (node.type !== 'box') return node
  const { style } = node
  const flows = style.arrange.kind !== 'free' && style.arrange.kind !== 'none'
  if (!isScreen || !flows) return node
  const width = { ...style.width, sizing: 'stretch' as const }
  const height = { ...style.height, sizing: 'stretch' as const }
  return { ...node, style: { ...style, width, height } }
}

/** The instance with states a layer is or stands in: keys inside an instance begin with its own. */
const ownerFinder =
  (states: ReadonlyMap<string, InstanceStates>): BuildContext['ownerOf'] =>
  (key) => {
    if (states.size === 0) return undefined
    for (let own = key; ;) {
      if (states.has(own)) return own
      const end = own.lastIndexOf('/')
      if (end < 0) return undefined
      own = own.slice(0, end)
    }
  }

const createIds = (): ((key: string) => string) => {
  const menus = new Map<string, string>()
  return (key) => {
    const id = menus.get(key) ?? (menus.size === 0 ? 'menu' : `menu-${menus.size + 1}`)
    menus.set(key, id)
    return id
  }
}

/** Builds pages of a project: each from its artboards, the widest first. */
export const createPageBuilder = ({
  design,
  states,
  ...shared
}: PageSurroundings): ((group: readonly Layer[], isScreen: boolean) => Omit<UiPage, 'name'>) => {
  const { account, measure } = shared
  const ownerOf = ownerFinder(states)
  return (group, isScreen) => {
    const root = group[0]!
    const trees = group.map((artboard) => inferLayout(artboard, { measure, assets: design.assets }))
    trees.forEach((tree, i) => {
      const free = countFree(tree)
      if (free > 0) account.add(notes.placedAbsolutely(group[i]!.key, free))
    })
    const screen = composeScreen(trees, screenOptions(design, measure, isScreen))
    const roles = readRoles(
      [...screen.steps].reverse().map((step) => step.root),
      { rulings: design.roles ?? {}, title: findTitle(root) },
    )
    const context: BuildContext = {
      ...shared,
      roles,
      ids: createControlIds(root, roles),
      ownerOf,
      statesOf: (instance) => states.get(instance)?.drawn ?? [],
      stateOf: (key) => states.get(key)?.own,
      built: new Map(),
      menuId: createIds(),
    }
    const joined = joinSteps(
      screen.steps.map(({ fromPx, root: step }) => ({
        fromPx,
        root: placeMain(finishRoot(buildNode(context, step, OUTSIDE), isScreen)),
      })),
    )
    return {
      key: root.key,
      artboards: group.map((artboard) => artboard.key),
      widths: group.map((artboard) => artboard.box.width),
      root: joined,
      widthPx: root.box.width,
      heightPx: root.box.height,
    }
  }
}
