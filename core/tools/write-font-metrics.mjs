// Writes core/src/text/font-metrics.ts from fonts installed on this machine (Debian packages
// fonts-roboto, fonts-inter, fonts-liberation, fonts-dejavu-core). Run it again after adding a family:
//   node core/tools/write-font-metrics.mjs
import { writeFileSync } from 'node:fs'
import { openSync } from 'fontkit'

const TRUETYPE = '/usr/share/fonts/truetype'
const roboto = `${TRUETYPE}/roboto/unhinted/RobotoTTF`
const inter = '/usr/share/fonts/opentype/inter'
const FAMILIES = {
  'DejaVu Sans': [`${TRUETYPE}/dejavu/DejaVuSans.ttf`, `${TRUETYPE}/dejavu/DejaVuSans-Bold.ttf`],
  'DejaVu Sans Mono': [`${TRUETYPE}/dejavu/DejaVuSansMono.ttf`],
  'DejaVu Serif': [`${TRUETYPE}/dejavu/DejaVuSerif.ttf`, `${TRUETYPE}/dejavu/DejaVuSerif-Bold.ttf`],
  Inter: [`${inter}/Inter-Regular.otf`, `${inter}/Inter-Bold.otf`],
  'Liberation Mono': [`${TRUETYPE}/liberation/LiberationMono-Regular.ttf`],
  'Liberation Sans': ['Regular', 'Bold'].map(
    (w) => `${TRUETYPE}/liberation/LiberationSans-${w}.ttf`,
  ),
  'Liberation Serif': ['Regular', 'Bold'].map(
    (w) => `${TRUETYPE}/liberation/LiberationSerif-${w}.ttf`,
  ),
  Roboto: [`${roboto}/Roboto-Regular.ttf`, `${roboto}/Roboto-Bold.ttf`],
  'Roboto Condensed': ['Regular', 'Bold'].map(
    (w) => `${TRUETYPE}/roboto/unhinted/RobotoCondensed-${w}.ttf`,
  ),
}

const range = (from, to) => Array.from({ length: to - from + 1 }, (_, i) => from + i)
const CODES = [
  ...range(0x20, 0x7e),
  ...range(0xa0, 0xff),
  0x2013,
  0x2014,
  0x2018,
  0x2019,
  0x201c,
  0x201d,
  0x2022,
  0x2026,
  0x20ac,
]

const measure = (file) => {
  const font = openSync(file)
  const perMille = (units) => Math.round((units * 1000) / font.unitsPerEm)
  return {
    font,
    perMille,
    advances: CODES.map((code) => perMille(font.glyphForCodePoint(code).advanceWidth)),
  }
}

const entries = Object.entries(FAMILIES).map(([family, files]) => {
  const [regular, bold = regular] = files.map(measure)
  const { font, perMille } = regular
  const ascent = ((font.hhea?.ascent ?? font.ascent) * 1000) / font.unitsPerEm
  const descent = (-(font.hhea?.descent ?? font.descent) * 1000) / font.unitsPerEm
  const lines = [
    `  ${/ /.test(family) ? `'${family}'` : family}: {`,
    `    ascent: ${Math.round(ascent * 100) / 100},`,
    `    descent: ${Math.round(descent * 100) / 100},`,
    `    lineGap: ${perMille(font.hhea?.lineGap ?? font.lineGap)},`,
    `    regular: '${regular.advances.join(' ')}',`,
    `    bold: '${bold.advances.join(' ')}',`,
    '  },',
  ]
  return lines.join('\n')
})

writeFileSync(
  new URL('../src/text/font-metrics.ts', import.meta.url),
  `// Written by core/tools/write-font-metrics.mjs; do not edit. All numbers in thousandths of the font size.

/** The characters whose widths the table holds, in its order. */
export const MEASURED_CODES: readonly number[] = [
  ...Array.from({ length: 95 }, (_, i) => 0x20 + i),
  ...Array.from({ length: 96 }, (_, i) => 0xa0 + i),
  ...[0x2013, 0x2014, 0x2018, 0x2019, 0x201c, 0x201d, 0x2022, 0x2026, 0x20ac],
]

export const FONT_METRICS = {
${entries.join('\n')}
} as const
`,
)
