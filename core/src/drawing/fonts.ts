import type { Layer } from '../design/layer.js'
import { findFace, type Font } from '../text/face.js'
import { listFontNeeds } from '../fonts/needs.js'
import { element, escapeXml } from './svg-writer.js'

const MIMES = { woff2: 'font/woff2', woff: 'font/woff', ttf: 'font/ttf', otf: 'font/otf' } as const

const quote = (family: string): string => `'${family.replace(/['\\\n]/g, '')}'`

const rule = ({ face, format, base64 }: Font): string => {
  const weight = typeof face.weight === 'number' ? `${face.weight}` : face.weight.join(' ')
  return (
    `@font-face{font-family:${quote(face.family)};font-weight:${weight};` +
    `font-style:${face.italic ? 'italic' : 'normal'};src:url(data:${MIMES[format]};base64,${base64})}`
  )
}

/** A style element with the fonts that the texts of a layer are set in; empty when none of them is at hand. */
export const drawFontRules = (layer: Layer, fonts: readonly Font[]): string => {
  if (fonts.length === 0) return ''
  const used = new Set<Font>()
  for (const { family, styles } of listFontNeeds([layer])) {
    for (const { weight, italic } of styles) {
      const font = findFace(fonts, family, weight, italic)
      if (font) used.add(font)
    }
  }
  return used.size === 0 ? '' : element('style', {}, escapeXml([...used].map(rule).join('')))
}
