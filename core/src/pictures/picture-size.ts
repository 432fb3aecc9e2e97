import { imageSize } from 'image-size'
import { decodeBase64 } from './base64.js'

// Enough for the header of every kind, unless a camera put a large preview before it.
const HEADER_BASE64 = 87_400

/** Size of a picture in px, read from its header; undefined when it has none. */
export const readPictureSize = (
  base64: string,
): { readonly width: number; readonly height: number } | undefined => {
  for (const part of [base64.slice(0, HEADER_BASE64), base64]) {
    try {
      const { width, height, orientation = 1 } = imageSize(decodeBase64(part))
      if (!(width > 0 && height > 0)) continue
      // Cameras turn pictures by a mark (Exif 2.3, tag 0x0112); from 5 on they lie on their side.
      return orientation >= 5 ? { width: height, height: width } : { width, height }
    } catch {
      continue
    }
  }
  return undefined
}
