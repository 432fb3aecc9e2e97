import { readDesign } from '../design/read-design.js'
import type { Design } from '../design/design.js'
import { readFiles, type Intake } from '../intake/index.js'

type Json = Record<string, unknown>

const box = (x = 0, y = 0, width = 100, height = 40) => ({ x, y, width, height })

/** Layers as a person writes them: only what matters to the test. */
export const layer = (type: string, key: string, rest: Json = {}): Json => ({
  type,
  key,
  name: key,
  box: box(),
  ...rest,
})

export const text = (key: string, content: string, rest: Json = {}): Json =>
  layer('text', key, {
    style: { family: 'Inter', size: 16, lineHeight: 24, color: '#112233' },
    runs: [{ text: content }],
    sizing: { width: 'fit', height: 'fit' },
    ...rest,
  })

export const frame = (key: string, children: Json[], rest: Json = {}): Json =>
  layer('frame', key, { box: box(0, 0, 400, 300), children, ...rest })

export const document = (screens: Json[], rest: Json = {}): Json => ({
  format: 'unimorph-design',
  version: 1,
  name: 'Test',
  screens,
  ...rest,
})

/** A checked design; fails the test when it is not one. */
export const design = (screens: Json[], rest: Json = {}): Design => {
  const read = readDesign(document(screens, rest))
  if (!read.ok) throw new Error(read.notes.map((n) => n.message).join('\n'))
  return read.value
}

export const bytes = (content: string): Uint8Array => Buffer.from(content, 'utf8')

export const readSvgText = (svg: string, name = 'test.svg'): Intake =>
  readFiles([{ name, bytes: bytes(svg) }])

/** The one screen's layers of an SVG given by what stands inside its `<svg>`. */
export const svgLayers = (inside: string, attributes = 'width="200" height="100"') => {
  const intake = readSvgText(
    `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inside}</svg>`,
  )
  if (!intake.design) throw new Error(intake.notes.map((n) => n.message).join('\n'))
  return { layers: intake.design.screens[0]!.children, notes: intake.notes, design: intake.design }
}
