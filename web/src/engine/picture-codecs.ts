import decodeJpeg from '@jsquash/jpeg/decode.js'
import decodePng from '@jsquash/png/decode.js'
import resize from '@jsquash/resize'
import decodeWebp from '@jsquash/webp/decode.js'
import encodeWebp from '@jsquash/webp/encode.js'
import type { PictureCodecs } from '@unimorph/core'

/** What reads and writes pictures, in a worker. */
export const pictureCodecs: PictureCodecs = {
  decodeJpeg,
  decodePng,
  decodeWebp,
  encodeWebp: (pixels, options) => encodeWebp(pixels as ImageData, options),
  resize: (pixels, size) => resize(pixels as ImageData, size),
}
