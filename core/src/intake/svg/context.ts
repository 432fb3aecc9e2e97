import type { Asset } from '../../design/design.js'
import { MAX_COORDINATE_PX } from '../../design/geometry.js'
import { notes } from '../../notes/catalogue.js'
import type { Note } from '../../notes/note.js'
import type { TextMeasure } from '../../text/measure.js'
import { AssetStore } from '../assets.js'
import type { Matrix } from './matrix.js'
import type { Style } from './style.js'
import { isElement, localName, type XmlElement } from './xml.js'

/** What reading one file collects and looks up. Lives for one call. */
export class SvgContext {
  readonly notes: Note[] = []
  readonly assets: AssetStore
  private readonly byId = new Map<string, XmlElement>()
  private readonly keys = new Map<string, number>()
  private readonly skipped = new Map<string, number>()
  layerCount = 0

  constructor(
    readonly file: string,
    root: XmlElement,
    readonly siblings: ReadonlyMap<string, Asset>,
    readonly measure: TextMeasure,
  ) {
    this.assets = new AssetStore()
    this.index(root)
  }

  private index(element: XmlElement): void {
    const id = element.attributes['id']
    if (id && !this.byId.has(id)) this.byId.set(id, element)
    for (const child of element.children) if (isElement(child)) this.index(child)
  }

  /** The element that `url(#id)` or `#id` points to. */
  findReference(reference: string | undefined): XmlElement | undefined {
    const id = reference && /^(?:url\(\s*["']?)?#([^"')]+)/.exec(reference.trim())?.[1]
    return id ? this.byId.get(decodeURIComponentSafely(id)) : undefined
  }

  /** A key no other layer of this file has; the same for the same file. */
  createKey(wanted: string): string {
    const base = slug(wanted)
    const used = this.keys.get(base) ?? 0
    this.keys.set(base, used + 1)
    if (used === 0) return base
    return this.createKey(`${base}-${used + 1}`)
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

/** What an element is drawn with: its transform to the screen, and the style it got so far. */
export type Surroundings = {
  readonly matrix: Matrix
  readonly style: Style
  /** Size of the nearest viewport in its own units, for percentages. */
  readonly viewport: { readonly width: number; readonly height: number }
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
export const slug = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 80) || 'layer'

/** Whether a number can be a place or size in a design. */
export const isDrawable = (...values: readonly number[]): boolean =>
  values.every((v) => Number.isFinite(v) && Math.abs(v) <= MAX_COORDINATE_PX)

/** A layer's name: what the file calls it, with exporters' escapes and counting suffixes taken off. */
export const nameOf = (element: XmlElement): string => {
  const { attributes } = element
  const label = Object.keys(attributes).find((a) => a.includes(':') && localName(a) === 'label')
  const raw = attributes['data-name'] ?? (label && attributes[label]) ?? attributes['id'] ?? ''
  return raw
    .replace(/_x([0-9a-f]{2,4})_/gi, (_, hex: string) => String.fromCharCode(parseInt(hex, 16)))
    .replace(/_/g, ' ')
    .replace(/ \d+$/, '')
    .trim()
    .slice(0, 200)
}
