import { readFileSync } from 'node:fs'
import { create } from 'fontkit'
import { createMeasure } from '@unimorph/core'
import { FontRefused, listShippedFonts, readFont } from './index.js'

const bytesOf = (id: string): Uint8Array =>
  readFileSync(listShippedFonts().find((font) => font.id === id)!.path)

test('what comes with the program is what it says it is', () => {
  for (const { path, family, weight, italic } of listShippedFonts()) {
    const { face, format } = readFont(readFileSync(path))
    expect({ family: face.family, weight: face.weight, italic: face.italic, format }).toEqual({
      family,
      weight,
      italic,
      format: 'woff2',
    })
  }
})

test.each(['inter-400', 'inter-700', 'lora-400', 'roboto-400-italic', 'ibm-plex-sans-500'])(
  'texts in %s are as wide as its own tables make them, kerning included',
  (id) => {
    const bytes = bytesOf(id)
    const { face } = readFont(bytes)
    const measure = createMeasure([face])
    const font = create(bytes) as unknown as {
      unitsPerEm: number
      layout(text: string, features: Record<string, boolean>): { advanceWidth: number }
    }
    const off = { calt: false, ccmp: false, liga: false, clig: false, locl: false }
    for (const text of ['Tidewrack', 'AV To Ty. “Wave” 11:47', 'Low water, quiet shore – Übung']) {
      const exact = (font.layout(text, off).advanceWidth / font.unitsPerEm) * 16
      const style = {
        family: face.family,
        weight: Number(face.weight),
        italic: face.italic,
        size: 16,
        letterSpacing: 0,
        case: 'as-typed',
      } as const
      expect(measure.width(text, style)).toBeCloseTo(exact, 1)
    }
  },
)

test.each([
  ['text', Buffer.from('this is no font at all')],
  ['a cut file', Buffer.from(bytesOf('inter-400').subarray(0, 400))],
  ['a picture', Buffer.from('89504e470d0a1a0a', 'hex')],
])('%s is refused with a reason', (_what, bytes) => {
  expect(() => readFont(bytes)).toThrow(FontRefused)
})
