import { splitColor } from '../design/color.js'
import type { Box } from '../design/geometry.js'
import type { Effect } from '../design/paint.js'
import type { DrawingContext } from './paint.js'
import { element } from './svg-writer.js'

type Shadow = Extract<Effect, { kind: 'shadow' }>

/** Space around a box that its effects may reach into. A Gaussian has faded away after three deviations. */
export const reachOf = (effects: readonly Effect[]): number =>
  Math.ceil(
    effects.reduce((most, effect) => {
      if (effect.kind === 'blur') return Math.max(most, effect.radius * 3)
      if (effect.kind !== 'shadow' || effect.inset) return most
      const away = Math.max(Math.abs(effect.x), Math.abs(effect.y))
      return Math.max(most, away + Math.max(0, effect.spread) + effect.blur * 1.5)
    }, 0),
  )

const flood = ({ color }: Shadow): string => {
  const { color: solid, opacity } = splitColor(color)
  const attributes = { 'flood-color': solid, 'flood-opacity': opacity < 1 ? opacity : undefined }
  return element('feFlood', { ...attributes, result: 'color' })
}

const grow = (by: number, input: string): string =>
  by === 0
    ? ''
    : element('feMorphology', {
        in: input,
        operator: by > 0 ? 'dilate' : 'erode',
        radius: Math.abs(by),
        result: 'grown',
      })

const moveAndBlur = (shadow: Shadow, input: string): string =>
  element('feOffset', { in: input, dx: shadow.x, dy: shadow.y, result: 'moved' }) +
  element('feGaussianBlur', { in: 'moved', stdDeviation: shadow.blur / 2, result: 'blurred' })

/** Steps that draw one shadow of the outline, named `result`. */
const drawShadow = (shadow: Shadow, result: string): string => {
  const spread = shadow.inset ? -shadow.spread : shadow.spread
  const source = spread === 0 ? 'SourceAlpha' : 'grown'
  const shape = grow(spread, 'SourceAlpha') + moveAndBlur(shadow, source) + flood(shadow)
  if (!shadow.inset) {
    return shape + element('feComposite', { in: 'color', in2: 'blurred', operator: 'in', result })
  }
  return (
    shape +
    element('feComposite', { in: 'color', in2: 'blurred', operator: 'out', result: 'rim' }) +
    element('feComposite', { in: 'rim', in2: 'SourceAlpha', operator: 'in', result })
  )
}

/**
 * Defines a filter for shadows and blur and returns a reference to it; undefined when there is nothing to
 * do. Every shadow is one of the layer itself, the first on top, as in CSS.
 */
export const drawEffects = (
  context: DrawingContext,
  effects: readonly Effect[],
  box: Box,
): string | undefined => {
  const shadows = effects.filter((e) => e.kind === 'shadow')
  const blurs = effects.filter((e) => e.kind === 'blur' && e.radius > 0)
  if (shadows.length === 0 && blurs.length === 0) return undefined
  const steps = shadows.map((shadow, i) => drawShadow(shadow, `shadow${i}`))
  const outer = shadows.flatMap((s, i) => (s.inset ? [] : [`shadow${i}`]))
  const inner = shadows.flatMap((s, i) => (s.inset ? [`shadow${i}`] : []))
  const order = [...outer.reverse(), 'SourceGraphic', ...inner.reverse()]
  if (order.length > 1) {
    const nodes = order.map((name) => element('feMergeNode', { in: name })).join('')
    steps.push(element('feMerge', {}, nodes))
  }
  for (const blur of blurs) {
    if (blur.kind === 'blur') steps.push(element('feGaussianBlur', { stdDeviation: blur.radius }))
  }
  // The region also takes in strokes and children outside of the box.
  const reach = reachOf(effects) + Math.max(box.width, box.height, 20)
  const id = context.defineOnce(JSON.stringify([effects, box.width, box.height]), (id) =>
    element(
      'filter',
      {
        id,
        filterUnits: 'userSpaceOnUse',
        x: -reach,
        y: -reach,
        width: box.width + 2 * reach,
        height: box.height + 2 * reach,
        'color-interpolation-filters': 'sRGB',
      },
      steps.join(''),
    ),
  )
  return `url(#${id})`
}
