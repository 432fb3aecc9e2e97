import { unzipSync, type UnzipFileInfo } from 'fflate'
import { notes } from '../notes/catalogue.js'
import { failed, type Outcome } from '../notes/note.js'
import { MAX_FILE_BYTES, type InputFile } from './input-file.js'

const MOST_FILES = 2000
const MOST_TOTAL_BYTES = 200_000_000
// Text shrinks to a tenth, seldom to a fiftieth; what shrinks more was made to.
const MOST_RATIO = 200
const RATIO_MATTERS_BYTES = 1_000_000

/** What machines put into archives beside the files of people. */
const isLitter = (name: string): boolean =>
  name.endsWith('/') || /(^|\/)(__MACOSX\/|\.)/.test(name) || /(^|\/)Thumbs\.db$/i.test(name)

/** A name that would lead out of the folder it is unpacked to. */
const isEscaping = (name: string): boolean =>
  /^([/\\]|[a-z]:)/i.test(name) || name.split(/[/\\]/).includes('..') || name.includes('\0')

export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4

/**
 * The files in a ZIP archive. Refuses archives whose names lead elsewhere, that hold too much, or that grow
 * out of proportion; nothing is unpacked before all of that is checked.
 */
export const unzip = ({ name, bytes }: InputFile): Outcome<readonly InputFile[]> => {
  const infos: UnzipFileInfo[] = []
  try {
    unzipSync(bytes, {
      filter: (info) => {
        infos.push(info)
        return false
      },
    })
  } catch {
    return failed([notes.zipBroken(name)])
  }
  const escaping = infos.find((info) => isEscaping(info.name))
  if (escaping) return failed([notes.zipPath(name, escaping.name)])
  const wanted = infos.filter((info) => !isLitter(info.name))
  if (wanted.length > MOST_FILES) return failed([notes.zipTooMany(name, MOST_FILES)])
  const total = wanted.reduce((sum, info) => sum + info.originalSize, 0)
  const tooLarge = wanted.find((info) => info.originalSize > MAX_FILE_BYTES)
  const swelling = wanted.find(
    (info) => info.originalSize > RATIO_MATTERS_BYTES && info.originalSize > info.size * MOST_RATIO,
  )
  if (total > MOST_TOTAL_BYTES || tooLarge || swelling) {
    return failed([notes.zipTooLarge(name, total, MOST_TOTAL_BYTES)])
  }
  try {
    const chosen = new Set(wanted.map((info) => info.name))
    const files = unzipSync(bytes, { filter: (info) => chosen.has(info.name) })
    return {
      ok: true,
      value: Object.entries(files).map(([path, content]) => ({ name: path, bytes: content })),
      notes: [],
    }
  } catch {
    return failed([notes.zipBroken(name)])
  }
}
