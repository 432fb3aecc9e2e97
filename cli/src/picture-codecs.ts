// Codecs speak of pictures and modules as browsers do.
/// <reference lib="dom" />
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import decodeJpeg, { init as initJpeg } from '@jsquash/jpeg/decode.js'
import decodePng, { init as initPng } from '@jsquash/png/decode.js'
import resize, { initResize } from '@jsquash/resize'
import decodeWebp, { init as initDecodeWebp } from '@jsquash/webp/decode.js'
import encodeWebp, { init as initEncodeWebp } from '@jsquash/webp/encode.js'
import { simd } from 'wasm-feature-detect'
import type { PictureCodecs } from '@unimorph/core'

const require = createRequire(import.meta.url)

/** The codecs' own loaders ask a server for their modules; here they are files. */
const compile = async (path: string): Promise<WebAssembly.Module> =>
  WebAssembly.compile(await readFile(require.resolve(path)))

const load = async (): Promise<PictureCodecs> => {
  const encoder = (await simd()) ? 'webp_enc_simd' : 'webp_enc'
  await initPng(await compile('@jsquash/png/codec/pkg/squoosh_png_bg.wasm'))
  await initJpeg(await compile('@jsquash/jpeg/codec/dec/mozjpeg_dec.wasm'))
  await initDecodeWebp(await compile('@jsquash/webp/codec/dec/webp_dec.wasm'))
  await initEncodeWebp(await compile(`@jsquash/webp/codec/enc/${encoder}.wasm`))
  await initResize(await compile('@jsquash/resize/lib/resize/pkg/squoosh_resize_bg.wasm'))
  return {
    decodeJpeg,
    decodePng,
    decodeWebp,
    encodeWebp: (pixels, options) => encodeWebp(pixels as ImageData, options),
    resize: (pixels, size) => resize(pixels as ImageData, size),
  }
}

let loaded: Promise<PictureCodecs> | undefined

/** What reads and writes pictures, in Node. */
export const pictureCodecs = (): Promise<PictureCodecs> => (loaded ??= load())
