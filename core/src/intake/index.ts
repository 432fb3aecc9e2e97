import type { Asset, Design } from '../design/design.js'
import { readDesign } from '../design/read-design.js'
import { importTokens } from '../tokens/import-tokens.js'
import { notes } from '../notes/catalogue.js'
import { failed, type Note, type Outcome } from '../notes/note.js'
import { createTableMeasure, type TextMeasure } from '../text/measure.js'
import { isTokenFile, readTokens, type TokenFile } from '../tokens/read-tokens.js'
import { renameMode } from '../tokens/resolve.js'
import { mimeOfName } from '../pictures/assets.js'
import { encodeBase64 } from '../pictures/base64.js'
import { baseName, isFontFile, MAX_FILE_BYTES, type InputFile } from './input-file.js'
import { findConflicts, joinDesigns, prefixNames } from './join-designs.js'
import { readPictureSize } from '../pictures/picture-size.js'
import { readSvg } from './svg/index.js'
import { isZip, unzip } from './unzip.js'

/** What came of the files; a bad one among good ones stops only itself. */
export type Intake = {
  readonly design: Design | undefined
  readonly notes: readonly Note[]
  /** Font files that came along. */
  readonly fonts: readonly InputFile[]
}

type Progress = (done: number, of: number, file: string) => void

const decodeUtf8 = (bytes: Uint8Array, file: string): Outcome<string> => {
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    return { ok: true, value: text.replace(/^\ufeff/, ''), notes: [] }
  } catch {
    return failed([notes.notText(file)])
  }
}

const parseJson = (text: string, file: string): Outcome<unknown> => {
  try {
    return { ok: true, value: JSON.parse(text) as unknown, notes: [] }
  } catch (error) {
    return failed([notes.brokenJson(file, (error as Error).message)])
  }
}

/** A file that is text: a design, or tokens for one. */
type Read =
  | { readonly kind: 'design'; readonly design: Design }
  | { readonly kind: 'tokens'; readonly file: TokenFile }

const readOne = (
  input: InputFile,
  siblings: ReadonlyMap<string, Asset>,
  measure: TextMeasure,
): Outcome<Read> => {
  const file = baseName(input.name)
  if (input.bytes.length === 0) return failed([notes.fileEmpty(file)])
  if (input.bytes.length > MAX_FILE_BYTES) {
    return failed([notes.fileTooLarge(file, input.bytes.length, MAX_FILE_BYTES)])
  }
  const decoded = decodeUtf8(input.bytes, file)
  if (!decoded.ok) return decoded
  const text = decoded.value.trimStart()
  if (text === '') return failed([notes.fileEmpty(file)])
  const asDesign = (outcome: Outcome<Design>): Outcome<Read> =>
    outcome.ok ? { ...outcome, value: { kind: 'design', design: outcome.value } } : outcome
  if (text.startsWith('<')) return asDesign(readSvg(text, file, siblings, measure))
  if (!text.startsWith('{') && !text.startsWith('[')) return failed([notes.unknownFormat(file)])
  const parsed = parseJson(text, file)
  if (!parsed.ok) return parsed
  return isTokenFile(parsed.value)
    ? { ...parsed, value: { kind: 'tokens', file: { name: file, document: parsed.value } } }
    : asDesign(readDesign(parsed.value, file))
}

const isRaster = (name: string): boolean => {
  const mime = mimeOfName(name)
  return mime !== undefined && mime !== 'image/svg+xml'
}

/** Puts what is in archives in their place; an archive in an archive stays unread. */
const unpack = (files: readonly InputFile[], found: Note[]): InputFile[] =>
  files.flatMap((file) => {
    if (!isZip(file.bytes)) return [file]
    const outcome = unzip(file)
    found.push(...outcome.notes)
    if (!outcome.ok) return []
    const known = outcome.value.filter(
      ({ name }) => /\.(svg|json)$/i.test(name) || isRaster(name) || isFontFile(name),
    )
    const others = outcome.value.length - known.length
    if (others > 0) found.push(notes.zipSkipped(baseName(file.name), others))
    return known
  })

/** Pictures by file name, for the designs that show them. */
const collectPictures = (files: readonly InputFile[], found: Note[]): Map<string, Asset> => {
  const siblings = new Map<string, Asset>()
  for (const { name, bytes } of files.filter((f) => isRaster(f.name))) {
    const base = baseName(name)
    const data = encodeBase64(bytes)
    const size = readPictureSize(data)
    if (size) siblings.set(base, { name: base, mime: mimeOfName(base)!, ...size, data })
    else found.push(notes.pictureBroken(base))
  }
  return siblings
}

const addTokens = (design: Design, files: readonly TokenFile[], found: Note[]): Design => {
  const { modes, tokens, notes: problems } = readTokens(files)
  found.push(...problems)
  if (tokens.length === 0) return design
  const next = importTokens(design, {
    modes: [...modes],
    tokens: [...tokens],
  })
  // Without tokens of its own the design has no modes either: those of the files are its.
  return design.tokens.length === 0 ? nameFirstMode(next, design.modes[0]!, modes[0]!) : next
}

const nameFirstMode = (design: Design, from: string, to: string): Design => ({
  ...design,
  modes: design.modes.map((mode) => (mode === from ? to : mode)),
  tokens: design.tokens.map((token) => renameMode(token, from, to)),
})

/**
 * Takes files (designs, pictures they refer to, token files, fonts, archives of all these), returns one
 * design with all their screens, in the order given, and notes on what could not be read. Never runs,
 * fetches or guesses anything.
 */
export const readFiles = (
  files: readonly InputFile[],
  measure: TextMeasure = createTableMeasure(),
  progress: Progress = () => undefined,
): Intake => {
  const found: Note[] = []
  const all = unpack(files, found)
  const fonts = all.filter((f) => isFontFile(f.name))
  const siblings = collectPictures(all, found)
  const texts = all.filter((f) => !isRaster(f.name) && !isFontFile(f.name))
  const tokenFiles: TokenFile[] = []
  let design: Design | undefined
  let count = 1
  texts.forEach((input, i) => {
    const name = baseName(input.name)
    progress(i, texts.length, name)
    const outcome = readOne(input, siblings, measure)
    found.push(...outcome.notes)
    if (!outcome.ok) return
    if (outcome.value.kind === 'tokens') tokenFiles.push(outcome.value.file)
    else if (!design) design = outcome.value.design
    else {
      count++
      for (const token of findConflicts(design, outcome.value.design)) {
        found.push(notes.tokenConflict(name, token))
      }
      design = joinDesigns(design, prefixNames(outcome.value.design, String(count)))
    }
  })
  if (design && tokenFiles.length > 0) design = addTokens(design, tokenFiles, found)
  else found.push(...tokenFiles.map((file) => notes.tokensWithoutDesign(file.name)))
  if (!design && found.length === 0) found.push(notes.noDesign(files.map((f) => baseName(f.name))))
  return { design, notes: found, fonts }
}
