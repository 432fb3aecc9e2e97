import type { Layer } from '../design/layer.js'
import type { TokenType } from '../design/token.js'

/** A field of a layer that can take its value from a token. */
export type TokenField = {
  readonly path: string
  readonly type: TokenType
  readonly value: unknown
}

/** Every field of a layer that can take its value from a token, with the value it has now. */
export const listTokenFields = (layer: Layer): TokenField[] => {
  const fields: TokenField[] = []
  const add = (path: string, type: TokenType, value: unknown): void => {
    fields.push({ path, type, value })
  }
  if ('fills' in layer) {
    layer.fills.forEach((f, i) => f.kind === 'solid' && add(`fills.${i}.color`, 'color', f.color))
  }
  if ('strokes' in layer) {
    layer.strokes.forEach(({ paint }, i) => {
      if (paint.kind === 'solid') add(`strokes.${i}.paint.color`, 'color', paint.color)
    })
  }
  if (layer.type === 'text') {
    const { color: _color, ...type } = layer.style
    add('style', 'type', type)
    add('style.color', 'color', layer.style.color)
    layer.runs.forEach(({ style }, i) => {
      if (style.color) add(`runs.${i}.style.color`, 'color', style.color)
    })
  }
  if ('radius' in layer && typeof layer.radius === 'number' && layer.radius > 0) {
    add('radius', 'radius', layer.radius)
  }
  if (layer.effects.some((e) => e.kind === 'shadow')) add('effects', 'shadow', layer.effects)
  if ('layout' in layer && layer.layout) {
    const { layout } = layer
    const lengths = ['gap', 'lineGap', 'columnGap', 'rowGap', 'padding'] as const
    for (const name of lengths) {
      const value = (layout as Readonly<Record<string, unknown>>)[name]
      if (typeof value === 'number' && value > 0) add(`layout.${name}`, 'space', value)
    }
    if (typeof layout.padding === 'object') {
      for (const [side, value] of Object.entries(layout.padding)) {
        if (value > 0) add(`layout.padding.${side}`, 'space', value)
      }
    }
  }
  return fields
}

const setAt = (target: unknown, path: readonly string[], value: unknown): unknown => {
  const [first, ...rest] = path
  if (first === undefined) return value
  if (Array.isArray(target)) {
    return target.map((item: unknown, i) => (i === Number(first) ? setAt(item, rest, value) : item))
  }
  const record = target as Readonly<Record<string, unknown>>
  return { ...record, [first]: setAt(record[first], rest, value) }
}

/** A layer whose field has a value that comes from a token. The layer has the field: see `listTokenFields`. */
export const setTokenField = (layer: Layer, path: string, token: string, value: unknown): Layer => {
  const next =
    path === 'style' && layer.type === 'text'
      ? { ...layer, style: { ...(value as typeof layer.style), color: layer.style.color } }
      : (setAt(layer, path.split('.'), value) as Layer)
  return { ...next, tokens: { ...layer.tokens, [path]: token } }
}

/** A number or colour in a field, without a token; the layer itself when it has no such field. */
export const setPlainField = (layer: Layer, path: string, value: number | string): Layer => {
  const steps = path.split('.')
  let before: unknown = layer
  for (const step of steps)
    before = (before as Readonly<Record<string, unknown>> | undefined)?.[step]
  if (typeof before !== typeof value || before === value) return layer
  const next = setAt(layer, steps, value) as Layer
  // A type token says the whole style: with one part of it changed it holds no longer.
  const isType = path.startsWith('style.') && path !== 'style.color'
  const kept = Object.entries(layer.tokens ?? {}).filter(
    ([field]) => field !== path && !(isType && field === 'style'),
  )
  return { ...next, tokens: Object.fromEntries(kept) }
}

/** Whether a token's value can stand where a field's value stood. */
export const isSameValueType = (before: unknown, after: unknown): boolean =>
  typeof before === typeof after && Array.isArray(before) === Array.isArray(after)
