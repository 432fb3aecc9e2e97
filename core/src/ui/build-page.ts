import type { Design } from '../design/design.js'
import type { PanelSide } from '../design/interaction.js'
import { isOnScreen } from '../design/geometry.js'
import { childrenOf, type Layer } from '../design/layer.js'
import { inferPage, type LayoutNode } from '../layout/index.js'
import { findTitle } from '../meaning/find-title.js'
import { nameThings } from '../meaning/names.js'
import { readRoles } from '../meaning/roles/index.js'
import type { InstanceStates } from '../design/states.js'
import { notes } from '../notes/catalogue.js'
import { composeScreen, screenOptions } from '../responsive/index.js'
import { UniqueNames } from '../text/names.js'
import { buildNode, OUTSIDE, type BuildContext } from './build/index.js'
import { createControlIds } from './control-ids.js'
import { joinSteps } from './join-steps.js'
import { withLandmarkNames } from './landmark-names.js'
import { placeMain } from './landmarks.js'
import { settleNesting } from './nesting.js'
import type { UiNode, UiPage, UiPanel } from './nodes.js'
import { findTargets } from './targets.js'
import { withKnownReferences } from './known-references.js'
import { withUniqueIds } from './unique-ids.js'

/** What the pages of a project have in common while they are built. */
export type PageSurroundings = Pick<
  BuildContext,
  'account' | 'collector' | 'measure' | 'pages' | 'home' | 'pageNamed' | 'panelOf'
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

/** Layers of which nothing is seen, since the screen ends before they begin; what is in them is not counted. */
const countOutside = (screen: Layer): number => {
  if (!('clip' in screen) || !screen.clip) return 0
  const count = (layer: Layer, left: number, top: number): number => {
    if (!layer.visible) return 0
    const [x, y] = [left + layer.box.x, top + layer.box.y]
    if (layer.type !== 'line' && !isOnScreen({ ...layer.box, x, y }, screen)) return 1
    return childrenOf(layer).reduce((sum, child) => sum + count(child, x, y), 0)
  }
  return childrenOf(screen).reduce((sum, child) => sum + count(child, 0, 0), 0)
}

/** A screen with auto layout takes the room the window has; what is shown over a page is as high as its content. */
const finishRoot = (node: UiNode, use: PageUse): UiNode => {
  if (node.type !== 'box') return node
  const { style } = node
  const flows = style.arrange.kind !== 'free' && style.arrange.kind !== 'none'
  if (use.kind === 'layer' || !flows) return node
  const fills = use.kind === 'page' || (use.panel.kind === 'drawer' && isAtSide(use.panel.side))
  const width = { ...style.width, sizing: 'stretch' as const }
  const height = { ...style.height, sizing: fills ? ('stretch' as const) : ('fit' as const) }
  return { ...node, style: { ...style, width, height } }
}

const isAtSide = (side: PanelSide): boolean => side === 'start' || side === 'end'

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

/** The names of menus in a page, by the keys of their panels. */
const createMenuIds = (takeName: (wanted: string) => string): ((key: string) => string) => {
  const menus = new Map<string, string>()
  return (key) => {
    const id = menus.get(key) ?? takeName('menu')
    menus.set(key, id)
    return id
  }
}

/** What is made of some artboards. */
export type PageUse =
  | { readonly kind: 'page' }
  /** A layer by itself. */
  | { readonly kind: 'layer' }
  | { readonly kind: 'panel'; readonly panel: Omit<UiPanel, 'root'> }

/** Builds pages of a project: each from its artboards, the widest first. */
export const createPageBuilder = ({
  design,
  states,
  ...shared
}: PageSurroundings): ((group: readonly Layer[], use: PageUse) => Omit<UiPage, 'name'>) => {
  const { account, measure } = shared
  const ownerOf = ownerFinder(states)
  return (group, use) => {
    const root = group[0]!
    const trees = group.map((artboard) => inferPage(artboard, { measure, assets: design.assets }))
    trees.forEach((tree, i) => {
      const free = countFree(tree)
      if (free > 0) account.add(notes.placedAbsolutely(group[i]!.key, free))
      const outside = countOutside(group[i]!)
      if (outside > 0) account.add(notes.outsideScreen(group[i]!.key, outside))
    })
    const screen = composeScreen(trees, screenOptions(design, measure, use.kind !== 'layer'))
    const roles = readRoles(
      [...screen.steps].reverse().map((step) => step.root),
      { rulings: design.roles ?? {}, title: findTitle(root) },
    )
    const names = nameThings(screen.steps.at(-1)!.root, roles)
    // Ids in a panel begin with its own: it stands in the same document as the page.
    const ids = new UniqueNames('-')
    const prefix = use.kind === 'panel' ? `${use.panel.id}-` : ''
    const takeName = (wanted: string): string => ids.take(`${prefix}${wanted}`)
    const context: BuildContext = {
      ...shared,
      roles,
      nameOf: (layer) => names.get(layer.key) ?? layer.name,
      ids: createControlIds(root, roles, names, takeName),
      targets: findTargets(group, takeName),
      panel: use.kind === 'panel' ? use.panel : undefined,
      ownerOf,
      statesOf: (instance) => states.get(instance)?.drawn ?? [],
      stateOf: (key) => states.get(key)?.own,
      built: new Map(),
      menuId: createMenuIds(takeName),
    }
    const whole = joinSteps(
      screen.steps.map(({ fromPx, root: step }) => ({
        fromPx,
        root: finishRoot(buildNode(context, step, OUTSIDE), use),
      })),
    )
    const joined = withLandmarkNames(settleNesting(use.kind === 'panel' ? whole : placeMain(whole)))
    return {
      key: root.key,
      artboards: group.map((artboard) => artboard.key),
      widths: group.map((artboard) => artboard.box.width),
      root: withUniqueIds(withKnownReferences(joined)),
      widthPx: root.box.width,
      heightPx: root.box.height,
    }
  }
}
