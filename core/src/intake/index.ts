import type { Asset, Design } from '../design/design.js'
import { readDesign } from '../design/read-design.js'
import { notes } from '../notes/catalogue.js'
import { failed, type Note, type Outcome } from '../notes/note.js'
import { createTableMeasure, type TextMeasure } from '../text/measure.js'
import { mimeOfName } from './assets.js'
import { encodeBase64 } from './base64.js'
import { findConflicts, joinDesigns, prefixNames } from './join-designs.js'
import { readSvg } from './svg/index.js'

/** Largest file that is read. Above it a message is kinder than a frozen page. */
export const MAX_FILE_BYTES = 40_000_000

/** A file as it was chosen, dropped, pasted or named on the command line. */
export type InputFile = { readonly name: string; readonly bytes: Uint8Array }

/** What came of each file; a bad file among good ones stops only itself. */
export type Intake = {
  readonly design: Design | undefined
  readonly notes: readonly Note[]
}

const baseName = (path: string): string => path.split(/[\\/]/).at(-1)!

const decodeUtf8 = (bytes: Uint8Array, file: string): Outcome<string> => {
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    return { ok: true, value: text.replace(/^\ufeff/, ''), notes: [] }
  } catch {
    return failed([notes.notText(file)])
  }
}

const readJson = (text: string, file: string): Outcome<Design> => {
  let document: unknown
  try {
    document = JSON.parse(text)
  } catch (error) {
    return failed([notes.brokenJson(file, (error as Error).message)])
  }
  return readDesign(document, file)
}

const readOne = (
  input: InputFile,
  siblings: ReadonlyMap<string, Asset>,
  measure: TextMeasure,
): Outcome<Design> => {
  const file = baseName(input.name)
  if (input.bytes.length === 0) return failed([notes.fileEmpty(file)])
  if (input.bytes.length > MAX_FILE_BYTES) {
    return failed([notes.fileTooLarge(file, input.bytes.length, MAX_FILE_BYTES)])
  }
  const decoded = decodeUtf8(input.bytes, file)
  if (!decoded.ok) return decoded
  const start = decoded.value.trimStart()
  if (start === '') return failed([notes.fileEmpty(file)])
  if (start.startsWith('<')) return readSvg(decoded.value.trimStart(), file, siblings, measure)
  if (start.startsWith('{') || start.startsWith('[')) return readJson(decoded.value, file)
  return failed([notes.unknownFormat(file)])
}

/**
 * Takes files (designs, and pictures they refer to), returns one design with all their screens, in the
 * order given, and notes on what could not be read. Never runs, fetches or guesses anything.
 */
export const readFiles = (
  files: readonly InputFile[],
  measure: TextMeasure = createTableMeasure(),
): Intake => {
  const isPicture = (f: InputFile): boolean => {
    const mime = mimeOfName(f.name)
    return mime !== undefined && mime !== 'image/svg+xml'
  }
  const siblings = new Map<string, Asset>()
  for (const f of files.filter(isPicture)) {
    const name = baseName(f.name)
    siblings.set(name, { name, mime: mimeOfName(name)!, data: encodeBase64(f.bytes) })
  }
  let design: Design | undefined
  let count = 1
  const found: Note[] = []
  for (const input of files.filter((f) => !isPicture(f))) {
    const outcome = readOne(input, siblings, measure)
    found.push(...outcome.notes)
    if (!outcome.ok) continue
    if (!design) {
      design = outcome.value
      continue
    }
    count++
    for (const token of findConflicts(design, outcome.value)) {
      found.push(notes.tokenConflict(baseName(input.name), token))
    }
    design = joinDesigns(design, prefixNames(outcome.value, String(count)))
  }
  return { design, notes: found }
}
