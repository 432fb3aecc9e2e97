import fc from 'fast-check'
import { createTableMeasure } from '../text/measure.js'
import { frame, layer, text } from './design.js'

type Json = Record<string, unknown>
type Drawn = { readonly layers: readonly Json[]; readonly height: number }
/** Draws itself at a place, in a width. */
export type Draw = (x: number, y: number, width: number) => Drawn

const measure = createTableMeasure()
const STYLE = { family: 'Inter', color: '#112233', weight: 400, letterSpacing: 0, case: 'as-typed' }
export const at = (x: number, y: number, width: number, height: number): Json => ({
  box: { x, y, width, height },
})

const widthOf = (content: string, size: number): number =>
  measure.width(content, { ...STYLE, size, case: 'as-typed' })

/** A line of text as wide as its words, in a size. */
export const words = (key: string, content: string, x: number, y: number, size = 16): Json => {
  const style = { ...STYLE, size, case: 'as-typed' as const }
  const lineHeight = Math.round(size * 1.5)
  return text(key, content, {
    ...at(x, y, Math.ceil(measure.width(content, style)), lineHeight),
    style: { family: 'Inter', color: '#112233', size, lineHeight },
    sizing: { width: 'fit', height: 'fit' },
  })
}

let count = 0
const nextKey = (kind: string): string => `${kind}-${count++}`

const line: fc.Arbitrary<Draw> = fc
  .tuple(
    fc.constantFrom('Tide', 'Low water', 'Goose barnacles on a fender', 'Rope and floats'),
    fc.constantFrom(14, 16, 24, 48),
  )
  .map(([content, size]): Draw => (x, y, width) => {
    // A word that does not fit its column was not drawn by anybody.
    const [own, px] = widthOf(content, size) <= width ? [content, size] : ['Tide', 14]
    return { layers: [words(nextKey('text'), own, x, y, px)], height: Math.round(px * 1.5) }
  })

const picture: fc.Arbitrary<Draw> = fc
  .integer({ min: 24, max: 240 })
  .map((height): Draw => (x, y, width) => ({
    layers: [
      layer('rectangle', nextKey('picture'), {
        ...at(x, y, width, height),
        fills: [{ kind: 'solid', color: '#ccddcc' }],
      }),
    ],
    height,
  }))

const stacked =
  (parts: readonly Draw[], gap: number): Draw =>
  (x, y, width) => {
    let top = y
    const layers = parts.flatMap((draw) => {
      const drawn = draw(x, top, width)
      top += drawn.height + gap
      return drawn.layers
    })
    return { layers, height: top - gap - y }
  }

const beside =
  (parts: readonly Draw[], gap: number): Draw =>
  (x, y, width) => {
    const own = (width - gap * (parts.length - 1)) / parts.length
    const drawn = parts.map((draw, i) => draw(Math.round(x + i * (own + gap)), y, Math.floor(own)))
    return {
      layers: drawn.flatMap((d) => d.layers),
      height: Math.max(...drawn.map((d) => d.height)),
    }
  }

const carded =
  (inside: Draw, padding: number): Draw =>
  (x, y, width) => {
    const drawn = inside(x + padding, y + padding, width - 2 * padding)
    const height = drawn.height + 2 * padding
    const box = layer('rectangle', nextKey('card'), {
      ...at(x, y, width, height),
      fills: [{ kind: 'solid', color: '#fffdf8' }],
    })
    return { layers: [box, ...drawn.layers], height }
  }

const part = fc.letrec<{ part: Draw }>((tie) => ({
  part: fc.oneof(
    { maxDepth: 2, withCrossShrink: true },
    line,
    picture,
    fc.array(tie('part'), { minLength: 1, maxLength: 3 }).map((parts) => stacked(parts, 16)),
    fc.tuple(tie('part'), fc.constantFrom(12, 24)).map(([inside, px]) => carded(inside, px)),
  ),
})).part

const band = fc.oneof(
  fc.array(part, { minLength: 2, maxLength: 4 }).map((parts) => beside(parts, 24)),
  part,
)

/** A page 1280 px wide as careless files have it: loose layers, in bands of one to four columns. */
export const arbitraryPage: fc.Arbitrary<Json> = fc
  .tuple(fc.array(band, { minLength: 1, maxLength: 4 }), fc.constantFrom(0, 24, 120))
  .map(([bands, side]) => {
    count = 0
    const drawn = stacked(bands, 40)(side, 32, 1280 - 2 * side)
    return frame('page', [...drawn.layers], {
      ...at(0, 0, 1280, drawn.height + 64),
      fills: [{ kind: 'solid', color: '#ffffff' }],
    })
  })
