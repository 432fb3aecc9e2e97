import type { Asset, Design } from '../design/design.js'
import { decodeBase64, encodeBase64 } from '../pictures/base64.js'
import { readPictureSize } from '../pictures/picture-size.js'

/** What only a decoder can tell of a picture; the host has one, `core` has not. */
export type Look = {
  readonly transparent: boolean
  /** `#rrggbb` */
  readonly color: string
}
export type LookAt = (asset: Asset) => Promise<Look | undefined>

/** Makes an SVG smaller without changing how it looks, and takes out what could run or load anything. */
export type OptimiseSvg = (text: string) => string

const isSvg = (asset: Asset): boolean => asset.mime === 'image/svg+xml'

const optimise = (asset: Asset, optimiseSvg: OptimiseSvg): Asset => {
  const text = new TextDecoder().decode(decodeBase64(asset.data))
  const smaller = optimiseSvg(text)
  const bytes = new TextEncoder().encode(smaller)
  return { ...asset, data: encodeBase64(bytes) }
}

/** Completes what is known of each picture: its size, whether it is transparent, which colour most of it has. */
export const finishPictures = async (
  design: Design,
  lookAt: LookAt,
  optimiseSvg?: OptimiseSvg,
): Promise<Design> => {
  const assets: Record<string, Asset> = {}
  for (const [id, asset] of Object.entries(design.assets)) {
    const smaller = optimiseSvg && isSvg(asset) ? optimise(asset, optimiseSvg) : asset
    const look = asset.color === undefined ? await lookAt(smaller) : undefined
    const size = asset.width === undefined ? readPictureSize(smaller.data) : undefined
    assets[id] = { ...smaller, ...size, ...look }
  }
  return { ...design, assets }
}
