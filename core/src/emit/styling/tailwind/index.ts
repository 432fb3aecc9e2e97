import type { UiImage, UiNode } from '../../../ui/nodes.js'
import type { UiProject } from '../../../ui/index.js'
import type { Styling } from '../styling.js'
import { boxClasses, type ShadowCaster } from './box.js'
import { runClasses, textClasses } from './text.js'
import { TailwindTheme } from './theme.js'

const FIT = { cover: 'object-cover', contain: 'object-contain', fill: 'object-fill' } as const

/** The family most texts use: set once on the root, every other text inherits it. */
const findMainFamily = (project: UiProject): string | undefined => {
  const counts = new Map<string, number>()
  const visit = (node: UiNode): void => {
    if (node.type === 'text') {
      const { family } = node.textStyle
      counts.set(family, (counts.get(family) ?? 0) + 1)
    }
    if (node.type === 'box') node.children.forEach(visit)
  }
  for (const page of project.pages) visit(page.root)
  let main: string | undefined
  for (const [family, count] of counts) if (count > (counts.get(main ?? '') ?? 0)) main = family
  return main
}

const casterOf = (node: UiNode): ShadowCaster => {
  if (node.type === 'text') return 'text'
  const isBox = node.style.fills.length > 0 || (node.type === 'image' && node.fit !== 'contain')
  return isBox ? 'box' : 'drawing'
}

const holdsAbsolute = (node: UiNode): boolean =>
  node.type === 'box' && node.children.some((child) => child.style.place.kind === 'absolute')

const holdsUnder = (node: UiNode): boolean =>
  node.type === 'box' &&
  node.children.some(({ style: { place } }) => place.kind === 'absolute' && place.isUnder)

export type TailwindOptions = {
  /** The rules of the fonts that are delivered. */
  readonly fonts: readonly string[]
  /** What the style sheet calls a delivered picture. */
  readonly address: (asset: string) => string
}

/** Tailwind 4 utilities, with a theme made of the design's tokens and fonts. */
export const createTailwind = (
  project: UiProject,
  { fonts, address }: TailwindOptions,
): Styling => {
  const theme = new TailwindTheme(project.theme)
  const mainFamily = findMainFamily(project)
  const classes = new Set<string>()
  const hand = (list: readonly string[]): readonly string[] => {
    const given = list.filter((name) => name !== '')
    for (const name of given) classes.add(name)
    return given
  }
  const box = (node: UiNode): string[] =>
    boxClasses(theme, node.style, {
      isRelative: holdsAbsolute(node),
      isIsolated: holdsUnder(node),
      caster: casterOf(node),
      address,
    })
  const isRoot = (node: UiNode): boolean => node.style.place.kind === 'root'

  return {
    classes,
    node(node) {
      const own = box(node)
      if (node.type === 'image') {
        own.push(FIT[node.fit], node.style.place.kind === 'absolute' ? 'max-w-none' : '')
      }
      if (node.type === 'text')
        own.push(...textClasses(theme, node, isRoot(node) ? undefined : mainFamily))
      else if (isRoot(node) && mainFamily) own.push(theme.font(mainFamily))
      return hand(own)
    },
    run: (style) => hand(runClasses(theme, style)),
    frame: (node: UiImage) =>
      hand([...box(node), ...(node.style.place.kind === 'flow' ? ['block'] : [])]),
    picture: (node: UiImage) => hand(['size-full', FIT[node.fit]]),
    stylesheet() {
      const declarations = theme.declarations()
      const block =
        declarations.length > 0
          ? `\n@theme {\n${declarations.map((d) => `  ${d}\n`).join('')}}\n`
          : ''
      const faces = fonts.map((rule) => `\n${rule}\n`).join('')
      return `@import "tailwindcss";\n${faces}${block}`
    },
  }
}
