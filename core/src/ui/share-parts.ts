import {
  mapChildren,
  type UiBox,
  type UiNode,
  type UiPage,
  type UiState,
  type UiStyle,
} from './nodes.js'
import { isSameValue } from './same-value.js'

/** Parts that several pages may have in common. */
const ROLES = ['banner', 'navigation', 'contentinfo'] as const
type PartRole = (typeof ROLES)[number]

/** Parts of a look that may tell which page is shown. */
const LOOKS = ['fills', 'border', 'corners', 'effects', 'opacity', 'blend', 'tokens'] as const
const LETTERS = ['color', 'weight', 'italic', 'decoration'] as const

const partOf = (node: UiNode, role: PartRole): UiBox | undefined => {
  if (node.type !== 'box') return undefined
  if (node.role === role) return node
  // What leads through the site from its head is a part of the head.
  if (node.role === 'banner') return undefined
  for (const child of node.children) {
    const found = partOf(child, role)
    if (found) return found
  }
  return undefined
}

const linkOf = (node: UiNode): string | undefined =>
  'link' in node && node.link?.kind === 'page' ? node.link.page : undefined

/** A node as it is in a window of a width; undefined where it is not shown. */
const lookAt = (node: UiNode, px: number): UiNode | undefined =>
  node.steps ? node.steps.findLast((step) => step.fromPx <= px)?.node : node

type Shown = { readonly node: UiNode; readonly look: UiNode }

/** What a node holds in a window of a width, with the look it has there. */
const shownIn = (node: UiNode, px: number): readonly Shown[] =>
  'children' in node
    ? node.children.flatMap((child) => {
        const look = lookAt(child, px)
        return look ? [{ node: child, look }] : []
      })
    : []

/** Only what was drawn in px is compared in px: words are as wide as they are. */
const styleToCompare = (style: UiStyle, isInLink: boolean): unknown => {
  const size = ({ sizing, px }: UiStyle['width']): unknown => (sizing === 'fixed' ? px : sizing)
  const rest: Record<string, unknown> = {
    ...style,
    width: size(style.width),
    height: size(style.height),
  }
  if (isInLink) for (const look of LOOKS) delete rest[look]
  return rest
}

/** What of a node must be the same on two pages for them to have it in common; keys and names differ. */
const toCompare = ({ node, look }: Shown, px: number, isInside: boolean): unknown => {
  const isInLink = isInside || linkOf(node) !== undefined
  const own: Record<string, unknown> = { ...node }
  for (const field of ['layer', 'name', 'style', 'steps', 'states', 'textStyle', 'children']) {
    delete own[field]
  }
  const letters: Record<string, unknown> = 'textStyle' in look ? { ...look.textStyle } : {}
  if (isInLink) for (const letter of LETTERS) delete letters[letter]
  return {
    ...own,
    letters,
    style: styleToCompare(look.style, isInLink),
    children: shownIn(node, px).map((child) => toCompare(child, px, isInLink)),
  }
}

const isAlike = (a: UiNode, b: UiNode, px: number): boolean => {
  const [one, other] = [lookAt(a, px), lookAt(b, px)]
  if (!one || !other) return one === other
  return (
    JSON.stringify(toCompare({ node: a, look: one }, px, false)) ===
    JSON.stringify(toCompare({ node: b, look: other }, px, false))
  )
}

type Part = { readonly page: UiPage; readonly node: UiBox }

/** Two pages have a part in common when it is the same at every width that both were drawn at. */
const isShared = (a: Part, b: Part): boolean => {
  const widths = a.page.widths.filter((px) => b.page.widths.includes(px))
  return widths.length > 0 && widths.every((px) => isAlike(a.node, b.node, px))
}

/** Nodes of the model, with those of a page's own part that stand in their place at its widest. */
const pairUp = (model: UiNode, own: UiNode, px: number, pairs: Map<UiNode, UiNode>): void => {
  pairs.set(model, own)
  const inside = shownIn(own, px)
  shownIn(model, px).forEach(({ node }, i) => {
    if (inside[i]) pairUp(node, inside[i].node, px, pairs)
  })
}

/** A look with the paint and the letters of another; where it stands and how large it is stay. */
const paintedLike = (node: UiNode, other: UiNode): UiNode => {
  const looks = Object.fromEntries(LOOKS.map((look) => [look, other.style[look]]))
  const style = { ...node.style, ...looks } as UiStyle
  if (!('textStyle' in node && node.textStyle && 'textStyle' in other && other.textStyle)) {
    return { ...node, style } as UiNode
  }
  const letters = Object.fromEntries(LETTERS.map((letter) => [letter, other.textStyle![letter]]))
  return { ...node, style, textStyle: { ...node.textStyle, ...letters } } as UiNode
}

const isSamePaint = (a: UiNode, b: UiNode): boolean => isSameValue(paintedLike(a, b), a)

type View = { readonly page: string; readonly pairs: ReadonlyMap<UiNode, UiNode> }

/**
 * The model with links as they look where they lead elsewhere; how one looks on the page it leads to is a state of it.
 */
const withCurrent = (model: UiNode, views: readonly View[], inside: string | undefined): UiNode => {
  const target = inside ?? linkOf(model)
  const isLink = inside === undefined && target !== undefined
  const children =
    'children' in model ? model.children.map((child) => withCurrent(child, views, target)) : []
  const on = (view: View | undefined): UiNode | undefined => view?.pairs.get(model)
  const current = on(views.find(({ page }) => page === target))
  const rest = on(views.find(({ page }) => page !== target)) ?? model
  const isMarked = target !== undefined && current !== undefined && !isSamePaint(rest, current)
  const painted = isMarked ? paintedLike(model, rest) : model
  const state: UiState | undefined = isMarked
    ? {
        state: 'current',
        of: isLink ? 'self' : 'owner',
        isWithin: false,
        node: paintedLike(
          'children' in painted ? ({ ...painted, children: [] } as UiNode) : painted,
          current,
        ),
      }
    : undefined
  const marksInside = children.some((child) => child.states?.some((s) => s.state === 'current'))
  return {
    ...painted,
    ...(isMarked && model.steps
      ? {
          steps: model.steps.map((step) =>
            step.node ? { ...step, node: paintedLike(step.node, rest) } : step,
          ),
        }
      : {}),
    ...(state ? { states: [...(model.states ?? []), state] } : {}),
    ...(isLink && marksInside ? { isOwner: true } : {}),
    ...('children' in model ? { children } : {}),
  } as UiNode
}

/** A part made alike, under the keys the page's own part has. */
const rekeyed = (made: UiNode, model: UiNode, view: View): UiNode => {
  const own = view.pairs.get(model)
  const keys = own ? { layer: own.layer, name: own.name } : {}
  if (!('children' in made && 'children' in model)) return { ...made, ...keys }
  const children = made.children.map((child, i) => rekeyed(child, model.children[i]!, view))
  return { ...made, ...keys, children } as UiNode
}

const replace = (node: UiNode, old: UiNode, by: UiNode): UiNode =>
  node === old ? by : mapChildren(node, (child) => replace(child, old, by))

/** The parts of one role that most pages have in common. */
const findShared = (pages: readonly UiPage[], role: PartRole): readonly Part[] => {
  const groups: Part[][] = []
  for (const page of pages) {
    const node = partOf(page.root, role)
    if (!node) continue
    const part = { page, node }
    const group = groups.find(([first]) => isShared(first!, part))
    if (group) group.push(part)
    else groups.push([part])
  }
  return groups.sort((a, b) => b.length - a.length)[0] ?? []
}

/**
 * Finds heads, feet and navigations that several pages have in common, makes them alike, and marks them, so that a
 * target can write them once. The page that was drawn at most widths says how a part is at every width. Takes and
 * returns all pages; those that have nothing in common stay as they are.
 */
export const shareParts = (pages: readonly UiPage[]): readonly UiPage[] => {
  let current = pages
  for (const role of ROLES) {
    const shared = findShared(current, role)
    if (shared.length < 2) continue
    const { node: model, page } = [...shared].sort(
      (a, b) => b.page.widths.length - a.page.widths.length,
    )[0]!
    const views = shared.map((part): View => {
      const pairs = new Map<UiNode, UiNode>()
      const px = Math.max(...part.page.widths.filter((width) => page.widths.includes(width)))
      pairUp(model, part.node, px, pairs)
      return { page: part.page.key, pairs }
    })
    const made = withCurrent(model, views, undefined)
    const byPage = new Map(
      shared.map((part, i) => {
        const by = { ...rekeyed(made, model, views[i]!), shared: role } as UiNode
        return [part.page.key, { old: part.node, by }] as const
      }),
    )
    current = current.map((one) => {
      const own = byPage.get(one.key)
      return own ? { ...one, root: replace(one.root, own.old, own.by) } : one
    })
  }
  return current
}
