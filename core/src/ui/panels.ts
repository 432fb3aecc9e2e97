import type { Layer } from '../design/layer.js'
import type { PanelKind, PanelSide } from '../design/interaction.js'
import { walkLayers } from '../design/walk.js'
import { toId, UniqueNames } from '../text/names.js'
import { mapChildren, type UiNode, type UiPanel } from './nodes.js'

export type PanelPlan = {
  /** Screens that are shown over pages, by the key of their widest artboard. */
  readonly panels: ReadonlyMap<string, Omit<UiPanel, 'root'>>
  /** Those that are pages of their own. */
  readonly pages: readonly (readonly Layer[])[]
}

type Opening = { readonly as: PanelKind; readonly side: PanelSide }

/**
 * Which screens are shown over others, and which are pages. Takes the screens with their artboards, the widest first;
 * one that something opens is a page only when something leads to it as well, or when it is the first.
 */
export const planPanels = (
  groups: readonly (readonly Layer[])[],
  nameOf: (group: readonly Layer[]) => string,
): PanelPlan => {
  const opened = new Map<string, Opening>()
  const linked = new Set<string>()
  for (const root of groups.flat()) {
    walkLayers(root, ({ link }) => {
      if (link?.kind === 'screen') linked.add(link.screen)
      if (link?.kind === 'open' && !opened.has(link.screen)) opened.set(link.screen, link)
    })
  }
  const names = new UniqueNames('-')
  const panels = new Map<string, Omit<UiPanel, 'root'>>()
  const pages = groups.filter((group, i) => {
    const opening = group.flatMap(({ key }) => opened.get(key) ?? [])[0]
    if (opening) {
      const label = nameOf(group)
      const id = names.take(toId(label, opening.as))
      const { key } = group[0]!
      panels.set(key, { id, layer: key, kind: opening.as, side: opening.side, label })
    }
    return !opening || i === 0 || group.some(({ key }) => linked.has(key))
  })
  return { panels, pages }
}

const openedIn = (node: UiNode, found: Set<string>): void => {
  const act = 'act' in node ? node.act : undefined
  if (act?.kind === 'open') found.add(act.panel)
  if ('children' in node) for (const child of node.children) openedIn(child, found)
}

/** The panels that something in a tree shows, and those that something in these shows. */
export const panelsIn = (
  root: UiNode,
  panels: ReadonlyMap<string, UiPanel>,
): readonly UiPanel[] => {
  const found = new Set<string>()
  openedIn(root, found)
  for (const id of found) {
    const panel = panels.get(id)
    if (panel) openedIn(panel.root, found)
  }
  return [...found].flatMap((id) => panels.get(id) ?? [])
}

/** Headings one level lower: the page under a panel has the first. */
export const lowerHeadings = (node: UiNode): UiNode => {
  if (node.type === 'text' && node.level !== undefined && node.level < 6) {
    return { ...node, level: (node.level + 1) as NonNullable<typeof node.level> }
  }
  return mapChildren(node, lowerHeadings)
}
