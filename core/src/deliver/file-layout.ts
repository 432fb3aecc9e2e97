import { z } from 'zod'
import { capitalise, separateWords } from '../text/names.js'

/** A part of a path that stays inside its folder and means the same on all systems. */
const SEGMENT = /^(?!\.{1,2}$)[A-Za-z0-9_@()[\]-][A-Za-z0-9_.@()[\]-]*$/

/** Whether a path is relative, stays in its folder, and is made of plain names. */
export const isSafePath = (path: string): boolean =>
  path.length <= 200 && path.split('/').every((part) => SEGMENT.test(part) && !part.endsWith('.'))

const WHY = 'not a path inside the project; write one such as src/ui/Card.tsx'
const pathSchema = z.string().refine(isSafePath, WHY)

/** Folders that a delivered project may have, which can have other names. */
export const FOLDERS = [
  'assets',
  'behaviour',
  'components',
  'fonts',
  'forms',
  'icons',
  'screens',
  'sections',
  'styles',
] as const
export type FolderName = (typeof FOLDERS)[number]

/** How the files of components are named: `TideTable.tsx`, `tide-table.tsx`, `tideTable.tsx`, `tide_table.tsx`. */
export const FILE_NAMES = ['pascal', 'kebab', 'camel', 'snake'] as const
export type FileNames = (typeof FILE_NAMES)[number]

/** What files are called and where they lie. */
export const fileLayoutSchema = z.strictObject({
  names: z
    .enum(FILE_NAMES)
    .optional()
    .describe('Of files of components; as the target has it when absent.'),
  folders: z
    .partialRecord(z.enum(FOLDERS), pathSchema)
    .optional()
    .describe('Other names for folders, as in { "components": "ui" }.'),
  renamed: z
    .record(pathSchema, pathSchema)
    .optional()
    .describe('Files with paths of their own: from what they would be to what they are.'),
})
export type FileLayout = z.infer<typeof fileLayoutSchema>

/** Where the folders of a project begin. */
const ROOT = /^(?:src\/app\/|src\/|lib\/|public\/)?/
/** Folders in which files are named by the component they define. */
const OF_COMPONENTS: ReadonlySet<string> = new Set(['components', 'icons', 'screens', 'sections'])
/** Folders in which they are named by functions and data. */
const OF_CODE: ReadonlySet<string> = new Set(['behaviour', 'forms'])

/** Functions keep their letters where only components would change theirs. */
const isNamed = (folder: string, names: FileNames): boolean =>
  OF_COMPONENTS.has(folder) || (OF_CODE.has(folder) && names !== 'pascal' && names !== 'camel')

const spell = (stem: string, names: FileNames): string => {
  if (names === 'kebab') return separateWords(stem, '-')
  if (names === 'snake') return separateWords(stem, '_')
  const joined = separateWords(stem, '-').replace(/-(\w)/g, (_, letter: string) =>
    letter.toUpperCase(),
  )
  return names === 'camel' ? joined : capitalise(joined)
}

/** `src/components/TideTable.module.css` → `src/ui/tide-table.module.css` */
const layOut = (path: string, { names, folders }: FileLayout): string => {
  const root = ROOT.exec(path)![0]
  const [folder, ...rest] = path.slice(root.length).split('/')
  if (folder === undefined || rest.length === 0) return path
  const file = rest.at(-1)!
  const stem = file.slice(0, file.indexOf('.'))
  const named =
    names !== undefined && stem !== '' && isNamed(folder, names)
      ? spell(stem, names) + file.slice(stem.length)
      : file
  const there = folders?.[folder as FolderName] ?? folder
  return `${root}${[there, ...rest.slice(0, -1), named].join('/')}`
}

/** A text that speaks of folders, as a README does: those that have other names are said by these. */
export const renameFolders = (text: string, layout: FileLayout): string =>
  text.replace(/(?<=^|`|^ +- )((?:src\/app\/|src\/|lib\/|public\/)?[a-z]+)(?=`|\/?$)/gm, (folder) =>
    layOut(`${folder}/x.md`, { folders: layout.folders }).replace(/\/x\.md$/, ''),
  )

/** Why a file stays where it is. */
export type Refusal = {
  readonly path: string
  readonly wanted: string
  readonly why: 'taken' | 'scaffold' | 'unknown'
}

export type Moves = {
  readonly moves: ReadonlyMap<string, string>
  readonly refused: readonly Refusal[]
}

/**
 * Where files go. Takes the paths as they are, and which of them stay: those that other tools look for by name, or in their
 * folder, so that they cannot go anywhere alone. No two files end up in one place, whatever case their letters have.
 */
export const planMoves = (
  paths: readonly string[],
  layout: FileLayout,
  isFixed: (path: string, isAlone: boolean) => boolean,
): Moves => {
  const moves = new Map<string, string>()
  const refused: Refusal[] = []
  const taken = new Map(paths.map((path) => [path.toLowerCase(), path]))
  const move = (path: string, wanted: string, isAlone: boolean): void => {
    const now = moves.get(path) ?? path
    if (wanted === now) return
    const owner = taken.get(wanted.toLowerCase())
    if (isFixed(path, isAlone)) refused.push({ path, wanted, why: 'scaffold' })
    else if (owner !== undefined && owner !== path) refused.push({ path, wanted, why: 'taken' })
    else {
      taken.delete(now.toLowerCase())
      taken.set(wanted.toLowerCase(), path)
      moves.set(path, wanted)
    }
  }
  for (const path of paths) if (!isFixed(path, false)) move(path, layOut(path, layout), false)
  const known = new Set(paths)
  for (const [path, wanted] of Object.entries(layout.renamed ?? {})) {
    if (known.has(path)) move(path, wanted, true)
    else refused.push({ path, wanted, why: 'unknown' })
  }
  return { moves, refused }
}
