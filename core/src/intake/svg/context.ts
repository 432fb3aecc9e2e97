import type { Asset } from '../../design/design.js'
import type { FilterReading } from './effects.js'
import { MAX_COORDINATE_PX } from '../../design/geometry.js'
import { notes } from '../../notes/catalogue.js'
import type { Note } from '../../notes/note.js'
import type { TextMeasure } from '../../text/measure.js'
import { AssetStore } from '../../pictures/assets.js'
import type { Matrix } from './matrix.js'
import { resolveStyle, withStyledGeometry, type Style } from './style.js'
import { StyleSheet } from './style-sheet.js'
import { isElement, localName, textOf, type XmlElement } from './xml.js'

/** What reading one file collects and looks up. Lives for one call. */
export class SvgContext {
  readonly notes: Note[] = []
  readonly assets: AssetStore
  private readonly byId = new Map<string, XmlElement>()
  private readonly parents = new Map<XmlElement, XmlElement>()
  private readonly sheet = new StyleSheet()
  private readonly keys = new Map<string, number>()
  /** Effects of filters by the scale they were read at: one filter often serves thousands of layers. */
  readonly effects = new Map<string, FilterReading>()
  private readonly skipped = new Map<string, number>()
  layerCount = 0

  constructor(
    readonly file: string,
    root: XmlElement,
    readonly siblings: ReadonlyMap<string, Asset>,
    readonly measure: TextMeasure,
  ) {
    this.assets = new AssetStore()
    const skipped = this.index(root)
    if (skipped > 0) this.notes.push(notes.rulesSkipped(file, skipped))
  }

  /** Finds ids and style sheets. Returns how many style rules were not understood. */
  private index(element: XmlElement): number {
    const id = element.attributes['id']
    if (id && !this.byId.has(id)) this.byId.set(id, element)
    let skipped = localName(element.name) === 'style' ? this.sheet.add(textOf(element)) : 0
    for (const child of element.children) {
      if (!isElement(child)) continue
      this.parents.set(child, element)
      skipped += this.index(child)
    }
    return skipped
  }

  private readonly parentOf = (element: XmlElement): XmlElement | undefined =>
    this.parents.get(element)

  /** The style of an element that inherits `parent`. */
  resolveStyle(element: XmlElement, parent: Style): Style {
    return resolveStyle(element, parent, this.sheet, this.parentOf)
  }

  /** The element with geometry that its style gives it written as attributes. */
  withStyledGeometry(element: XmlElement): XmlElement {
    return withStyledGeometry(element, this.sheet, this.parentOf)
  }

  /** The element that `url(#id)` or `#id` points to. */
  findReference(reference: string | undefined): XmlElement | undefined {
    const id = reference && /^(?:url\(\s*["']?)?#([^"')]+)/.exec(reference.trim())?.[1]
    return id ? this.byId.get(decodeURIComponentSafely(id)) : undefined
  }

  /** A key no other layer of this file has; the same for the same file. */
  createKey(wanted: string): string {
    const base = slug(wanted)
    let count = (this.keys.get(base) ?? 0) + 1
    let key = base
    if (count > 1) {
      while (this.keys.has((key = `${base}-${count}`))) count++
      this.keys.set(key, 1)
    }
    this.keys.set(base, count)
    return key
  }

  countSkipped(name: string): void {
    this.skipped.set(name, (this.skipped.get(name) ?? 0) + 1)
  }

  /** Adds the notes about whole kinds of elements; called once at the end. */
  finishNotes(): readonly Note[] {
    for (const [name, count] of this.skipped) {
      this.notes.push(notes.elementSkipped(this.file, name, count))
    }
    return this.notes
  }
}

/** What an element is drawn in: the transform to the screen, and the style it inherits. */
export type Surroundings = {
  readonly matrix: Matrix
  /** What elements here inherit. */
  readonly style: Style
  /** Size of the nearest viewport in its own units, for percentages. */
  readonly viewport: { readonly width: number; readonly height: number }
  /** Only outlines matter here, as in a `clipPath`: paint, strokes and opacity do not. */
  readonly isOutline?: boolean
  /** Elements being expanded by `use`, to stop circles. */
  readonly expanding: readonly XmlElement[]
}

const decodeURIComponentSafely = (text: string): string => {
  try {
    return decodeURIComponent(text)
  } catch {
    return text
  }
}

/** `App Header/Logo` → `app-header-logo`; never empty. */
export const slug = (text: string): string => {
  const dashed = IS_ASCII.test(text)
    ? text.toLowerCase().replace(/[^a-z0-9]+/g, '-')
    : text
        .normalize('NFKD')
        .replace(/\p{M}/gu, '')
        .toLowerCase()
        .replace(/[^\p{L}\p{N}]+/gu, '-')
  return dashed.replace(/^-|-$/g, '').slice(0, 80) || 'layer'
}

const IS_ASCII = /^[\x20-\x7e]*$/

/** Whether a number can be a place or size in a design. */
export const isDrawable = (...values: readonly number[]): boolean =>
  values.every((v) => Number.isFinite(v) && Math.abs(v) <= MAX_COORDINATE_PX)

/** `Card_x5F_big_12_` → `Card_big`: exporters' escapes decoded, counting suffixes and underscores taken off. */
const cleanId = (id: string): string =>
  id
    .replace(/_x([0-9a-f]{2,4})_/gi, (_, hex: string) => `\u0000${parseInt(hex, 16)}\u0000`)
    .replace(/(?:[_ ]+\d+)+_*$/, '')
    .replace(/_/g, ' ')
    .replace(/\u0000(\d+)\u0000/g, (_, code: string) => String.fromCharCode(Number(code)))

/** A layer's name: its label or title if the file has one for it, else what its id says. */
export const nameOf = (element: XmlElement): string => {
  const { attributes } = element
  const label = Object.keys(attributes).find(
    (a) => a === 'data-name' || (a.includes(':') && /^(label|id)$/.test(localName(a))),
  )
  const title = element.children.find((c) => isElement(c) && localName(c.name) === 'title')
  const given = (label && attributes[label]) || (title && isElement(title) && textOf(title))
  const raw = given ? given.replace(/ \d+$/, '') : cleanId(attributes['id'] ?? '')
  // What is left of an id like `_12` says nothing.
  return /[\p{L}\p{N}]/u.test(raw) ? raw.trim().slice(0, 200) : ''
}
