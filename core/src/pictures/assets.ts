import type { Asset } from '../design/design.js'
import { freeKey } from '../design/free-key.js'
import { readPictureSize } from './picture-size.js'

/** Collects pictures, each stored once by its content. Lives for one import. */
export class AssetStore {
  private readonly idByData = new Map<string, string>()
  readonly assets: Record<string, Asset> = {}

  /** Returns the id under which a picture is kept. */
  add(asset: Asset): string {
    const known = this.idByData.get(asset.data)
    if (known) return known
    const dot = asset.name.lastIndexOf('.')
    const stem = dot > 0 ? asset.name.slice(0, dot) : asset.name
    const base = stem.replace(/[^a-zA-Z0-9_-]+/g, '-').replace(/^-+|-+$/g, '') || 'picture'
    const id = freeKey(base, { has: (key) => key in this.assets })
    this.assets[id] =
      asset.width === undefined ? { ...asset, ...readPictureSize(asset.data) } : asset
    this.idByData.set(asset.data, id)
    return id
  }
}

const MIME_BY_EXTENSION: Readonly<Record<string, Asset['mime']>> = {
  avif: 'image/avif',
  gif: 'image/gif',
  jpeg: 'image/jpeg',
  jpg: 'image/jpeg',
  png: 'image/png',
  svg: 'image/svg+xml',
  webp: 'image/webp',
}
const EXTENSION_BY_MIME: Readonly<Record<Asset['mime'], string>> = {
  'image/avif': 'avif',
  'image/gif': 'gif',
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/svg+xml': 'svg',
  'image/webp': 'webp',
}

/** The kind of picture a file name promises. */
export const mimeOfName = (name: string): Asset['mime'] | undefined =>
  MIME_BY_EXTENSION[name.slice(name.lastIndexOf('.') + 1).toLowerCase()]

export const extensionOf = (mime: Asset['mime']): string => EXTENSION_BY_MIME[mime]

/** Checks a MIME type from a file against the kinds that can be used. */
export const readMime = (mime: string): Asset['mime'] | undefined =>
  mime === 'image/jpg'
    ? 'image/jpeg'
    : mime in EXTENSION_BY_MIME
      ? (mime as Asset['mime'])
      : undefined
