import { SaxesParser } from 'saxes'
import { toPascal, UniqueNames } from '../../text/names.js'
import { rootsOf, type UiAsset, type UiNode } from '../../ui/nodes.js'
import type { UiProject } from '../../ui/index.js'
import { text, type Attribute, type MarkupElement } from './markup.js'
import { tidyShapes } from './tidy-shapes.js'

/** A small drawing that is decoration: written into the page where it stands. */
export type Icon = {
  /** `MenuIcon`; unique in the project. */
  readonly name: string
  readonly viewBox: string
  /** What is in the `svg` element, with attributes as SVG writes them. */
  readonly shapes: readonly MarkupElement[]
}

/** Larger drawings stay files of their own. */
const MOST_CHARACTERS = 2000
const SHAPES = new Set(['circle', 'ellipse', 'g', 'line', 'path', 'rect'])

type Open = { readonly tag: string; attributes: readonly Attribute[]; children: MarkupElement[] }

const toElement = ({ tag, attributes, children }: Open): MarkupElement => ({
  kind: 'element',
  tag,
  content: 'blocks',
  attributes,
  children,
})

/** A group that says nothing is what is in it. */
const unwrap = (element: MarkupElement): readonly MarkupElement[] =>
  element.tag === 'g' && element.attributes.length === 0
    ? (element.children as readonly MarkupElement[]).flatMap(unwrap)
    : [{ ...element, children: (element.children as readonly MarkupElement[]).flatMap(unwrap) }]

/** A clip as large as the drawing: the `svg` element cuts off at its edges anyway. */
const WHOLE_CLIP =
  /^(<svg [^>]*viewBox="0 0 (\S+) (\S+)">)<defs><clipPath id="(\w+)"><rect width="\2" height="\3"\/><\/clipPath><\/defs>((?:<g>)*)<g clip-path="url\(#\4\)">/

/** Reads a drawing of our own; undefined when it holds more than plain shapes. */
const readShapes = (drawing: string): Omit<Icon, 'name'> | undefined => {
  if (drawing.length > MOST_CHARACTERS) return undefined
  const svg = drawing.replace(WHOLE_CLIP, '$1$5<g>')
  let isPlain = true
  let viewBox = ''
  const stack: Open[] = []
  let root: Open | undefined
  const parser = new SaxesParser()
  parser.on('opentag', ({ name, attributes }) => {
    const entries = Object.entries(attributes as Record<string, string>)
    if (stack.length === 0) viewBox = attributes['viewBox'] as string
    else
      isPlain &&= SHAPES.has(name) && !entries.some(([key, v]) => key === 'id' || /url\(/.test(v))
    stack.push({ tag: name, attributes: entries.map(([key, v]) => text(key, v)), children: [] })
  })
  parser.on('closetag', () => {
    const closed = stack.pop()!
    const parent = stack.at(-1)
    if (parent) parent.children.push(toElement(closed))
    else root = closed
  })
  parser.on('text', (content) => (isPlain &&= content.trim() === ''))
  parser.write(svg).close()
  if (!isPlain || !root || viewBox === '') return undefined
  return { viewBox, shapes: tidyShapes(root.children.flatMap(unwrap)) }
}

/** The assets that are shown in another way than as decoration. */
const findOthers = (project: UiProject): ReadonlySet<string> => {
  const others = new Set<string>()
  const look = (node: UiNode): void => {
    for (const fill of node.style.fills) if (fill.kind === 'picture') others.add(fill.asset)
    if (node.type === 'image' && (node.alt !== '' || node.link)) others.add(node.asset)
    for (const step of node.steps ?? []) if (step.node) look({ ...step.node, steps: [] })
    if ('children' in node) node.children.forEach(look)
  }
  for (const page of project.pages) rootsOf(page).forEach(look)
  return others
}

const nameOf = (asset: UiAsset): string => {
  const name = toPascal(asset.name, 'Icon')
  return name.endsWith('Icon') ? name : `${name}Icon`
}

/** The drawings of a project that are written into its pages, by the id of the asset; `spell` makes names those of components. */
export const findIcons = (
  project: UiProject,
  spell = (name: string): string => name,
): ReadonlyMap<string, Icon> => {
  const others = findOthers(project)
  const names = new UniqueNames('')
  const icons = new Map<string, Icon>()
  for (const asset of project.assets) {
    if (asset.content.kind !== 'svg' || others.has(asset.id)) continue
    const read = readShapes(asset.content.text)
    if (read) icons.set(asset.id, { ...read, name: names.take(spell(nameOf(asset))) })
  }
  return icons
}

/** The attributes of the `svg` element of an icon. */
export const iconAttributes = ({ viewBox }: Icon): Attribute[] => [
  text('viewBox', viewBox),
  text('aria-hidden', 'true'),
]
