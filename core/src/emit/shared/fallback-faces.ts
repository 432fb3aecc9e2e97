import type { FontFace } from '../../text/face.js'
import { fallbackOf } from '../../fonts/needs.js'
import { createMeasure } from '../../text/measure.js'
import { quoteCss } from './quote-css.js'

type Local = {
  readonly measured: string
  readonly regular: readonly string[]
  readonly bold: readonly string[]
}

/** Fonts of one width that nearly every machine has one of, by what they stand in for. */
const LOCALS: Readonly<Record<ReturnType<typeof fallbackOf>, Local>> = {
  'sans-serif': {
    measured: 'Liberation Sans',
    regular: ['Arial', 'Liberation Sans', 'Helvetica'],
    bold: ['Arial Bold', 'Liberation Sans Bold', 'Helvetica Bold'],
  },
  serif: {
    measured: 'Liberation Serif',
    regular: ['Times New Roman', 'Liberation Serif'],
    bold: ['Times New Roman Bold', 'Liberation Serif Bold'],
  },
  monospace: {
    measured: 'Liberation Mono',
    regular: ['Courier New', 'Liberation Mono'],
    bold: ['Courier New Bold', 'Liberation Mono Bold'],
  },
}

/** Letters as often as texts have them, with the spaces between words. */
const LETTERS =
  'eeeeeeeeeeeetttttttttaaaaaaaaooooooooiiiiiiinnnnnnnsssssshhhhhhrrrrrrddddllllcccuuummmwwffggyyppbvk                  '
const BOLD_FROM = 600
const SIZE = 1000

/** What a font that is delivered is called while it is not there yet. */
export const fallbackName = (family: string): string => `${family} fallback`

const percent = (share: number): string => `${Math.round(share * 1e4) / 100}%`

/** The parts of a face's weights that regular and bold letters stand in for. */
const rangesOf = ({
  weight,
}: FontFace): readonly { readonly says: string; readonly at: number }[] => {
  if (typeof weight === 'number') return [{ says: `${weight}`, at: weight }]
  const [from, to] = weight
  const parts = [
    [from, Math.min(to, BOLD_FROM - 1)],
    [Math.max(from, BOLD_FROM), to],
  ] as const
  return parts
    .filter(([least, most]) => least <= most)
    .map(([least, most]) => ({
      says: least === most ? `${least}` : `${least} ${most}`,
      at: (least + most) / 2,
    }))
}

/**
 * Rules that let a font of the machine take the place of each delivered one until it is loaded, as wide and as high, so that
 * nothing moves when it comes (CSS Fonts 5, size-adjust and the metrics overrides).
 */
export const fallbackRules = (faces: readonly FontFace[]): string[] =>
  faces.flatMap((face) => {
    const { measured, regular, bold } = LOCALS[fallbackOf(face.family)]
    const measure = createMeasure([face])
    const widthOf = (family: string, weight: number): number =>
      measure.width(LETTERS, {
        family,
        weight,
        size: SIZE,
        italic: face.italic,
        letterSpacing: 0,
        case: 'as-typed',
      })
    return rangesOf(face).map(({ says, at }) => {
      const isBold = at >= BOLD_FROM
      const wider = widthOf(face.family, at) / widthOf(measured, isBold ? 700 : 400)
      const high = (thousandths: number): string => percent(thousandths / 1000 / wider)
      return [
        '@font-face {',
        `  font-family: ${quoteCss(fallbackName(face.family))};`,
        `  font-style: ${face.italic ? 'italic' : 'normal'};`,
        `  font-weight: ${says};`,
        `  src: ${(isBold ? bold : regular).map((name) => `local(${quoteCss(name)})`).join(', ')};`,
        `  size-adjust: ${percent(wider)};`,
        `  ascent-override: ${high(face.ascent)};`,
        `  descent-override: ${high(face.descent)};`,
        `  line-gap-override: ${high(face.lineGap)};`,
        '}',
      ].join('\n')
    })
  })
