import type { Font } from '../../fonts/face.js'
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

/** A CSS string: everything but letters, digits and a few signs is written as a code (CSS Syntax 3, 4.3.7). */
export const quoteCss = (text: string): string =>
  `"${text.replace(/[^\p{L}\p{N} _.-]/gu, (c) => `\\${c.codePointAt(0)!.toString(16)} `)}"`

/** The rules that make font files known to a page; `address` is what the style sheet calls their folder. */
export const fontRules = (files: readonly FontFile[], address: string): string[] =>
  files.map(({ font: { face, format }, file }) => {
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
  })
