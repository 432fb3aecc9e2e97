import { decodeBase64, type Asset, type Look } from '@unimorph/core'

const SIDE = 48
// Colours this close count as one when the most common is looked for: four bits a channel.
const SHIFT = 4

/** Decodes a picture, small, and tells whether it is transparent and which colour most of it has. */
export const lookAtPicture = async (asset: Asset): Promise<Look | undefined> => {
  // A worker cannot decode SVG.
  if (asset.mime === 'image/svg+xml') return undefined
  try {
    const blob = new Blob([decodeBase64(asset.data) as BlobPart], { type: asset.mime })
    const bitmap = await createImageBitmap(blob, { resizeWidth: SIDE, resizeHeight: SIDE })
    const context = new OffscreenCanvas(SIDE, SIDE).getContext('2d')!
    context.drawImage(bitmap, 0, 0)
    bitmap.close()
    const { data } = context.getImageData(0, 0, SIDE, SIDE)
    return summarisePixels(data)
  } catch {
    return undefined
  }
}

/** RGBA bytes → the most common colour and whether any pixel lets something through. */
export const summarisePixels = (data: Uint8ClampedArray): Look => {
  const bins = new Map<number, { count: number; red: number; green: number; blue: number }>()
  let transparent = false
  for (let i = 0; i < data.length; i += 4) {
    const [red, green, blue, alpha] = [data[i]!, data[i + 1]!, data[i + 2]!, data[i + 3]!]
    if (alpha < 250) transparent = true
    if (alpha < 128) continue
    const key = ((red >> SHIFT) << 8) | ((green >> SHIFT) << 4) | (blue >> SHIFT)
    const bin = bins.get(key) ?? { count: 0, red: 0, green: 0, blue: 0 }
    bins.set(key, bin)
    bin.count++
    bin.red += red
    bin.green += green
    bin.blue += blue
  }
  let best = { count: 0, red: 0, green: 0, blue: 0 }
  for (const bin of bins.values()) if (bin.count > best.count) best = bin
  const hex = (sum: number): string =>
    Math.round(sum / Math.max(1, best.count))
      .toString(16)
      .padStart(2, '0')
  return { transparent, color: `#${hex(best.red)}${hex(best.green)}${hex(best.blue)}` }
}
