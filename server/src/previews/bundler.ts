import { posix } from 'node:path'
import { build, type BuildFailure, type Loader, type Plugin } from 'esbuild'
import { describeError } from './build-error'
import type { SourceFileDto } from './dto/bundle.dto'
import { compileAngular, isAngular } from './angular-files'
import { bundleFlutter, isFlutter } from './flutter-files'
import { DEFINES, fromRuntime, type RuntimeName } from './runtimes'
import { joinSheets, putIn, stylesIn } from './style-sheets'
import { compileVue } from './vue-files'

/** Where apps begin, whatever they are written in. */
const ENTRIES = ['src/main.tsx', 'src/main.ts']
const LOADERS: Readonly<Record<string, Loader>> = {
  '.ts': 'ts',
  '.tsx': 'tsx',
  '.js': 'js',
  '.jsx': 'jsx',
}

/** Lets the bundler see the given files and nothing of this machine. `find`: what an alias of the codebase leads to. */
const onlyGivenFiles = (
  files: ReadonlyMap<string, SourceFileDto>,
  theirs: ReadonlySet<string>,
  find: (specifier: string, from: string) => string | undefined,
): Plugin => ({
  name: 'only-given-files',
  setup(bundler) {
    bundler.onResolve({ filter: /.*/, namespace: 'given' }, ({ path, importer }) => {
      const full = path.startsWith('.') ? posix.join(posix.dirname(importer), path) : path
      const found = ['', '.tsx', '.ts'].map((end) => full + end).find((name) => files.has(name))
      if (found) return { path: found, namespace: 'given' }
      const own = find(path, importer)
      if (own !== undefined && files.has(own)) return { path: own, namespace: 'given' }
      return { errors: [{ text: `"${path}" is not part of the project` }] }
    })
    bundler.onResolve({ filter: /.*/ }, ({ path, kind }) =>
      kind === 'entry-point' ? { path, namespace: 'given' } : undefined,
    )
    bundler.onLoad({ filter: /.*/, namespace: 'given' }, ({ path }) => {
      const file = files.get(path)
      if (!file) return { errors: [{ text: `"${path}" is not part of the project` }] }
      if (path.endsWith('.vue')) {
        const read = (name: string): string | undefined => files.get(name)?.content
        const compiled = compileVue(path, file.content, read)
        if ('errors' in compiled)
          return {
            errors: compiled.errors.map(({ message, line }) => ({
              text: message,
              location: { file: path, line: line ?? 1, column: 0, length: 0, lineText: '' },
            })),
          }
        const styles = theirs.has(path) ? stylesIn(path, file.content, files, find) : ''
        return { contents: compiled.code + putIn(styles), loader: 'ts' }
      }
      const loader = LOADERS[posix.extname(path)]
      if (loader) return { contents: file.content, loader }
      if (path.endsWith('.css') && theirs.has(path))
        return { contents: putIn(joinSheets(path, file.content, files, find)), loader: 'js' }
      // The style sheet is compiled in the browser and put in beside the script.
      if (path.endsWith('.css')) return { contents: '', loader: 'empty' }
      return {
        contents: Buffer.from(file.content, file.encoding === 'text' ? 'utf8' : 'base64'),
        loader: 'dataurl',
      }
    })
  },
})

/** A script, and the runtimes whose packages it finds in its page. */
export type Bundle =
  | { readonly script: string; readonly runtimes: readonly RuntimeName[] }
  | { readonly errors: readonly string[] }

const textsOf = (files: readonly SourceFileDto[]): ReadonlyMap<string, string> =>
  new Map(
    files.flatMap(({ path, content, encoding }) =>
      encoding === 'text' ? [[path, content] as const] : [],
    ),
  )

/** The files as the bundler takes them: a project of Angular is compiled as a whole before. */
const compileFirst = async (
  files: readonly SourceFileDto[],
  texts: ReadonlyMap<string, string>,
): Promise<readonly SourceFileDto[] | { readonly errors: readonly string[] }> => {
  if (!isAngular(texts)) return files
  const compiled = await compileAngular(texts)
  if ('errors' in compiled) return compiled
  return files.map((file) => ({
    ...file,
    content: compiled.modules.get(file.path) ?? file.content,
  }))
}

type WithCodebase = {
  readonly files: readonly SourceFileDto[]
  /** The paths of those that are the codebase's own. */
  readonly theirs: ReadonlySet<string>
  find(specifier: string, from: string): string | undefined
}

/** The files with those of a codebase they need. */
const withCodebase = async (
  given: readonly SourceFileDto[],
  codebase: string | undefined,
): Promise<WithCodebase> => {
  if (codebase === undefined) return { files: given, theirs: new Set(), find: () => undefined }
  const { findReachable, openSources } = await import('@unimorph/codebase')
  const sources = openSources(codebase)
  const found = findReachable(textsOf(given), sources)
  const own = [...found].map(([path, content]) => ({ path, content, encoding: 'text' as const }))
  return {
    files: [...given, ...own],
    theirs: new Set(found.keys()),
    find: (specifier, from) => sources.find(specifier, from),
  }
}

/**
 * Bundles the generated code of an app into one script, with what it needs of a codebase in a folder, and without its
 * framework. Nothing of either is run here.
 */
export const bundleApp = async (
  given: readonly SourceFileDto[],
  codebase?: string,
): Promise<Bundle> => {
  const { files, theirs, find } = await withCodebase(given, codebase)
  const texts = textsOf(files)
  if (isFlutter(texts)) return bundleFlutter(files)
  const compiled = await compileFirst(files, texts)
  if ('errors' in compiled) return compiled
  const byPath = new Map(compiled.map((file) => [file.path, file]))
  const entry = ENTRIES.find((path) => byPath.has(path)) ?? ENTRIES[0]!
  const used = new Set<RuntimeName>()
  try {
    const result = await build({
      entryPoints: [entry],
      bundle: true,
      write: false,
      // The rest takes longer than it saves.
      minifyWhitespace: true,
      format: 'iife',
      target: 'es2022',
      jsx: 'automatic',
      define: DEFINES,
      logLevel: 'silent',
      plugins: [fromRuntime(used), onlyGivenFiles(byPath, theirs, find)],
    })
    return { script: result.outputFiles[0]!.text, runtimes: [...used].sort() }
  } catch (error) {
    const { errors } = error as Partial<BuildFailure>
    if (!errors) throw error
    return {
      errors: errors.map(({ text, location }) =>
        describeError(text, location?.file.replace(/^given:/, ''), location?.line),
      ),
    }
  }
}
