import type { TargetId } from '../emit/index.js'
import type { EmittedFile } from '../emit/shared/emitted-file.js'
import { jsonFile } from '../emit/shared/emitted-file.js'
import type { Emitted } from '../emit/target.js'
import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'
import { eraseTypes, plainPath } from './erase-types.js'
import { planMoves, renameFolders, type FileLayout } from './file-layout.js'
import { formatFile } from './format.js'
import { hasHouseStyle, type HouseStyle } from './house-style.js'
import { prettierOptions } from './code-style.js'
import { realign } from './realign.js'
import { relocate } from './relocate.js'

export { hasHouseStyle, type HouseStyle }

export type Delivered = Pick<Emitted, 'files' | 'pages' | 'components'> & {
  /** What the files that moved would be called, by their paths. */
  readonly origins: Readonly<Record<string, string>>
  readonly notes: readonly Note[]
}

const PRETTIER_FILE = '.prettierrc'

const textOf = ({ content }: EmittedFile): string => (content.kind === 'text' ? content.text : '')

const withoutTypes = (file: EmittedFile): EmittedFile => {
  if (!/\.tsx?$/.test(file.path)) return file
  const before = textOf(file)
  const text = eraseTypes(before)
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
  const isPlain = script === 'javascript' && target === 'react'
  const scripts = isPlain ? files.map(withoutTypes) : files
  const fixed = new Set(files.flatMap(({ path, role }) => (role === 'scaffold' ? [path] : [])))
  const plain = isPlain ? files.map(({ path }) => [path, plainPath(path)] as const) : []
  const plainMoves = new Map(plain.filter(([from, to]) => from !== to))
  const { moves, refused } = planMoves(
    files.map(({ path }) => plainMoves.get(path) ?? path),
    { ...layout, renamed: renamedIn(layout, plainMoves) },
    (path, isAlone) =>
      fixed.has(path) ||
      /^src\/main\.jsx?$/.test(path) ||
      // A project of Flutter lists the folder of its pictures, and not each of them.
      (target === 'flutter' && isAlone && path.startsWith('assets/')),
  )
  const placeOf = (path: string): string => {
    const own = plainMoves.get(path) ?? path
    return moves.get(own) ?? own
  }
  const all = new Map(
    files.flatMap(({ path }) => (placeOf(path) === path ? [] : [[path, placeOf(path)] as const])),
  )
  const style = prettierOptions(code)
  const isStyled = Object.keys(style).length > 0
  const moved = relocate(scripts, all).map((file) => withFolders(withSettings(file, style), layout))
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
    origins: Object.fromEntries([...all].map(([before, now]) => [now, before])),
    notes: [
      ...refused.map(({ path, wanted, why }) => notes.fileNotMoved(path, wanted, why)),
      ...unread,
    ],
  }
}

/** Files that a person has put somewhere are known by what they would be called with types. */
const renamedIn = (
  { renamed = {} }: FileLayout,
  plain: ReadonlyMap<string, string>,
): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(renamed).map(([from, to]) =>
      plain.has(from) ? [plain.get(from)!, plainPath(to)] : [from, to],
    ),
  )

/** What the project's own Prettier would be set to. */
const readOptions = (files: readonly EmittedFile[]): Readonly<Record<string, unknown>> => {
  const file = files.find(({ path }) => path === PRETTIER_FILE)
  if (!file) return {}
  const { overrides: _overrides, ...options } = JSON.parse(textOf(file)) as Record<string, unknown>
  return options
}
