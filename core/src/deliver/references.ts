import { asModule, folderOf, joinPath, relativePath } from '../text/file-paths.js'

/** A place in a text that names another file: what is written there, and the file it means. */
export type Reference = {
  readonly start: number
  readonly end: number
  readonly file: string
  /** What is written for a file that lies at a path. */
  spell(path: string, from: string): string
}

type Find = (
  text: string,
  path: string,
  files: Pick<ReadonlySet<string>, 'has'>,
) => readonly Reference[]

const MODULE_ENDINGS = ['', '.ts', '.tsx', '.js', '.jsx', '.vue', '/index.ts'] as const

/** Imports, which begin a line or end the list of their names, and what Angular's decorators name. */
const IMPORT =
  /^(?:import (?:[^"'\n]*\bfrom )?|export\b[^"'\n]*\bfrom |\} from |[ \t]+(?:templateUrl|styleUrl): ?\n?[ \t]*)(["'])(\.{1,2}\/[^"'\n]+)\1/gm

/** Modules that are loaded later, and those whose types comments speak of. */
const LATER = /\bimport\((["'])(\.{1,2}\/[^"'\n]+)\1(?=\))/g

const inModules: Find = (text, path, files) =>
  [...text.matchAll(IMPORT), ...text.matchAll(LATER)].flatMap((match): Reference[] => {
    const written = match[2]!
    const end = match.index + match[0].length - 1
    const full = joinPath(folderOf(path), written)
    const ending = MODULE_ENDINGS.find((one) => full !== undefined && files.has(full + one))
    if (full === undefined || ending === undefined) return []
    return [
      {
        start: end - written.length,
        end,
        file: full + ending,
        spell(to, from) {
          const shown = ending === '' ? to : to.replace(/\.\w+$/, '')
          return asModule(relativePath(folderOf(from), shown))
        },
      },
    ]
  })

/** Relative addresses as a group of a pattern: the reference is what stands in it. */
const addresses =
  (pattern: RegExp, base: 'file' | 'public' | 'root' = 'file'): Find =>
  (text, path, files) =>
    [...text.matchAll(pattern)].flatMap((match): Reference[] => {
      const written = match.groups!['address']!
      const start = match.index + match[0].lastIndexOf(written)
      const isRooted = base === 'root' || written.startsWith('/')
      const file = joinPath(base === 'public' ? base : isRooted ? '' : folderOf(path), written)
      if (file === undefined || !files.has(file)) return []
      return [
        {
          start,
          end: start + written.length,
          file,
          spell(to, from) {
            if (base === 'public') return to.replace(/^public\//, '')
            if (isRooted) return written.startsWith('/') ? `/${to}` : to
            const found = relativePath(folderOf(from), to)
            return written.startsWith('./') ? asModule(found) : found
          },
        },
      ]
    })

const inSheets = addresses(/\burl\("(?<address>[^"]+)"\)/g)

/** In tags alone: words may say the same. */
const inTags = addresses(/(?<=<[a-z][^<>]*\s(?:src|href)=")(?<address>[^"#]+)(?=")/g)
const inTemplates = addresses(/(?<=<[a-z][^<>]*\ssrc=")(?<address>[^"#]+)(?=")/g, 'public')

/** Pictures that data of Angular names by their address. */
const inPublicData = addresses(/"(?<address>assets\/[^"\n]+)"/g, 'public')

/** `@use "card";` names `_card.scss` beside it. */
const inScss: Find = (text, path, files) =>
  [...text.matchAll(/^@use "([\w-]+)";$/gm)].flatMap((match): Reference[] => {
    const file = joinPath(folderOf(path), `_${match[1]!}.scss`)!
    if (!files.has(file)) return []
    const start = match.index + '@use "'.length
    return [
      {
        start,
        end: start + match[1]!.length,
        file,
        spell: (to, from) =>
          relativePath(folderOf(from), to).replace(/(^|\/)_([^/]+)\.scss$/, '$1$2'),
      },
    ]
  })

const inDart: Find = (text, path, files) => [
  ...addresses(/^import '(?<address>[^':]+\.dart)';$/gm)(text, path, files),
  // Pictures are named by their place in the project.
  ...addresses(/'(?<address>assets\/[^'\n]+)'/g, 'root')(text, path, files),
]

/** Style sheets that builders and scripts are told of. */
const inTools = addresses(/(?<address>src\/[\w./-]+\.s?css)/g, 'root')

/** Fonts as a project of Flutter lists them. */
const inManifest = addresses(/- asset: (?<address>fonts\/\S+)$/gm)

const FINDERS: Readonly<Record<string, readonly Find[]>> = {
  css: [inSheets],
  dart: [inDart],
  html: [inTags, inTemplates],
  js: [inModules],
  json: [inTools],
  jsx: [inModules],
  scss: [inSheets, inScss],
  ts: [inModules, inPublicData],
  tsx: [inModules],
  vue: [inModules, inSheets],
  yaml: [inManifest],
}

/** What a file names of the others in its project, in order. */
export const findReferences: Find = (text, path, files) =>
  (FINDERS[path.slice(path.lastIndexOf('.') + 1)] ?? [])
    .flatMap((find) => find(text, path, files))
    .sort((a, b) => a.start - b.start)
