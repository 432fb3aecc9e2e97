import { rootsOf, type UiAsset, type UiNode } from '../../ui/nodes.js'
import type { UiProject } from '../../ui/index.js'

/** Narrower pictures save nothing. */
const NARROWEST_PX = 160
/** A picture in a size of its own must be smaller than the next by this much. */
const STEP = 1.25
/** How wide a picture is, beside the widest it is shown: on small screens, and where pixels are twice as dense. */
const FACTORS = [0.5, 1, 2]
const SCALED: ReadonlySet<string> = new Set(['jpg', 'png', 'webp'])
/** From this share of the page on, what is beside a picture is a margin, which does not grow with the page. */
const MOST = 0.6

export type PictureSizes = {
  /** The project with the pictures that are to be made beside those of the design. */
  readonly project: UiProject
  /** The ids of those, with their widths in px, by the id of what they are made of; narrow first. */
  readonly scaled: ReadonlyMap<string, readonly { readonly id: string; readonly widthPx: number }[]>
  /** How wide the pictures are on their pages, by the keys of their layers, as HTML's `sizes` says it. */
  readonly sizes: ReadonlyMap<string, string>
}

type Shown = { readonly fromPx: number; readonly px: number; readonly length: string }

const stepsOf = (
  node: UiNode,
): readonly { readonly fromPx: number; readonly node?: UiNode | undefined }[] =>
  node.steps ?? [{ fromPx: 0, node }]

const lengthOf = (look: UiNode, pagePx: number): string => {
  const { sizing, px } = look.style.width
  const own = `${Math.round(px)}px`
  if (sizing === 'fixed' || !(pagePx > 0)) return own
  const share = px / pagePx
  if (share >= 1) return '100vw'
  if (share > MOST) return `calc(100vw - ${Math.round(pagePx - px)}px)`
  return `${Math.round(share * 100)}vw`
}

/** How wide a picture is shown at each width of the window, from narrow to wide. */
const shownAs = (node: UiNode, root: UiNode): readonly Shown[] => {
  const pages = stepsOf(root)
  return stepsOf(node).flatMap(({ fromPx, node: look }): Shown[] => {
    if (!look) return []
    const page = pages.findLast((step) => step.fromPx <= fromPx)?.node
    return [{ fromPx, px: look.style.width.px, length: lengthOf(look, page?.style.width.px ?? 0) }]
  })
}

/** `(min-width: 768px) 360px, calc(100vw - 32px)` */
const printSizes = (shown: readonly Shown[]): string => {
  const changes = shown.filter(({ length }, i) => length !== shown[i - 1]?.length)
  return changes
    .toReversed()
    .map(({ fromPx, length }, i) =>
      i === changes.length - 1 ? length : `(min-width: ${fromPx}px) ${length}`,
    )
    .join(', ')
}

const widthsFor = (shownPx: number, ownPx: number): readonly number[] => {
  const wanted = FACTORS.map((factor) => Math.min(ownPx, Math.round(shownPx * factor)))
  const kept: number[] = []
  for (const px of wanted.toReversed()) {
    const next = kept[0]
    if (px >= NARROWEST_PX && (next === undefined || next / px >= STEP)) kept.unshift(px)
  }
  return kept
}

/** Which pictures of a project are to be made in other sizes, and what pages say of how wide they show them. */
export const planPictureSizes = (project: UiProject): PictureSizes => {
  const widest = new Map<string, number>()
  const sizes = new Map<string, string>()
  for (const page of [...project.pages, ...(project.notFound ? [project.notFound] : [])]) {
    for (const root of rootsOf(page)) {
      const look = (node: UiNode): void => {
        if (node.type === 'image') {
          const shown = shownAs(node, root)
          const most = Math.max(0, ...shown.map(({ px }) => px))
          widest.set(node.asset, Math.max(most, widest.get(node.asset) ?? 0))
          sizes.set(node.layer, printSizes(shown))
        }
        if ('children' in node) node.children.forEach(look)
      }
      look(root)
    }
  }
  const scaled = new Map<string, readonly { readonly id: string; readonly widthPx: number }[]>()
  const assets = project.assets.flatMap((asset): readonly UiAsset[] => {
    const { id, name, content } = asset
    const shownPx = widest.get(id)
    const isScaled =
      shownPx !== undefined && content.kind === 'bytes' && SCALED.has(content.extension)
    if (!isScaled || !content.size) return [asset]
    const own = widthsFor(shownPx, content.size.width).map((widthPx) => ({
      id: `${id}@${widthPx}`,
      widthPx,
    }))
    if (own.length > 0) scaled.set(id, own)
    return [
      asset,
      ...own.map(({ id: other, widthPx }): UiAsset => ({
        id: other,
        name: `${name}-${widthPx}`,
        content: {
          kind: 'bytes',
          base64: content.base64,
          extension: 'webp',
          scaledTo: widthPx,
        },
      })),
    ]
  })
  return { project: { ...project, assets }, scaled, sizes }
}
