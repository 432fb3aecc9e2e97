import type { EmittedFile } from '../emit/shared/emitted-file.js'
import { decodeBase64, encodeBase64 } from '../intake/base64.js'

/** Pixels of a picture, four bytes each: red, green, blue, opacity. */
export type Pixels = {
  readonly data: Uint8ClampedArray
  readonly width: number
  readonly height: number
}

/** Of 100: so much that no difference is seen, and not more. */
export const WEBP_QUALITY = 82

/** What reads and writes pictures; the same code everywhere, loaded in the way of where it runs. */
export type PictureCodecs = {
  readonly decode: Readonly<Record<'jpeg' | 'png' | 'webp', (file: ArrayBuffer) => Promise<Pixels>>>
  resize(pixels: Pixels, size: { readonly width: number; readonly height: number }): Promise<Pixels>
  /** Writes WebP. */
  encode(pixels: Pixels): Promise<ArrayBuffer>
}

/** The kind of a picture, by the first bytes of its file. */
const kindOf = (bytes: Uint8Array): keyof PictureCodecs['decode'] | undefined => {
  const begins = (...signs: readonly number[]): boolean =>
    signs.every((sign, i) => bytes[i] === sign)
  if (begins(0x89, 0x50, 0x4e, 0x47)) return 'png'
  if (begins(0xff, 0xd8)) return 'jpeg'
  return begins(0x52, 0x49, 0x46, 0x46) ? 'webp' : undefined
}

const scale = async (
  base64: string,
  width: number,
  { decode, resize, encode }: PictureCodecs,
): Promise<string> => {
  const bytes = decodeBase64(base64)
  const kind = kindOf(bytes)
  if (!kind) return base64
  const pixels = await decode[kind](bytes.slice().buffer)
  const height = Math.max(1, Math.round((pixels.height * width) / pixels.width))
  const scaled = pixels.width === width ? pixels : await resize(pixels, { width, height })
  return encodeBase64(new Uint8Array(await encode(scaled)))
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
  for (const file of files) {
    const { content } = file
    if (content.kind !== 'bytes' || content.scaledTo === undefined) {
      made.push(file)
      continue
    }
    const { base64, scaledTo } = content
    const scaled = await scale(base64, scaledTo, await load()).catch(() => base64)
    made.push({ ...file, content: { kind: 'bytes', base64: scaled } })
  }
  return made
}
