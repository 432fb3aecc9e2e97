import { splitColor } from '../design/color.js'
import type { Asset } from '../design/design.js'
import type { Box } from '../design/geometry.js'
import type { Effect, GradientStop, Paint } from '../design/paint.js'
import { element, formatNumber } from './svg-writer.js'

/** What drawing one screen collects: definitions with ids that are unique in the drawing. */
export class DrawingContext {
  readonly definitions: string[] = []
  private count = 0

  constructor(
    readonly assets: Readonly<Record<string, Asset>>,
    /** Put before every id, so that several drawings can stand in one page. */
    private readonly prefix: string,
  ) {}

  define(build: (id: string) => string): string {
    const id = `${this.prefix}${++this.count}`
    this.definitions.push(build(id))
    return id
  }

  imageAddress(asset: string): string | undefined {
    const found = this.assets[asset]
    return found && `data:${found.mime};base64,${found.data}`
  }
}

const drawStops = (stops: readonly GradientStop[]): string =>
  stops
    .map((stop) => {
      const { color, opacity } = splitColor(stop.color)
      return element('stop', {
        offset: stop.offset,
        'stop-color': color,
        'stop-opacity': opacity < 1 ? opacity : undefined,
      })
    })
    .join('')

/** The attributes that paint a shape with `paint` through `fill` or `stroke`. */
export const drawPaint = (
  context: DrawingContext,
  paint: Paint,
  box: Box,
  property: 'fill' | 'stroke',
): Record<string, string | number | undefined> => {
  const dim = paint.opacity < 1 ? paint.opacity : undefined
  switch (paint.kind) {
    case 'solid': {
      const { color, opacity } = splitColor(paint.color)
      const total = opacity * paint.opacity
      return { [property]: color, [`${property}-opacity`]: total < 1 ? total : undefined }
    }
    case 'linear': {
      const id = context.define((id) =>
        element(
          'linearGradient',
          {
            id,
            gradientUnits: 'userSpaceOnUse',
            x1: paint.from.x * box.width,
            y1: paint.from.y * box.height,
            x2: paint.to.x * box.width,
            y2: paint.to.y * box.height,
          },
          drawStops(paint.stops),
        ),
      )
      return { [property]: `url(#${id})`, [`${property}-opacity`]: dim }
    }
    case 'radial': {
      const scaleX = paint.radius.x * box.width
      const scaleY = paint.radius.y * box.height
      const centre = [paint.centre.x * box.width, paint.centre.y * box.height].map(formatNumber)
      const id = context.define((id) =>
        element(
          'radialGradient',
          {
            id,
            gradientUnits: 'userSpaceOnUse',
            cx: 0,
            cy: 0,
            r: 1,
            gradientTransform: `translate(${centre.join(' ')}) scale(${formatNumber(scaleX)} ${formatNumber(scaleY)})`,
          },
          drawStops(paint.stops),
        ),
      )
      return { [property]: `url(#${id})`, [`${property}-opacity`]: dim }
    }
    // SVG has no angular gradient; its first colour stands in for it.
    case 'angular':
      return drawPaint(
        context,
        { kind: 'solid', color: paint.stops[0]!.color, opacity: paint.opacity, blend: 'normal' },
        box,
        property,
      )
    case 'image': {
      const href = context.imageAddress(paint.asset)
      if (!href) return { [property]: '#d9d9d9' }
      const id = context.define((id) =>
        element(
          'pattern',
          { id, patternUnits: 'userSpaceOnUse', width: box.width, height: box.height },
          element('image', {
            href,
            width: box.width,
            height: box.height,
            preserveAspectRatio: aspectOf(paint.fit),
          }),
        ),
      )
      return { [property]: `url(#${id})`, [`${property}-opacity`]: dim }
    }
  }
}

/** How `preserveAspectRatio` says what `object-fit` says. */
export const aspectOf = (fit: 'cover' | 'contain' | 'fill' | 'tile'): string =>
  fit === 'cover' ? 'xMidYMid slice' : fit === 'fill' ? 'none' : 'xMidYMid meet'

/** Defines a filter for shadows and blur and returns a reference to it; undefined when there is nothing to do. */
export const drawEffects = (
  context: DrawingContext,
  effects: readonly Effect[],
): string | undefined => {
  const steps = effects.flatMap((effect) => {
    if (effect.kind === 'blur') return element('feGaussianBlur', { stdDeviation: effect.radius })
    if (effect.kind !== 'shadow' || effect.inset) return []
    const { color, opacity } = splitColor(effect.color)
    return element('feDropShadow', {
      dx: effect.x,
      dy: effect.y,
      stdDeviation: effect.blur / 2,
      'flood-color': color,
      'flood-opacity': opacity,
    })
  })
  if (steps.length === 0) return undefined
  const id = context.define((id) =>
    element(
      'filter',
      {
        id,
        x: '-50%',
        y: '-50%',
        width: '200%',
        height: '200%',
        'color-interpolation-filters': 'sRGB',
      },
      steps.join(''),
    ),
  )
  return `url(#${id})`
}
