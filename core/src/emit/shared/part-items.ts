import { code, isClass, type Attribute, type MarkupElement, type MarkupNode } from './markup.js'
import { classesOf, type Overlay } from './unify.js'

/** Items of one list: the places at which they stand, what each thing's items say, and how one is written. */
export type Items = {
  readonly columns: readonly Overlay[]
  /** What an item says that differs, in reading order. */
  readonly fields: readonly Said[]
  /** By the thing, and its items. */
  readonly rows: readonly (readonly (readonly string[])[])[]
  /** An item that says, for each field, what some code is. */
  template(codeOf: (field: number) => string): MarkupElement
}

export type ItemOptions = {
  likenessOf(classes: string): string
  /** Whether an element is what a property of the design's component is about. */
  isProperty(element: MarkupElement): boolean
}

/** Fewer items are things of their own. */
const LEAST_ITEMS = 3
/** What differs in more has little in common. */
const MOST_FIELDS = 8
const CONTROLS: ReadonlySet<string> = new Set(['input', 'select', 'textarea'])

/** Something an item says: words in an element of it, or what is given to a component in it. */
export type Said = {
  readonly text: string
  readonly in: MarkupElement
  readonly of?: { readonly tag: string; readonly prop: string }
}

const isSaid = (one: Attribute, element: MarkupElement): boolean =>
  element.isUse === true && one.kind === 'text' && one.type === undefined && !isClass(one)

/** Goes through what an item says, in reading order; `say` may put something else there. */
const mapSaid = (
  element: MarkupElement,
  say: { text(said: Said): MarkupNode; attribute(said: Said, one: Attribute): Attribute },
): MarkupElement => ({
  ...element,
  attributes: element.attributes.map((one) =>
    isSaid(one, element) && one.kind === 'text'
      ? say.attribute(
          { text: one.text, in: element, of: { tag: element.tag, prop: one.name } },
          one,
        )
      : one,
  ),
  children: element.children.map((child) =>
    child.kind === 'text'
      ? say.text({ text: child.text, in: element })
      : child.kind === 'element'
        ? mapSaid(child, say)
        : child,
  ),
})

const saidIn = (element: MarkupElement): readonly Said[] => {
  const all: Said[] = []
  mapSaid(element, {
    text: (said) => (all.push(said), { kind: 'text', text: said.text }),
    attribute: (said, one) => (all.push(said), one),
  })
  return all
}

/** What an item is but for what it says; undefined where it is more than looks and words. */
const shapeOf = (node: MarkupNode, options: ItemOptions): string | undefined => {
  if (node.kind === 'text') return '#'
  if (node.kind !== 'element' || node.foreign || node.part !== undefined) return undefined
  if (CONTROLS.has(node.tag) || options.isProperty(node)) return undefined
  const children = node.children.map((child) => shapeOf(child, options))
  if (children.includes(undefined)) return undefined
  const attributes = node.attributes.map((one): unknown => {
    if (isSaid(one, node)) return one.name
    return isClass(one) && one.kind === 'text' ? options.likenessOf(one.text) : one
  })
  return `${node.tag}${JSON.stringify(attributes)}(${children.join()})`
}

/** The one shape of all items at a place. */
const shapeAt = ({ cells }: Overlay, options: ItemOptions): string | undefined => {
  const there = cells.filter((cell) => cell !== undefined)
  const isItem = (cell: MarkupNode): boolean =>
    cell.kind === 'element' && !/^h[1-6]$/.test(cell.tag)
  if (!there.every(isItem)) return undefined
  const shapes = new Set(there.map((cell) => shapeOf(cell, options)))
  return shapes.size === 1 ? [...shapes][0] : undefined
}

const withoutLayers = (node: MarkupNode): MarkupNode => {
  if (node.kind !== 'element') return node
  const { layer: _layer, ...rest } = node
  return { ...rest, children: node.children.map(withoutLayers) }
}

const countClasses = (node: MarkupNode): number =>
  node.kind !== 'element'
    ? 0
    : classesOf(node).length + node.children.reduce((sum, one) => sum + countClasses(one), 0)

/**
 * Items that follow one another from a place on, where some things have more of them than others, and that differ in what
 * they say. Undefined where there are none.
 */
export const itemsFrom = (
  { cells, children }: Overlay,
  from: number,
  options: ItemOptions,
): Items | undefined => {
  const shape = shapeAt(children[from]!, options)
  if (shape === undefined) return undefined
  let to = from + 1
  while (to < children.length && shapeAt(children[to]!, options) === shape) to++
  const columns = children.slice(from, to)
  const isRagged = columns.some((column) => cells.some((cell, row) => cell && !column.cells[row]))
  if (columns.length < LEAST_ITEMS || !isRagged) return undefined
  const items = columns.flatMap((column) =>
    column.cells.flatMap((cell) => (cell?.kind === 'element' ? [cell] : [])),
  )
  const said = items.map(saidIn)
  const count = said[0]!.length
  const differing = Array.from({ length: count }, (_, at) => at).filter(
    (at) => new Set(said.map((own) => own[at]!.text)).size > 1,
  )
  // Items that are all the same say nothing, but for those that are nothing but words.
  const holes = count === 1 ? [0] : differing
  if (holes.length === 0 || holes.length > MOST_FIELDS) return undefined
  const model = items.reduce((a, b) => (countClasses(b) > countClasses(a) ? b : a))
  return {
    columns,
    fields: holes.map((hole) => said[0]![hole]!),
    rows: cells.map((_, row) =>
      columns.flatMap((column) => {
        const cell = column.cells[row]
        if (cell?.kind !== 'element') return []
        const own = saidIn(cell)
        return [holes.map((hole) => own[hole]!.text)]
      }),
    ),
    template: (codeOf) => {
      let at = 0
      const next = (): number => holes.indexOf(at++)
      return withoutLayers(
        mapSaid(model, {
          text({ text }) {
            const field = next()
            return field < 0 ? { kind: 'text', text } : { kind: 'expression', code: codeOf(field) }
          },
          attribute(_, one) {
            const field = next()
            return field < 0 ? one : code(one.name, codeOf(field))
          },
        }),
      ) as MarkupElement
    },
  }
}
