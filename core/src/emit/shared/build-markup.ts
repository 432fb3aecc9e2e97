import type { UiImage, UiLink, UiMenuButton, UiNode, UiText } from '../../ui/nodes.js'
import type { Styling } from '../styling/styling.js'
import { text, type Attribute, type MarkupElement, type MarkupNode } from './markup.js'

/** What differs between the targets that write tags. */
export type Dialect = {
  readonly classAttribute: string
  /** The attribute of a button that names what it shows. */
  readonly menuTarget: string
  /** The element a link becomes and the attributes that make it lead somewhere. */
  link(link: UiLink): { readonly tag: string; readonly attributes: readonly Attribute[] }
  /** The attribute that shows a picture. */
  source(asset: string): Attribute
}

export type MarkupOptions = {
  readonly dialect: Dialect
  readonly styling: Styling
  /** Writes the layer's key on every element, for a preview that is joined to the design. */
  readonly marks: boolean
}

const classAttribute = ({ dialect }: MarkupOptions, classes: readonly string[]): Attribute[] =>
  classes.length > 0 ? [text(dialect.classAttribute, classes.join(' '))] : []

const mark = (options: MarkupOptions, layer: string): Attribute[] =>
  options.marks ? [text('data-layer', layer)] : []

const buildRuns = (node: UiText, options: MarkupOptions): MarkupNode[] =>
  node.runs.map((run): MarkupNode => {
    if (run.kind === 'break') {
      const classes = options.styling.lineBreak(
        (run.shownAt ?? []).map((isShown, i) => ({ fromPx: node.steps![i]!.fromPx, isShown })),
      )
      const attributes = classAttribute(options, classes)
      return { kind: 'element', tag: 'br', attributes, content: 'text', children: [] }
    }
    const classes = options.styling.run(run.style)
    const piece: MarkupNode = { kind: 'text', text: run.text }
    if (classes.length === 0) return piece
    return {
      kind: 'element',
      tag: 'span',
      attributes: classAttribute(options, classes),
      content: 'text',
      children: [piece],
    }
  })

const buildText = (node: UiText, options: MarkupOptions): MarkupElement => {
  const classes = classAttribute(options, options.styling.node(node))
  const common = { kind: 'element', content: 'text', layer: node.layer } as const
  const tag = node.level ? `h${node.level}` : 'p'
  const children = buildRuns(node, options)
  if (!node.link) {
    return { ...common, tag, attributes: [...classes, ...mark(options, node.layer)], children }
  }
  const link = options.dialect.link(node.link)
  if (!node.level) {
    const attributes = [...link.attributes, ...classes, ...mark(options, node.layer)]
    return { ...common, tag: link.tag, attributes, children }
  }
  const anchor: MarkupElement = {
    kind: 'element',
    content: 'text',
    tag: link.tag,
    attributes: link.attributes,
    children,
  }
  return {
    ...common,
    tag,
    attributes: [...classes, ...mark(options, node.layer)],
    children: [anchor],
  }
}

const buildImage = (node: UiImage, options: MarkupOptions): MarkupElement => {
  const { dialect, styling } = options
  const image = (classes: readonly string[], marks: Attribute[]): MarkupElement => ({
    kind: 'element',
    tag: 'img',
    content: 'text',
    layer: node.layer,
    attributes: [
      dialect.source(node.asset),
      text('alt', node.alt),
      ...classAttribute(options, classes),
      ...marks,
    ],
    children: [],
  })
  if (!node.link) return image(styling.node(node), mark(options, node.layer))
  const link = dialect.link(node.link)
  return {
    kind: 'element',
    tag: link.tag,
    content: 'blocks',
    layer: node.layer,
    attributes: [
      ...link.attributes,
      ...classAttribute(options, styling.frame(node)),
      ...mark(options, node.layer),
    ],
    children: [image(styling.picture(node), [])],
  }
}

/** The browser itself opens and closes what the button names, also by Escape and by a click elsewhere. */
const buildMenuButton = (node: UiMenuButton, options: MarkupOptions): MarkupElement => ({
  kind: 'element',
  tag: 'button',
  content: 'blocks',
  layer: node.layer,
  attributes: [
    text('type', 'button'),
    text(options.dialect.menuTarget, node.menu),
    text('aria-label', node.label),
    ...classAttribute(options, options.styling.node(node)),
    ...mark(options, node.layer),
  ],
  children: node.children.map((child) => buildMarkup(child, options)),
})

/** Writes a UI node down as tags. */
export const buildMarkup = (node: UiNode, options: MarkupOptions): MarkupElement => {
  switch (node.type) {
    case 'text':
      return buildText(node, options)
    case 'image':
      return buildImage(node, options)
    case 'menu-button':
      return buildMenuButton(node, options)
    case 'box': {
      const link = node.link && options.dialect.link(node.link)
      return {
        kind: 'element',
        tag: link?.tag ?? node.landmark ?? (node.menu ? 'nav' : 'div'),
        content: 'blocks',
        layer: node.layer,
        attributes: [
          ...(link?.attributes ?? []),
          ...(node.label ? [text('aria-label', node.label)] : []),
          ...(node.menu ? [text('id', node.menu), text('popover', 'auto')] : []),
          ...classAttribute(options, options.styling.node(node)),
          ...mark(options, node.layer),
        ],
        children: node.children.map((child) => buildMarkup(child, options)),
      }
    }
  }
}
