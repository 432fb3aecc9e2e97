import type { Design } from './design.js'
import type { Layer } from './layer.js'

/** `Home / 390`, `home-desktop` → `home`: the name without what says a width. */
const nameWithoutWidth = (name: string): string =>
  name
    .toLowerCase()
    .replace(/\b(desktop|laptop|tablet|phone|mobile|wide|narrow|small|medium|large|px)\b/g, ' ')
    .replace(/\d+/g, ' ')
    .replace(/[^\p{L}]+/gu, ' ')
    .trim()

/** `Home / Desktop 1280` → `Home`: a screen's name without what says a width, as it was written. */
export const nameOfScreen = (name: string): string =>
  name
    .replace(
      /\b(desktop|laptop|tablet|phone|mobile|wide|narrow|small|medium|large|\d{3,4}\s*(px)?)\b/gi,
      '',
    )
    .replace(/[\s/_,:·–—-]+$/u, '')
    .replace(/^[\s/_,:·–—-]+/u, '')
    .trim()

/** Screens that by name and width look like one screen drawn at several widths, in groups of two or more. */
export const findArtboards = (screens: readonly Layer[]): Layer[][] => {
  const groups = new Map<string, Layer[]>()
  for (const screen of screens) {
    const name = nameWithoutWidth(screen.name)
    groups.set(name, [...(groups.get(name) ?? []), screen])
  }
  return [...groups.values()].filter((group) => {
    const widths = new Set(group.map((screen) => Math.round(screen.box.width)))
    return group.length > 1 && widths.size === group.length
  })
}

/** The screens of each page: those that are one screen at several widths belong together, the widest first. */
export const groupScreens = (
  design: Pick<Design, 'artboards'>,
  roots: readonly Layer[],
): (readonly Layer[])[] => {
  const groups =
    design.artboards.length === 0
      ? findArtboards(roots)
      : design.artboards.map(({ screens }) => roots.filter((r) => screens.includes(r.key)))
  const groupOf = new Map(groups.flatMap((group) => group.map((root) => [root, group] as const)))
  const done = new Set<Layer>()
  return roots.flatMap((root) => {
    if (done.has(root)) return []
    const group = [...(groupOf.get(root) ?? [root])].sort((a, b) => b.box.width - a.box.width)
    for (const member of group) done.add(member)
    return [group]
  })
}
