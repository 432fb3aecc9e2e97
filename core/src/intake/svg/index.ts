import type { Asset, Design } from '../../design/design.js'
import { DESIGN_VERSION } from '../../design/design.js'
import { MAX_LAYERS } from '../../design/read-design.js'
import { notes } from '../../notes/catalogue.js'
import { failed, type Outcome } from '../../notes/note.js'
import type { TextMeasure } from '../../text/measure.js'
import { isDrawable, nameOf, slug, SvgContext } from './context.js'
import { adopt, createFrame, TooManyLayers } from './base.js'
import { readElement } from './elements.js'
import { joinStrokes } from './join-strokes.js'
import { findOutlinedText } from '../../text/outlined-text.js'
import { inheritable, parseLength } from './style.js'
import { fitViewBox, parseViewBox } from './viewport.js'
import { isElement, localName, parseXml, textOf, type XmlElement } from './xml.js'

// What a browser takes for an SVG that states no size (CSS 2.1, 10.3.2).
const DEFAULT_SIZE = { width: 300, height: 150 }

const readSize = (root: XmlElement, viewBox: readonly number[] | undefined) => {
  const fallback = viewBox ? { width: viewBox[2]!, height: viewBox[3]! } : DEFAULT_SIZE
  const length = (name: 'width' | 'height'): number => {
    const stated = root.attributes[name]
    return stated === undefined ? fallback[name] : parseLength(stated, fallback[name])
  }
  return { width: length('width'), height: length('height') }
}

/**
 * Takes the text of an SVG file, returns a design with one screen: a frame of the size of the drawing
 * with every drawn element as a layer. `siblings` are pictures that came along, by file name.
 * Runs nothing and fetches nothing; what could not be read is in the notes.
 */
export const readSvg = (
  text: string,
  file: string,
  siblings: ReadonlyMap<string, Asset>,
  measure: TextMeasure,
): Outcome<Design> => {
  const parsed = parseXml(text, file)
  if (!parsed.ok) return parsed
  const root = parsed.value
  if (localName(root.name) !== 'svg') return failed([notes.notSvg(file, root.name)])

  const viewBox = parseViewBox(root.attributes['viewBox'])
  const size = readSize(root, viewBox)
  if (!isDrawable(size.width, size.height) || size.width <= 0 || size.height <= 0) {
    const stated = `${root.attributes['width'] ?? ''} x ${root.attributes['height'] ?? ''}`
    return failed([notes.numberRefused(file, 'svg', stated)])
  }
  const context = new SvgContext(file, root, siblings, measure)
  const stem = file.replace(/\.svg$/i, '')
  const screenKey = context.createKey(slug(stem))
  const style = inheritable(context.resolveStyle(root, {}))
  const matrix = fitViewBox(viewBox, size, root.attributes['preserveAspectRatio'])
  const viewport = viewBox ? { width: viewBox[2]!, height: viewBox[3]! } : size
  const screenBox = { x: 0, y: 0, ...size }
  try {
    const around = { matrix, style, viewport, expanding: [] }
    const drawn = joinStrokes(
      root.children.filter(isElement).flatMap((c) => readElement(context, c, around) ?? []),
    )
    if (drawn.length === 0) {
      return failed([...context.finishNotes(), notes.nothingDrawn(file)])
    }
    const title = root.children.filter(isElement).find((c) => localName(c.name) === 'title')
    const name = (title && textOf(title)) || nameOf(root) || stem.replace(/[-_]+/g, ' ')
    const design: Design = {
      format: 'unimorph-design',
      version: DESIGN_VERSION,
      name,
      modes: ['default'],
      tokens: [],
      components: [],
      assets: context.assets.assets,
      artboards: [],
      screens: [
        createFrame({
          key: screenKey,
          name,
          box: screenBox,
          visible: true,
          radius: 0,
          children: adopt(drawn, screenBox),
        }),
      ],
    }
    const outlined = findOutlinedText(design.screens[0]!)
    if (outlined[0]) context.notes.push(notes.textAsOutlines(file, outlined[0], outlined.length))
    return { ok: true, value: design, notes: context.finishNotes() }
  } catch (error) {
    if (!(error instanceof TooManyLayers)) throw error
    return failed([notes.tooManyLayers(file, MAX_LAYERS)])
  }
}
