import type { PartRuling } from '../design/part.js'
import { isIdleName } from '../design/idle-name.js'
import { mapChildren, type UiBox, type UiNode, type UiPage } from '../ui/nodes.js'
import { headingIn } from './heading.js'

/** How finely a long page is cut: not at all, into its sections, or these once more. */
export const GRAINS = ['page', 'sections', 'fine'] as const
export type Grain = (typeof GRAINS)[number]

export const isGrain = (value: unknown): value is Grain => GRAINS.some((grain) => grain === value)

/** A page of fewer elements is read at once. */
const LONG_PAGE = 70
/** Fewer elements are no section. */
const LEAST_SECTION = 9
/** A page of fewer blocks has no sections, and one section alone is none. */
const LEAST_BLOCKS = 3
const LEAST_SECTIONS = 2
const MOST_WORDS = 4

const weightOf = (node: UiNode): number =>
  1 + ('children' in node ? node.children.reduce((sum, child) => sum + weightOf(child), 0) : 0)

const walk = (node: UiNode, visit: (node: UiNode) => void): void => {
  visit(node)
  if ('children' in node) for (const child of node.children) walk(child, visit)
}

/** What joins a block to the rest of its page: groups of tabs it has a share in, and references that lead out of it. */
type Bonds = { readonly groups: ReadonlySet<string>; readonly isOpen: boolean }

const bondsOf = (block: UiNode): Bonds => {
  const [named, wanted] = [new Set<string>(), new Set<string>()]
  const groups = new Set<string>()
  let isHeld = false
  walk(block, (node) => {
    if (node.id !== undefined) named.add(node.id)
    if (node.when?.kind === 'tab') groups.add(node.when.group)
    if (node.type === 'menu-button') wanted.add(node.menu)
    if (node.type === 'box' && node.menu !== undefined) named.add(node.menu)
    const act = 'act' in node ? node.act : undefined
    if (act?.kind === 'toggle' || act?.kind === 'step') wanted.add(act.target)
    if (act?.kind === 'tab') {
      groups.add(act.group)
      if (!act.isEmpty) wanted.add(act.target)
    }
    // A dialog is held by the page that shows it.
    if (act?.kind === 'open' && (act.as === 'dialog' || act.as === 'drawer')) isHeld = true
  })
  return { groups, isOpen: isHeld || [...wanted].some((id) => !named.has(id)) }
}

/** What a section is called by what it is, where no heading or layer names it. */
const ROLE_NAMES: Partial<Record<NonNullable<UiBox['role']>, string>> = {
  banner: 'header',
  navigation: 'navigation',
  contentinfo: 'footer',
  search: 'search',
  complementary: 'aside',
}

const holdsTitle = (node: UiNode): boolean =>
  (node.type === 'text' && node.level === 1) ||
  ('children' in node && node.children.some(holdsTitle))

const holdsForm = (node: UiNode): boolean =>
  (node.type === 'box' && node.form !== undefined) ||
  ('children' in node && node.children.some(holdsForm))

const firstHeading = (node: UiNode): string | undefined => {
  const own = headingIn(node)
  if (own !== undefined || !('children' in node)) return own
  for (const child of node.children) {
    const found = firstHeading(child)
    if (found !== undefined) return found
  }
  return undefined
}

/** The first words, without shouting. */
const shorten = (words: string): string => {
  const quiet = words === words.toUpperCase() ? words.toLowerCase() : words
  return quiet.trim().split(/\s+/).slice(0, MOST_WORDS).join(' ')
}

/** What a section is called, in words. */
const nameSection = (block: UiBox, page: UiPage): string => {
  const role = block.role && ROLE_NAMES[block.role]
  if (role) return `${page.name} ${role}`
  if (holdsTitle(block)) return `${page.name} hero`
  const heading = firstHeading(block)
  const own = heading ?? (isIdleName(block.name) ? undefined : block.name)
  const words = own === undefined ? `${page.name} section` : shorten(own)
  return holdsForm(block) && !/form$/i.test(words) ? `${words} form` : words
}

const canBeSeenThrough = ({ part, shared, role, when }: UiBox): boolean =>
  part === undefined && shared === undefined && role === undefined && when === undefined

/** The boxes a page is made of, seen through what only holds them together. */
const blocksOf = (root: UiBox): readonly UiBox[] => {
  const boxes = root.children.filter((child): child is UiBox => child.type === 'box')
  // Beside a side bar, or alone, the largest is the page itself.
  const largest =
    boxes.length < LEAST_BLOCKS
      ? boxes.reduce((a, b) => (weightOf(b) > weightOf(a) ? b : a), boxes[0]!)
      : undefined
  return boxes.flatMap((box) =>
    box.role === 'main' || (box === largest && canBeSeenThrough(box)) ? blocksOf(box) : [box],
  )
}

/** Whether a box can be a file of its own, what it refers to aside: it is no component already, and always there. */
const canStandAlone = (block: UiBox): boolean =>
  block.part === undefined &&
  block.shared === undefined &&
  block.when === undefined &&
  block.item === undefined &&
  block.style.place.kind !== 'absolute' &&
  block.style.arrange.kind !== 'contents'

const chooseSections = (
  page: UiPage,
  grain: Grain,
  rulings: Readonly<Record<string, PartRuling>>,
): ReadonlyMap<UiNode, string> => {
  const chosen = new Map<UiNode, string>()
  if (page.root.type !== 'box' || grain === 'page') return chosen
  const choose = (blocks: readonly UiBox[]): void => {
    const all = blocks.map((block) => ({ block, bonds: bondsOf(block), weight: weightOf(block) }))
    const shares = (group: string): number =>
      all.filter(({ bonds }) => bonds.groups.has(group)).length
    for (const { block, bonds, weight } of all) {
      const isBound = bonds.isOpen || [...bonds.groups].some((group) => shares(group) > 1)
      const ruling = rulings[block.layer]
      const isWorth = weight >= LEAST_SECTION
      if (ruling?.as === 'none' || !isWorth || isBound || !canStandAlone(block)) continue
      chosen.set(block, ruling?.name ?? nameSection(block, page))
      if (grain === 'fine' && weight >= LONG_PAGE) choose(blocksOf(block))
    }
  }
  const blocks = blocksOf(page.root)
  const isLong = weightOf(page.root) >= LONG_PAGE && blocks.length >= LEAST_BLOCKS
  if (isLong || grain === 'fine') choose(blocks)
  return chosen.size < LEAST_SECTIONS ? new Map() : chosen
}

/**
 * Cuts long pages into sections that can be files of their own, and names each. Takes finished pages; returns them with
 * the roots of sections marked. What is a component already, or is bound to the rest of its page, stays where it is.
 */
export const markSections = (
  pages: readonly UiPage[],
  grain: Grain,
  rulings: Readonly<Record<string, PartRuling>>,
): readonly UiPage[] =>
  pages.map((page) => {
    const chosen = chooseSections(page, grain, rulings)
    if (chosen.size === 0) return page
    const mark = (node: UiNode): UiNode => {
      const section = chosen.get(node)
      const own = mapChildren(node, mark)
      return section === undefined ? own : ({ ...own, section } as UiNode)
    }
    return { ...page, root: mark(page.root) }
  })
