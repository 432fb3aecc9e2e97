import type { Asset } from '../design/design.js'
import { extensionOf } from '../intake/assets.js'
import type { UiAsset } from './nodes.js'

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
    return this.add(data, stem, { kind: 'bytes', base64: data, extension: extensionOf(mime) })
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
