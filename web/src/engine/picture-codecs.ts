import decodeJpeg from '@jsquash/jpeg/decode.js'
import decodePng from '@jsquash/png/decode.js'
import resize from '@jsquash/resize'
import decodeWebp from '@jsquash/webp/decode.js'
import encodeWebp from '@jsquash/webp/encode.js'
import { WEBP_QUALITY, type PictureCodecs } from '@unimorph/core'

/** What reads and writes pictures, in a worker. */
export const pictureCodecs: PictureCodecs = {
  decode: {
    jpeg: (file) => decodeJpeg(file, { preserveOrientation: true }),
    png: (file) => decodePng(file),
    webp: (file) => decodeWebp(file),
  },
  resize: (pixels, size) => resize(pixels as ImageData, size),
  encode: (pixels) => encodeWebp(pixels as ImageData, { quality: WEBP_QUALITY }),
}
