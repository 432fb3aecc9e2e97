import { create, type Font as Parsed } from 'fontkit'
import type { FontFace, FontFormat } from '@unimorph/core'
import { readKerning } from './kerning.js'

/** Largest font file that is read. */
export const MAX_FONT_BYTES = 10_000_000

/** Why a file cannot be used as a font, in words for people. */
export class FontRefused extends Error {}

const SIGNATURES: readonly (readonly [string, FontFormat])[] = [
  ['wOF2', 'woff2'],
  ['wOFF', 'woff'],
  ['OTTO', 'otf'],
  ['true', 'ttf'],
  ['\0\u0001\0\0', 'ttf'],
]

/** What kind of font file it is, by its first bytes and not by its name. */
const formatOf = (bytes: Uint8Array): FontFormat | undefined => {
  const start = String.fromCharCode(...bytes.subarray(0, 4))
  return SIGNATURES.find(([signature]) => signature === start)?.[1]
}

// Latin with its extensions, punctuation and currency: the characters kerning is read for.
const isKerned = (code: number): boolean =>
  (code >= 0x20 && code <= 0x17f) || (code >= 0x2010 && code <= 0x203a) || code === 0x20ac

const MOST_CHARACTERS = 20_000

const parse = (bytes: Uint8Array): Parsed => {
  const font = create(bytes)
  // A collection holds several; the first stands for it.
  return 'fonts' in font ? font.fonts[0]! : font
}

const familyOf = ({ name, familyName }: Parsed): string => {
  const preferred = name?.records['preferredFamily']
  return (preferred?.['en'] ?? Object.values(preferred ?? {})[0] ?? familyName).trim()
}

const readFace = (bytes: Uint8Array): FontFace => {
  const font = parse(bytes)
  const family = familyOf(font)
  if (!family) throw new FontRefused('it has no family name')
  const unit = 1000 / font.unitsPerEm
  const round = (value: number): number => Math.round(value * unit * 100) / 100
  const codes = font.characterSet.slice(0, MOST_CHARACTERS)
  const kerning = readKerning(font, codes.filter(isKerned))
  const axis = font.variationAxes['wght']
  const selection = font['OS/2']?.fsSelection
  return {
    family,
    weight: axis ? [axis.min, axis.max] : (font['OS/2']?.usWeightClass ?? 400),
    italic: selection?.italic === true || selection?.oblique === true || font.italicAngle !== 0,
    ascent: round(font.ascent),
    descent: round(-font.descent),
    lineGap: round(font.lineGap),
    advances: Object.fromEntries(
      codes.map((code) => [code, round(font.glyphForCodePoint(code).advanceWidth)]),
    ),
    kerning: Object.fromEntries(Object.entries(kerning).map(([k, v]) => [k, round(v)])),
  }
}

/** Reads a WOFF2, WOFF, TTF or OTF file: what it is called and what layout needs to know of it. */
export const readFont = (bytes: Uint8Array): { face: FontFace; format: FontFormat } => {
  if (bytes.length > MAX_FONT_BYTES) {
    throw new FontRefused(`it has more than ${MAX_FONT_BYTES / 1_000_000} MB`)
  }
  const format = formatOf(bytes)
  if (!format) throw new FontRefused('it is no WOFF2, WOFF, TTF or OTF file')
  try {
    return { format, face: readFace(bytes) }
  } catch (error) {
    if (error instanceof FontRefused) throw error
    // The parser reads tables when they are needed; a broken one shows only then.
    throw new FontRefused('it is damaged')
  }
}
