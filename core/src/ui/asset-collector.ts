import type { Asset } from '../design/design.js'
import { extensionOf } from '../pictures/assets.js'
import { readPictureSize } from '../pictures/picture-size.js'
import type { UiAsset } from './nodes.js'

/** The size of a picture of pixels: as it was found when it came in, or else as its file says it. */
const sizeOf = ({ mime, data, width, height }: Asset): Size | undefined => {
  if (mime === 'image/svg+xml') return undefined
  const found =
    width !== undefined && height !== undefined ? { width, height } : readPictureSize(data)
  return found && { width: Math.round(found.width), height: Math.round(found.height) }
}

type Size = { readonly width: number; readonly height: number }

/** Gathers the files the pages show, each content once. Lives for one conversion. */
export class AssetCollector {
  private readonly byContent = new Map<string, UiAsset>()

  constructor(readonly pictures: Readonly<Record<string, Asset>>) {}

  get assets(): readonly UiAsset[] {
    return [...this.byContent.values()]
  }

  /** Returns the id of the delivered file for a picture of the design. */
  addPicture(asset: string): string {
    const { name, mime, data } = this.pictures[asset]!
    const stem = name.replace(/\.[^.]*$/, '')
    const size = sizeOf(this.pictures[asset]!)
    return this.add(data, stem, {
      kind: 'bytes',
      base64: data,
      extension: extensionOf(mime),
      ...(size ? { size } : {}),
    })
  }

  addDrawing(text: string, name: string): string {
    return this.add(text, name, { kind: 'svg', text })
  }

  private add(key: string, name: string, content: UiAsset['content']): string {
    const known = this.byContent.get(key)
    if (known) return known.id
    const asset: UiAsset = { id: `asset-${this.byContent.size + 1}`, name, content }
    this.byContent.set(key, asset)
    return asset.id
  }
}
