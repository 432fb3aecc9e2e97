import fc from 'fast-check'

// Made-up screens: trees of rows, columns and grids with texts, shapes and pictures in them, as a design states them.

type Sizing = 'fixed' | 'fit' | 'stretch'
export type Json = { readonly [key: string]: unknown }

const WORDS = 'tide marsh heron lantern ferry pier salt drift ebb reed gull harbour'.split(' ')

export const FAMILY = 'Liberation Sans'

/** A grey picture of 64 by 48 px, as bytes in base64. */
const PICTURE =
  'iVBORw0KGgoAAAANSUhEUgAAAEAAAAAwCAAAAACUYkZpAAAAKElEQVR4nO3MMQEAAAgDILV/51nBzwci0HVndgAAAAAAAAAAAAAAAAAA4F0WkAEBSnMZ3gAAAABJRU5ErkJggg=='

const between = (min: number, max: number): fc.Arbitrary<number> => fc.integer({ min, max })

const fill = fc
  .constantFrom('#dbe7f0', '#f2e9d8', '#e4efdc', '#f0dfe3')
  .map((color) => [{ kind: 'solid', color }])

const sizing = (width: readonly Sizing[], height: readonly Sizing[]): fc.Arbitrary<Json> =>
  fc.record({ width: fc.constantFrom(...width), height: fc.constantFrom(...height) })

const text: fc.Arbitrary<Json> = fc
  .record({
    count: between(1, 14),
    from: between(0, WORDS.length - 1),
    size: fc.constantFrom(12, 14, 16, 20, 28),
    weight: fc.constantFrom(400, 700),
    align: fc.constantFrom('start', 'centre', 'end'),
    sizing: sizing(['fit', 'stretch'], ['fit']),
  })
  .map(({ count, from, size, weight, align, sizing: how }) => {
    const words = Array.from({ length: count }, (_, i) => WORDS[(from + i) % WORDS.length]!)
    return {
      type: 'text',
      name: words[0]!,
      box: { x: 0, y: 0, width: count * size * 3, height: size * 1.5 },
      style: { family: FAMILY, size, weight, lineHeight: size * 1.5, color: '#223344' },
      runs: [{ text: words.join(' ') }],
      align,
      sizing: how,
    }
  })

const shape: fc.Arbitrary<Json> = fc
  .record({
    width: between(8, 240),
    height: between(8, 120),
    fills: fill,
    sizing: sizing(['fixed', 'fixed', 'stretch'], ['fixed']),
  })
  .map(({ width, height, ...rest }) => ({
    type: 'rectangle',
    name: 'Shape',
    box: { x: 0, y: 0, width, height },
    ...rest,
  }))

const picture: fc.Arbitrary<Json> = fc
  .record({ width: between(24, 200), height: between(24, 160) })
  .map(({ width, height }) => ({
    type: 'image',
    name: 'Picture',
    asset: 'grey',
    fit: 'cover',
    box: { x: 0, y: 0, width, height },
    sizing: { width: 'fixed', height: 'fixed' },
  }))

const leaf = fc.oneof({ weight: 5, arbitrary: text }, { weight: 3, arbitrary: shape }, picture)

const layout = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record({
      kind: fc.constant('column'),
      gap: between(0, 32),
      padding: between(0, 24),
      align: fc.constantFrom('start', 'centre', 'end', 'stretch'),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.record({
      kind: fc.constant('row'),
      gap: between(0, 32),
      padding: between(0, 24),
      align: fc.constantFrom('start', 'centre', 'end', 'stretch'),
      distribute: fc.constantFrom('start', 'centre', 'end', 'between'),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      kind: fc.constant('grid'),
      columns: between(2, 4),
      columnGap: between(0, 24),
      rowGap: between(0, 24),
      padding: between(0, 24),
    }),
  },
)

const container = (children: fc.Arbitrary<Json>): fc.Arbitrary<Json> =>
  fc
    .record({
      layout,
      children: fc.array(children, { minLength: 1, maxLength: 5 }),
      fills: fc.option(fill, { nil: [] }),
      sizing: sizing(['fit', 'stretch', 'stretch'], ['fit']),
      radius: fc.constantFrom(0, 0, 8),
    })
    .map((rest) => ({
      type: 'frame',
      name: 'Box',
      box: { x: 0, y: 0, width: 600, height: 200 },
      ...rest,
    }))

const node: fc.Arbitrary<Json> = fc.letrec<{ node: Json }>((tie) => ({
  node: fc.oneof(
    { maxDepth: 3, depthSize: 'small', withCrossShrink: true },
    leaf,
    container(tie('node')),
  ),
})).node

type Layer = Json & {
  readonly type: string
  readonly layout?: { readonly kind: string }
  readonly sizing: { readonly width: Sizing; readonly height: Sizing }
  readonly children?: readonly Layer[]
}

/** In a container that is as wide as its content nothing is as wide as the container: that would say nothing. */
const settled = (layer: Layer, isInFit: boolean): Layer => {
  const isStretched = layer.sizing.width === 'stretch'
  const own: Sizing = layer.type === 'rectangle' ? 'fixed' : 'fit'
  const width = isInFit && isStretched ? own : layer.sizing.width
  const isFit = width === 'fit' && layer.layout !== undefined && layer.layout.kind !== 'grid'
  const sizing = { ...layer.sizing, width: layer.layout?.kind === 'grid' ? 'stretch' : width }
  return {
    ...layer,
    sizing,
    ...(layer.children ? { children: layer.children.map((child) => settled(child, isFit)) } : {}),
  }
}

/** Gives every layer a key of its own, by its place. */
const withKeys = (layer: Json, key: string): Json => {
  const { children, ...rest } = layer as { children?: readonly Json[] }
  return {
    ...rest,
    key,
    ...(children ? { children: children.map((child, i) => withKeys(child, `${key}.${i}`)) } : {}),
  }
}

/** A design of one screen, 1280 px wide. */
export const tree: fc.Arbitrary<Json> = fc
  .record({
    gap: between(0, 40),
    padding: between(0, 48),
    parts: fc.array(node, { minLength: 1, maxLength: 4 }),
  })
  .map(({ gap, padding, parts }) =>
    designOf({
      type: 'frame',
      name: 'Screen',
      box: { x: 0, y: 0, width: 1280, height: 2000 },
      sizing: { width: 'fixed', height: 'fixed' },
      layout: { kind: 'column', gap, padding, align: 'stretch' },
      fills: [{ kind: 'solid', color: '#ffffff' }],
      children: parts,
    }),
  )

export const designOf = (screen: Json): Json => ({
  format: 'unimorph-design',
  version: 1,
  name: 'Tree',
  assets: { grey: { name: 'grey.png', mime: 'image/png', data: PICTURE, width: 64, height: 48 } },
  screens: [withKeys(settled(screen as Layer, false), 'n')],
})

/** A layer and what is in it, in one line: what a person needs to see of a tree that went wrong. */
export const outline = (layer: Json): string => {
  const { key, type, layout, sizing, children, box, align, runs } = layer as {
    key: string
    type: string
    layout?: Json
    sizing: Json
    children?: readonly Json[]
    box: Json
    align?: string
    runs?: readonly { text: string }[]
  }
  const size = `${String(sizing['width'])}/${String(sizing['height'])}`
  const words = runs ? ` ${runs[0]!.text.split(' ').length} words ${align}` : ''
  const how = layout
    ? ` ${JSON.stringify(layout).replace(/["{}]/g, '')}`
    : ` ${String(box['width'])}×${String(box['height'])}`
  const inside = children ? ` [${children.map(outline).join(', ')}]` : ''
  return `${key} ${type} ${size}${words}${how}${inside}`
}
