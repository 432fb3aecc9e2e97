import { text, type Attribute, type MarkupElement } from './markup.js'

/** Attributes of SVG that shapes have from the group they stand in (SVG 2, property index). */
const INHERITED: ReadonlySet<string> = new Set([
  'fill',
  'fill-opacity',
  'fill-rule',
  'stroke',
  'stroke-dasharray',
  'stroke-dashoffset',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-miterlimit',
  'stroke-opacity',
  'stroke-width',
])
/** With fewer in common a group would be longer than what it saves. */
const LEAST_COMMON = 2

const shapesIn = ({ children }: MarkupElement): readonly MarkupElement[] =>
  children.filter((child) => child.kind === 'element')

const valueOf = ({ attributes }: MarkupElement, name: string): string | undefined => {
  const found = attributes.find((one) => one.name === name)
  return found?.kind === 'text' ? found.text : undefined
}

/** A group that does nothing but move one shape is that shape, moved. */
const moveOnly = (shape: MarkupElement): MarkupElement => {
  const [only, ...others] = shapesIn(shape)
  const isMove = shape.tag === 'g' && shape.attributes.every(({ name }) => name === 'transform')
  if (!isMove || !only || others.length > 0) return shape
  const moves = [valueOf(shape, 'transform'), valueOf(only, 'transform')].filter(
    (one) => one !== undefined,
  )
  const own = only.attributes.filter(({ name }) => name !== 'transform')
  return { ...only, attributes: [...own, text('transform', moves.join(' '))] }
}

const inheritedOf = ({ attributes }: MarkupElement): readonly Attribute[] =>
  attributes.filter(({ name }) => INHERITED.has(name))

const common = (given: readonly Attribute[], shape: MarkupElement): readonly Attribute[] =>
  given.filter((one) => one.kind === 'text' && valueOf(shape, one.name) === one.text)

const without = (shape: MarkupElement, said: readonly Attribute[]): MarkupElement => ({
  ...shape,
  attributes: shape.attributes.filter(({ name }) => said.every((one) => one.name !== name)),
})

/** Says once, in a group, what shapes that follow one another are painted with. */
const groupAlike = (shapes: readonly MarkupElement[]): readonly MarkupElement[] => {
  const grouped: MarkupElement[] = []
  for (let at = 0; at < shapes.length;) {
    let said = inheritedOf(shapes[at]!)
    let to = at + 1
    for (; to < shapes.length; to++) {
      const shared = common(said, shapes[to]!)
      if (shared.length < LEAST_COMMON) break
      said = shared
    }
    const run = shapes.slice(at, to)
    grouped.push(
      ...(run.length === 1
        ? run
        : [
            {
              kind: 'element' as const,
              tag: 'g',
              content: 'blocks' as const,
              attributes: said,
              children: run.map((one) => without(one, said)),
            },
          ]),
    )
    at = to
  }
  return grouped
}

/** Shapes that look the same, said in fewer words: as one would draw an icon by hand. */
export const tidyShapes = (shapes: readonly MarkupElement[]): readonly MarkupElement[] =>
  groupAlike(shapes.map((shape) => moveOnly({ ...shape, children: tidyShapes(shapesIn(shape)) })))
