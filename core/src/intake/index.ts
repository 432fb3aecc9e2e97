import type { Asset, Design } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { isContainer } from '../design/layer.js'
import { readDesign } from '../design/read-design.js'
import { notes } from '../notes/catalogue.js'
import { failed, type Note, type Outcome } from '../notes/note.js'
import { createTableMeasure, type TextMeasure } from '../text/measure.js'
import { mimeOfName } from './assets.js'
import { encodeBase64 } from './base64.js'
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

const renameKeys = (layer: Layer, rename: (key: string) => string): Layer => {
  const link =
    layer.link?.kind === 'screen'
      ? { link: { ...layer.link, screen: rename(layer.link.screen) } }
      : {}
  const asset = 'asset' in layer ? { asset: rename(layer.asset) } : {}
  const component = layer.type === 'instance' ? { component: rename(layer.component) } : {}
  const fills =
    'fills' in layer
      ? {
          fills: layer.fills.map((p) =>
            p.kind === 'image' ? { ...p, asset: rename(p.asset) } : p,
          ),
        }
      : {}
  const children = isContainer(layer)
    ? { children: layer.children.map((c) => renameKeys(c, rename)) }
    : {}
  return {
    ...layer,
    key: rename(layer.key),
    ...link,
    ...asset,
    ...component,
    ...fills,
    ...children,
  } as Layer
}

/** Keys, assets and components of a design made different from those of the designs before it. */
const prefixNames = (design: Design, prefix: string): Design => {
  const rename = (name: string): string => `${prefix}/${name}`
  return {
    ...design,
    screens: design.screens.map((s) => renameKeys(s, rename) as Design['screens'][number]),
    components: design.components.map((set) => ({
      ...set,
      key: rename(set.key),
      variants: set.variants.map((v) => renameKeys(v, rename) as typeof v),
    })),
    assets: Object.fromEntries(Object.entries(design.assets).map(([id, a]) => [rename(id), a])),
  }
}

/** Two designs as one; tokens both have are kept once. */
const joinTwo = (all: Design, next: Design): Design => {
  const known = new Set(all.tokens.map((token) => token.name))
  return {
    ...all,
    modes: [...new Set([...all.modes, ...next.modes])],
    tokens: [...all.tokens, ...next.tokens.filter((token) => !known.has(token.name))],
    components: [...all.components, ...next.components],
    assets: { ...all.assets, ...next.assets },
    screens: [...all.screens, ...next.screens],
  }
}

/** Tokens of `next` that `all` has with another value. */
const findConflicts = (all: Design, next: Design): string[] => {
  const known = new Map(all.tokens.map((token) => [token.name, JSON.stringify(token.values)]))
  return next.tokens.flatMap(({ name, values }) => {
    const before = known.get(name)
    return before !== undefined && before !== JSON.stringify(values) ? [name] : []
  })
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
    design = joinTwo(design, prefixNames(outcome.value, String(count)))
  }
  return { design, notes: found }
}
