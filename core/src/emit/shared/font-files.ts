import type { Font } from '../../text/face.js'
import { fallbackRules } from './fallback-faces.js'
import { quoteCss } from './quote-css.js'
import type { EmittedFile } from './emitted-file.js'
import { toKebab, UniqueNames } from '../../text/names.js'

export type FontFile = { readonly font: Font; readonly file: string; readonly emitted: EmittedFile }

/** Gives every font a readable, unique file in `folder`: `inter-600.woff2`. */
export const buildFontFiles = (fonts: readonly Font[], folder: string): readonly FontFile[] => {
  const names = new UniqueNames('-')
  return fonts.map((font) => {
    const { family, weight, italic } = font.face
    const weights = typeof weight === 'number' ? `${weight}` : weight.join('-')
    const stem = names.take(toKebab(`${family} ${weights}${italic ? ' italic' : ''}`, 'font'))
    const file = `${stem}.${font.format}`
    return {
      font,
      file,
      emitted: {
        path: `${folder}/${file}`,
        content: { kind: 'bytes', base64: font.base64 },
        spans: [],
      },
    }
  })
}

const FORMATS = { woff2: 'woff2', woff: 'woff', ttf: 'truetype', otf: 'opentype' } as const

/**
 * The rules that make font files known to a page, and what takes their place until they are there; `address` is what the style
 * sheet calls their folder.
 */
export const fontRules = (files: readonly FontFile[], address: string): string[] => [
  ...files.map(({ font: { face, format }, file }) => {
    const weight = typeof face.weight === 'number' ? `${face.weight}` : face.weight.join(' ')
    return [
      '@font-face {',
      `  font-family: ${quoteCss(face.family)};`,
      `  font-style: ${face.italic ? 'italic' : 'normal'};`,
      `  font-weight: ${weight};`,
      '  font-display: swap;',
      `  src: url("${address}/${file}") format("${FORMATS[format]}");`,
      '}',
    ].join('\n')
  }),
  ...fallbackRules(files.map(({ font }) => font.face)),
]
