import { splitColor } from '../design/color.js'
import type { Asset } from '../design/design.js'
import type { Box } from '../design/geometry.js'
import type { GradientStop, Paint } from '../design/paint.js'
import { element, formatNumber } from './svg-writer.js'

/** What drawing one screen collects: definitions with ids that are unique in the drawing. */
export class DrawingContext {
  readonly definitions: string[] = []
  private count = 0
  private readonly shared = new Map<string, string>()

  constructor(readonly assets: Readonly<Record<string, Asset>>) {}

  /** The id of a definition, made at its first use and shared by everything that asks for the same. */
  defineOnce(key: string, build: (id: string) => string): string {
    const known = this.shared.get(key)
    if (known !== undefined) return known
    const id = this.define(build)
    this.shared.set(key, id)
    return id
  }

  define(build: (id: string) => string): string {
    const id = `d${++this.count}`
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
      const centre = { x: paint.centre.x * box.width, y: paint.centre.y * box.height }
      const focus = paint.focus && {
        x: paint.focus.x * box.width - centre.x,
        y: paint.focus.y * box.height - centre.y,
      }
      const turn = paint.rotationDeg
      const back = (-turn * Math.PI) / 180
      const turned = focus && {
        x: focus.x * Math.cos(back) - focus.y * Math.sin(back),
        y: focus.x * Math.sin(back) + focus.y * Math.cos(back),
      }
      const list = (...values: number[]): string => values.map(formatNumber).join(' ')
      const id = context.define((id) =>
        element(
          'radialGradient',
          {
            id,
            gradientUnits: 'userSpaceOnUse',
            cx: 0,
            cy: 0,
            r: 1,
            fx: turned && turned.x / (scaleX || 1),
            fy: turned && turned.y / (scaleY || 1),
            gradientTransform:
              `translate(${list(centre.x, centre.y)})` +
              `${turn === 0 ? '' : ` rotate(${list(turn)})`} scale(${list(scaleX, scaleY)})`,
          },
          drawStops(paint.stops),
        ),
      )
      return { [property]: `url(#${id})`, [`${property}-opacity`]: dim }
    }
    // SVG has no angular gradient; boxes are drawn by CSS (see html.ts), lines in its first colour.
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
      const { x, y, width, height } = tileOf(context, paint, box)
      const id = context.define((id) =>
        element(
          'pattern',
          { id, patternUnits: 'userSpaceOnUse', x, y, width, height },
          element('image', { href, width, height, preserveAspectRatio: aspectOf(paint.fit) }),
        ),
      )
      return { [property]: `url(#${id})`, [`${property}-opacity`]: dim }
    }
  }
}

/** How `preserveAspectRatio` says what `object-fit` says. */
export const aspectOf = (fit: 'cover' | 'contain' | 'fill' | 'tile'): string =>
  fit === 'cover' ? 'xMidYMid slice' : fit === 'fill' ? 'none' : 'xMidYMid meet'

/** Where the first picture of a fill lies: the whole box or, when it is repeated, one tile. */
const tileOf = (
  context: DrawingContext,
  paint: Extract<Paint, { kind: 'image' }>,
  box: Box,
): Box => {
  if (paint.fit !== 'tile') return { x: 0, y: 0, width: box.width, height: box.height }
  const { width = box.width, height = box.height } = context.assets[paint.asset] ?? {}
  return paint.tile ?? { x: 0, y: 0, width, height }
}
