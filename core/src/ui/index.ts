import type { Design } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { walkLayers } from '../design/walk.js'
import { inferLayout, type LayoutNode } from '../layout/index.js'
import { findArtboards } from '../meaning/find-artboards.js'
import { findTitle } from '../meaning/find-title.js'
import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'
import type { TextMeasure } from '../text/measure.js'
import { Account } from './account.js'
import { AssetCollector } from './asset-collector.js'
import { buildNode, OUTSIDE } from './build/index.js'
import type { UiAsset, UiNode, UiPage } from './nodes.js'
import { buildTheme, type UiTheme } from './theme.js'

/** Everything an emitter reads: pages, the files they show, and the theme their styles refer to. */
export type UiProject = {
  readonly name: string
  readonly pages: readonly UiPage[]
  readonly assets: readonly UiAsset[]
  readonly theme: UiTheme
  readonly notes: readonly Note[]
}

/** Layers placed by coordinates in a page; a graphic counts once. */
const countFree = (node: LayoutNode): number =>
  node.children.reduce(
    (count, child) => count + countFree(child),
    node.placement.kind === 'coordinates' ? 1 : 0,
  )

const noteFonts = (account: Account, roots: readonly Layer[]): void => {
  const weights = new Map<string, Set<number>>()
  const add = (family: string, weight: number): void => {
    weights.set(family, (weights.get(family) ?? new Set()).add(weight))
  }
  for (const root of roots) {
    walkLayers(root, (layer) => {
      if (layer.type !== 'text' || !layer.visible) return
      for (const { style } of layer.runs) {
        add(style.family ?? layer.style.family, style.weight ?? layer.style.weight)
      }
    })
  }
  for (const [family, used] of weights) {
    account.add(
      notes.fontNeeded(
        family,
        [...used].sort((a, b) => a - b),
      ),
    )
  }
}

/** The outermost node is the page's main part; a screen with auto layout takes the room the window has. */
const finishRoot = (node: UiNode, isScreen: boolean): UiNode => {
  if (node.type !== 'box') return node
  const { style } = node
  const flows = style.arrange.kind !== 'free' && style.arrange.kind !== 'none'
  if (!isScreen || !flows) return { ...node, landmark: 'main' }
  const width = { ...style.width, sizing: 'stretch' as const }
  const height = { ...style.height, sizing: 'stretch' as const }
  return { ...node, landmark: 'main', style: { ...style, width, height } }
}

/**
 * Takes the layers that become pages (screens with their instances resolved, or single layers), returns
 * the target-neutral tree. Decides here, once, what each layer becomes; emitters only write it down.
 */
export const buildUi = (
  design: Design,
  roots: readonly Layer[],
  measure: TextMeasure,
): UiProject => {
  const account = new Account()
  const collector = new AssetCollector(design.assets)
  const pageKeys = new Set(roots.map((root) => root.key))
  const screens = new Set(design.screens.map((screen) => screen.key))
  const pages = roots.map((root): UiPage => {
    const title = findTitle(root)
    const tree = inferLayout(root)
    const free = countFree(tree) - 1
    if (free > 0) account.add(notes.placedAbsolutely(root.key, free))
    const node = buildNode({ account, collector, measure, pages: pageKeys, title }, tree, OUTSIDE)
    return {
      key: root.key,
      name: root.name,
      root: finishRoot(node, screens.has(root.key)),
      widthPx: root.box.width,
      heightPx: root.box.height,
    }
  })
  for (const group of findArtboards(roots)) {
    account.add(notes.separatePages(group.map((screen) => screen.name)))
  }
  noteFonts(account, roots)
  return {
    name: design.name,
    pages,
    assets: collector.assets,
    theme: buildTheme(design),
    notes: account.notes,
  }
}
