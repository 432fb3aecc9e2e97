import type { EmittedFile } from '../emit/shared/emitted-file.js'
import { decodeBase64, encodeBase64 } from '../pictures/base64.js'

/** Pixels of a picture, four bytes each: red, green, blue, opacity. */
export type Pixels = {
  readonly data: Uint8ClampedArray
  readonly width: number
  readonly height: number
}

/** Of 100: so much that no difference is seen, and not more. */
const WEBP_QUALITY = 82

/** What reads and writes pictures; the same code everywhere, loaded in the way of where it runs. */
export type PictureCodecs = {
  decodeJpeg(file: ArrayBuffer, options: { readonly preserveOrientation: true }): Promise<Pixels>
  decodePng(file: ArrayBuffer): Promise<Pixels>
  decodeWebp(file: ArrayBuffer): Promise<Pixels>
  encodeWebp(pixels: Pixels, options: { readonly quality: number }): Promise<ArrayBuffer>
  resize(pixels: Pixels, size: { readonly width: number; readonly height: number }): Promise<Pixels>
}

/** The pixels of a picture, whose kind the first bytes of its file tell; a picture of another kind is an error. */
const decode = async (base64: string, codecs: PictureCodecs): Promise<Pixels> => {
  const bytes = decodeBase64(base64)
  const begins = (...signs: readonly number[]): boolean =>
    signs.every((sign, i) => bytes[i] === sign)
  const file = bytes.slice().buffer
  if (begins(0x89, 0x50, 0x4e, 0x47)) return codecs.decodePng(file)
  if (begins(0xff, 0xd8)) return codecs.decodeJpeg(file, { preserveOrientation: true })
  if (begins(0x52, 0x49, 0x46, 0x46)) return codecs.decodeWebp(file)
  throw new Error('The picture is no JPEG, PNG or WebP.')
}

const scale = async (pixels: Pixels, width: number, codecs: PictureCodecs): Promise<string> => {
  const height = Math.max(1, Math.round((pixels.height * width) / pixels.width))
  const scaled = pixels.width === width ? pixels : await codecs.resize(pixels, { width, height })
  return encodeBase64(new Uint8Array(await codecs.encodeWebp(scaled, { quality: WEBP_QUALITY })))
}

/**
 * Files with the sizes of pictures made, one after the other. A picture that cannot be read stays as it is: browsers look at
 * what a file holds, and not at its name. `load`: asked for only where there is something to be made.
 */
export const scalePictures = async (
  files: readonly EmittedFile[],
  load: () => Promise<PictureCodecs>,
): Promise<readonly EmittedFile[]> => {
  const made: EmittedFile[] = []
  // The sizes of a picture follow each other, and are made of what was decoded once.
  let last: { readonly base64: string; readonly pixels: Promise<Pixels> } | undefined
  for (const file of files) {
    const { content } = file
    if (content.kind !== 'bytes' || content.scaledTo === undefined) {
      made.push(file)
      continue
    }
    const { base64, scaledTo } = content
    const codecs = await load()
    if (last?.base64 !== base64) last = { base64, pixels: decode(base64, codecs) }
    const scaled = await last.pixels
      .then((pixels) => scale(pixels, scaledTo, codecs))
      .catch(() => base64)
    made.push({ ...file, content: { kind: 'bytes', base64: scaled } })
  }
  return made
}
