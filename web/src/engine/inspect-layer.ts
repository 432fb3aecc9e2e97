import {
  childrenOf,
  listTokenFields,
  measureBoxes,
  withCurrentColor,
  type Box,
  type Layer,
  type LayerType,
  type TokenCode,
} from '@unimorph/core'

export type Side = 'left' | 'right' | 'top' | 'bottom'

/** How far it is from a layer to what lies next to it on one side. */
export type Distance = {
  readonly side: Side
  readonly px: number
  /** What it is measured to: a neighbour, or the edge of what holds the layer. */
  readonly to: string
  readonly isNeighbour: boolean
}

export type LayerColor = { readonly field: string; readonly color: string; readonly token?: string }

/** Everything about one layer that a person may want to read off. Lengths in px. */
export type LayerDetails = {
  readonly key: string
  readonly name: string
  readonly type: LayerType
  /** In the screen's coordinates. */
  readonly box: Box
  readonly rotationDeg: number
  readonly opacity: number
  readonly distances: readonly Distance[]
  readonly colors: readonly LayerColor[]
  /** Facts as label and value: radius, border, shadow, layout, sizing. */
  readonly facts: readonly {
    readonly label: string
    readonly value: string
    readonly token?: string
  }[]
  readonly text?: {
    readonly content: string
    readonly style: string
    readonly token?: string
  }
  /** Tokens it uses, and how each is written. */
  readonly tokens: readonly { readonly name: string; readonly code: TokenCode }[]
  /** Least and greatest sizes, where there are any. */
  readonly limits: NonNullable<Layer['limits']>
  readonly files: readonly ('svg' | 'svg-current-color' | 'picture')[]
}

const round = (value: number): number => Math.round(value * 100) / 100

const overlaps = (a: Box, b: Box, axis: 'x' | 'y'): boolean =>
  axis === 'x'
    ? a.x < b.x + b.width && b.x < a.x + a.width
    : a.y < b.y + b.height && b.y < a.y + a.height

/** Distance from a box to another on one side; negative when the other does not lie there. */
const distanceTo = (side: Side, own: Box, other: Box): number => {
  switch (side) {
    case 'left':
      return own.x - (other.x + other.width)
    case 'right':
      return other.x - (own.x + own.width)
    case 'top':
      return own.y - (other.y + other.height)
    case 'bottom':
      return other.y - (own.y + own.height)
  }
}

const edgeDistance = (side: Side, own: Box, parent: Box): number => {
  switch (side) {
    case 'left':
      return own.x
    case 'right':
      return parent.width - own.x - own.width
    case 'top':
      return own.y
    case 'bottom':
      return parent.height - own.y - own.height
  }
}

/** Distances of a layer to its nearest neighbours and, where there is none, to the edges of its parent. */
export const measureDistances = (layer: Layer, parent: Layer | undefined): Distance[] => {
  if (!parent) return []
  const siblings = childrenOf(parent).filter((s) => s !== layer && s.visible)
  return (['left', 'right', 'top', 'bottom'] as const).map((side): Distance => {
    const axis = side === 'left' || side === 'right' ? 'y' : 'x'
    let nearest: { px: number; name: string } | undefined
    for (const sibling of siblings) {
      if (!overlaps(layer.box, sibling.box, axis)) continue
      const px = distanceTo(side, layer.box, sibling.box)
      if (px < -0.5 || (nearest && nearest.px <= px)) continue
      nearest = { px, name: sibling.name || sibling.type }
    }
    const edge = edgeDistance(side, layer.box, parent.box)
    return nearest && nearest.px <= edge
      ? { side, px: round(nearest.px), to: nearest.name, isNeighbour: true }
      : { side, px: round(edge), to: parent.name || parent.type, isNeighbour: false }
  })
}

const FIELD_NAMES: readonly (readonly [RegExp, string])[] = [
  [/^fills\./, 'Fill'],
  [/^strokes\./, 'Border'],
  [/^style\.color$/, 'Colour'],
  [/^runs\./, 'Part colour'],
]

const colorsOf = (layer: Layer): LayerColor[] => {
  const colors: LayerColor[] = []
  for (const { path, type, value } of listTokenFields(layer)) {
    if (type !== 'color') continue
    const field = FIELD_NAMES.find(([pattern]) => pattern.test(path))?.[1] ?? path
    const token = layer.tokens?.[path]
    colors.push({ field, color: value as string, ...(token ? { token } : {}) })
  }
  return colors
}

const sides = (value: number | Readonly<Record<string, number>>): string =>
  typeof value === 'number' ? `${round(value)}` : Object.values(value).map(round).join(' ')

const factsOf = (layer: Layer): LayerDetails['facts'] => {
  const facts: { label: string; value: string; token?: string }[] = []
  const add = (label: string, value: string, path?: string): void => {
    const token = path === undefined ? undefined : layer.tokens?.[path]
    facts.push({ label, value, ...(token ? { token } : {}) })
  }
  if ('radius' in layer && layer.radius !== 0) add('Radius', sides(layer.radius), 'radius')
  if ('strokes' in layer) {
    for (const { width, align, dash } of layer.strokes) {
      add('Border', `${sides(width)} ${align}${dash.length > 0 ? ', dashed' : ''}`)
    }
  }
  for (const effect of layer.effects) {
    if (effect.kind === 'shadow') {
      const { x, y, blur, spread, color, inset } = effect
      add(inset ? 'Inner shadow' : 'Shadow', `${x} ${y} ${blur} ${spread} ${color}`, 'effects')
    } else add(effect.kind === 'blur' ? 'Blur' : 'Blur behind', `${effect.radius}`)
  }
  if ('layout' in layer && layer.layout) {
    const { layout } = layer
    const gap = layout.kind === 'grid' ? `${layout.columnGap} ${layout.rowGap}` : `${layout.gap}`
    add('Layout', layout.kind)
    add('Gap', gap, layout.kind === 'grid' ? 'layout.columnGap' : 'layout.gap')
    add('Padding', sides(layout.padding), 'layout.padding')
  }
  if (layer.sizing.width !== 'fixed' || layer.sizing.height !== 'fixed') {
    add('Sizing', `${layer.sizing.width} × ${layer.sizing.height}`)
  }
  if (layer.blend !== 'normal') add('Blend', layer.blend)
  return facts
}

const textOf = (layer: Layer): LayerDetails['text'] => {
  if (layer.type !== 'text') return undefined
  const { family, weight, italic, size, lineHeight, letterSpacing } = layer.style
  const style = [
    family,
    `${weight}${italic ? ' italic' : ''}`,
    `${round(size)}/${lineHeight === undefined ? 'auto' : round(lineHeight)}`,
    ...(letterSpacing === 0 ? [] : [`spacing ${round(letterSpacing)}`]),
  ].join(' · ')
  const token = layer.tokens?.['style']
  const content = layer.runs.map((run) => run.text).join('')
  return { content, style, ...(token ? { token } : {}) }
}

/** Finds a layer in resolved screens and describes it; `draw` gives its drawing, `codes` how tokens are written. */
export const inspectLayer = (
  screens: readonly Layer[],
  key: string,
  draw: (layer: Layer) => string,
  codes: ReadonlyMap<string, TokenCode> = new Map(),
): LayerDetails | undefined => {
  const find = (
    layer: Layer,
    parent: Layer | undefined,
  ): [Layer, Layer | undefined] | undefined => {
    if (layer.key === key) return [layer, parent]
    for (const child of childrenOf(layer)) {
      const found = find(child, layer)
      if (found) return found
    }
    return undefined
  }
  for (const screen of screens) {
    const found = find(screen, undefined)
    if (!found) continue
    const [layer, parent] = found
    const text = textOf(layer)
    const isPicture = layer.type === 'image'
    return {
      key,
      name: layer.name || layer.type,
      type: layer.type,
      box: measureBoxes(screen).get(key)!,
      rotationDeg: layer.rotationDeg,
      opacity: layer.opacity,
      distances: measureDistances(layer, parent),
      colors: colorsOf(layer),
      facts: factsOf(layer),
      tokens: [...new Set(Object.values(layer.tokens ?? {}))].flatMap((name) => {
        const code = codes.get(name)
        return code ? [{ name, code }] : []
      }),
      limits: layer.limits ?? {},
      ...(text ? { text } : {}),
      files: [
        ...(isPicture ? (['picture'] as const) : []),
        'svg',
        ...(withCurrentColor(draw(layer)) ? (['svg-current-color'] as const) : []),
      ],
    }
  }
  return undefined
}
