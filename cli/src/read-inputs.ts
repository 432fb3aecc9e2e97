import { existsSync, readFileSync, statSync } from 'node:fs'
import { basename, dirname, relative, resolve } from 'node:path'
import { MAX_FILE_BYTES, type InputFile } from '@unimorph/core'
import { describeSystemError, Failure } from './failure.js'

const HREF = /\bhref\s*=\s*["']([^"'#:]+)["']/g
const PICTURE = /\.(png|jpe?g|gif|webp|avif)$/i

const readBytes = (path: string): Uint8Array => {
  try {
    if (statSync(path).isDirectory())
      throw new Failure(`${path}: it is a folder; name the files in it.`)
    return readFileSync(path)
  } catch (error) {
    if (error instanceof Failure) throw error
    throw new Failure(`${path}: cannot be read, ${describeSystemError(error)}.`)
  }
}

/** Pictures an SVG shows from beside it. None outside its folder is read: a design must not choose files. */
const findPictures = (path: string, bytes: Uint8Array): string[] => {
  if (!/\.svg$/i.test(path) || bytes.length > MAX_FILE_BYTES) return []
  const folder = resolve(dirname(path))
  return [...Buffer.from(bytes).toString('utf8').matchAll(HREF)].flatMap(([, href]) => {
    if (!PICTURE.test(href!)) return []
    const picture = resolve(folder, href!)
    const isInside = !relative(folder, picture).startsWith('..')
    return isInside && existsSync(picture) ? [picture] : []
  })
}

/** Reads the named files and the pictures beside them. */
export const readInputs = (paths: readonly string[]): InputFile[] => {
  const pictures = new Map<string, InputFile>()
  const files = paths.map((path): InputFile => {
    const bytes = readBytes(path)
    for (const picture of findPictures(path, bytes)) {
      pictures.set(picture, { name: basename(picture), bytes: readBytes(picture) })
    }
    return { name: basename(path), bytes }
  })
  return [...files, ...pictures.values()]
}
