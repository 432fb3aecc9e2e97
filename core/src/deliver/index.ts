import { TARGETS, type TargetId } from '../emit/index.js'
import type { EmittedFile } from '../emit/shared/emitted-file.js'
import { jsonFile } from '../emit/shared/emitted-file.js'
import type { Emitted } from '../emit/target.js'
import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'
import { eraseTypes, plainPath } from './erase-types.js'
import { planMoves, renameFolders, type FileLayout, type Refusal } from './file-layout.js'
import { formatFile } from './format.js'
import { hasHouseStyle, type HouseStyle } from './house-style.js'
import { prettierOptions } from './code-style.js'
import { realign } from './realign.js'
import { relocate } from './relocate.js'

export { checkDelivered, faultNotes, type DeliveredFault } from './check/index.js'
export { hasHouseStyle, type HouseStyle }

export type Delivered = Pick<Emitted, 'files' | 'pages' | 'components'> & {
  /** What the files that moved would be called, by their paths. */
  readonly origins: Readonly<Record<string, string>>
  readonly notes: readonly Note[]
}

const PRETTIER_FILE = '.prettierrc'

const textOf = ({ content }: EmittedFile): string => (content.kind === 'text' ? content.text : '')

const withoutTypes = async (file: EmittedFile): Promise<EmittedFile> => {
  if (!/\.tsx?$/.test(file.path)) return file
  const before = textOf(file)
  const text = await eraseTypes(before)
  return { ...file, content: { kind: 'text', text }, spans: realign(before, text, file.spans) }
}

/** Prettier's settings as the project has them, which are those it was written with. */
const withSettings = (file: EmittedFile, style: Readonly<Record<string, unknown>>): EmittedFile =>
  file.path === PRETTIER_FILE
    ? {
        ...file,
        content: jsonFile(PRETTIER_FILE, {
          ...(JSON.parse(textOf(file)) as object),
          ...style,
        }).content,
      }
    : file

/** What people and Prettier are told of folders. */
const withFolders = (file: EmittedFile, layout: FileLayout): EmittedFile =>
  ['README.md', '.prettierignore', 'pubspec.yaml'].includes(file.path)
    ? { ...file, content: { kind: 'text', text: renameFolders(textOf(file), layout) } }
    : file

/** Files that a person has put somewhere are known by what they would be called with types. */
const renamedIn = (
  { renamed = {} }: FileLayout,
  plain: ReadonlyMap<string, string>,
): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(renamed).map(([from, to]) =>
      plain.get(from) === from || !plain.has(from) ? [from, to] : [plain.get(from)!, plainPath(to)],
    ),
  )

/** Where files go that do not stay, by their paths; `isPlain`: those with types are called otherwise in any case. */
const planPlaces = (
  files: readonly EmittedFile[],
  layout: FileLayout,
  target: TargetId,
  isPlain: boolean,
): { readonly places: ReadonlyMap<string, string>; readonly refused: readonly Refusal[] } => {
  const plain = new Map(files.map(({ path }) => [path, isPlain ? plainPath(path) : path]))
  const fixed = new Set(
    files.flatMap(({ path, role }) => (role === 'scaffold' ? [plain.get(path)!] : [])),
  )
  const { moves, refused } = planMoves(
    [...plain.values()],
    { ...layout, renamed: renamedIn(layout, plain) },
    (path, isAlone) =>
      fixed.has(path) ||
      // A project of Flutter lists the folder of its pictures, and not each of them.
      (target === 'flutter' && isAlone && path.startsWith('assets/')),
  )
  const places = [...plain].map(([path, own]) => [path, moves.get(own) ?? own] as const)
  return { places: new Map(places.filter(([from, to]) => from !== to)), refused }
}

/**
 * What a target wrote in the style of a house: without types, under other names and in other folders, formatted otherwise.
 * Takes what was emitted; returns the same files with their layers where they then stand, and what could not be done.
 * Nothing changes where nothing is asked for.
 */
export const deliver = async (
  emitted: Pick<Emitted, 'files' | 'pages' | 'components'>,
  { code = {}, files: layout = {}, script }: HouseStyle,
  target: TargetId,
): Promise<Delivered> => {
  const { files, pages, components } = emitted
  if (!hasHouseStyle({ code, files: layout, script }))
    return { files, pages, components, origins: {}, notes: [] }
  const isPlain = script === 'javascript' && TARGETS[target].hasPlainScript === true
  const scripts = isPlain ? await Promise.all(files.map(withoutTypes)) : files
  const { places, refused } = planPlaces(files, layout, target, isPlain)
  const placeOf = (path: string): string => places.get(path) ?? path
  const style = prettierOptions(code)
  const isStyled = Object.keys(style).length > 0
  const moved = relocate(scripts, places).map((file) =>
    withFolders(withSettings(file, style), layout),
  )
  const { printWidth, ...overrides } = readOptions(moved)
  const unread: Note[] = []
  const formatted = await Promise.all(
    moved.map((file, i) =>
      // What says what it said is formatted already, where the style is as it was.
      isStyled || textOf(file) !== textOf(files[i]!)
        ? formatFile(file, { printWidth, ...overrides }, target === 'angular').catch(
            (error: unknown) => {
              unread.push(notes.fileNotFormatted(file.path, String(error).split('\n')[0]!))
              return file
            },
          )
        : file,
    ),
  )
  return {
    files: formatted,
    pages: Object.fromEntries(
      Object.entries(pages).map(([key, page]) => [key, { ...page, path: placeOf(page.path) }]),
    ),
    components: components.map((one) => ({ ...one, path: placeOf(one.path) })),
    origins: Object.fromEntries([...places].map(([before, now]) => [now, before])),
    notes: [
      ...refused.map(({ path, wanted, why }) => notes.fileNotMoved(path, wanted, why)),
      ...unread,
    ],
  }
}

/** What the project's own Prettier would be set to. */
const readOptions = (files: readonly EmittedFile[]): Readonly<Record<string, unknown>> => {
  const file = files.find(({ path }) => path === PRETTIER_FILE)
  if (!file) return {}
  const { overrides: _overrides, ...options } = JSON.parse(textOf(file)) as Record<string, unknown>
  return options
}
