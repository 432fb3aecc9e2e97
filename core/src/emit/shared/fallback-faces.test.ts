import type { FontFace } from '../../text/face.js'
import { createTableMeasure } from '../../text/measure.js'
import { fallbackRules } from './fallback-faces.js'

const measure = createTableMeasure()
/** A font whose letters are as wide as those of another, times a number. */
const scaled = (
  family: string,
  of: string,
  times: number,
  rest: Partial<FontFace> = {},
): FontFace => ({
  family,
  weight: 400,
  italic: false,
  ascent: 900,
  descent: 300,
  lineGap: 0,
  advances: Object.fromEntries(
    Array.from({ length: 95 }, (_, i) => {
      const style = {
        family: of,
        weight: 400,
        size: 1000,
        letterSpacing: 0,
        case: 'as-typed',
      } as const
      return [0x20 + i, times * measure.width(String.fromCharCode(0x20 + i), style)]
    }),
  ),
  kerning: {},
  ...rest,
})

test('a font of the machine is made as wide and as high as the one it stands in for', () => {
  const [rule] = fallbackRules([scaled('Strandline', 'Liberation Sans', 1.25)])
  expect(rule).toContain('font-family: "Strandline fallback";')
  expect(rule).toContain('local("Arial")')
  expect(rule).toContain('size-adjust: 125%;')
  // What is written is a share of the letters' own size, which is then adjusted.
  expect(rule).toContain('ascent-override: 72%;')
  expect(rule).toContain('descent-override: 24%;')
})

test('letters with feet, and of one width, have their own', () => {
  const rules = fallbackRules([
    scaled('Harbour Serif', 'Liberation Serif', 1),
    scaled('Log Mono', 'Liberation Mono', 1),
  ])
  expect(rules[0]).toMatch(/local\("Times New Roman"\)[^]*size-adjust: 100%;/)
  expect(rules[1]).toMatch(/local\("Courier New"\)[^]*size-adjust: 100%;/)
})

test('a font of all weights is stood in for by regular and by bold letters', () => {
  const rules = fallbackRules([scaled('Strandline', 'Liberation Sans', 1, { weight: [300, 800] })])
  expect(rules.map((rule) => /font-weight: (.*);/.exec(rule)![1])).toEqual(['300 599', '600 800'])
  expect(rules[1]).toContain('local("Arial Bold")')
})
