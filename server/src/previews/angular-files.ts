import { readFile } from 'node:fs/promises'
import { posix } from 'node:path'
import { transformAsync, type PluginObj } from '@babel/core'
import type { Plugin } from 'esbuild'
import ts from 'typescript'
import { describeError } from './build-error'

/** What is used of Angular's compiler, whose own types cannot be read as those of a module of Node. */
type CompilerCli = {
  performCompilation(input: {
    readonly rootNames: readonly string[]
    readonly options: object
    readonly host: object
  }): { readonly diagnostics: readonly ts.Diagnostic[] }
  readonly ConsoleLogger: new (level: number) => object
  readonly LogLevel: { readonly error: number }
  readonly NodeJSFileSystem: new () => object
}
type Linker = { createEs2015LinkerPlugin(options: object): PluginObj }

const loadCompiler = async (): Promise<CompilerCli> =>
  (await import('@angular/compiler-cli')) as unknown as CompilerCli

const loadLinker = async (): Promise<Linker> =>
  (await import('@angular/compiler-cli/linker/babel')) as unknown as Linker

export type CompiledModules =
  { readonly modules: ReadonlyMap<string, string> } | { readonly errors: readonly string[] }

/** Each file is compiled by itself, so that no types of packages have to be read. */
const OPTIONS = {
  target: ts.ScriptTarget.ES2022,
  module: ts.ModuleKind.ES2022,
  experimentalDecorators: true,
  useDefineForClassFields: false,
  compilationMode: 'experimental-local',
  noResolve: true,
  noLib: true,
  types: [],
  outDir: '/out',
  rootDir: '/',
} as const

/** A host that has the given files, by paths from the root, and nothing of this machine. */
const createHost = (files: ReadonlyMap<string, string>, out: Map<string, string>) => ({
  getSourceFile: (path: string, language: ts.ScriptTarget | ts.CreateSourceFileOptions) => {
    const text = files.get(path)
    return text === undefined ? undefined : ts.createSourceFile(path, text, language, true)
  },
  getDefaultLibFileName: () => '/lib.d.ts',
  getCurrentDirectory: () => '/',
  getCanonicalFileName: (path: string) => path,
  useCaseSensitiveFileNames: () => true,
  getNewLine: () => '\n',
  fileExists: (path: string) => files.has(path),
  readFile: (path: string) => files.get(path),
  writeFile: (path: string, text: string) => void out.set(path, text),
  readResource: (path: string) => files.get(path) ?? '',
  resourceNameToFileName: (url: string, from: string) => posix.join(posix.dirname(from), url),
})

const describe = ({ file, start, messageText }: ts.Diagnostic): string => {
  const message = ts.flattenDiagnosticMessageText(messageText, ' ')
  if (!file) return message
  const { line } = file.getLineAndCharacterOfPosition(start ?? 0)
  return describeError(message, file.fileName.slice(1), line + 1)
}

/** Whether a project is one of Angular. */
export const isAngular = (files: ReadonlyMap<string, string>): boolean =>
  files.get('src/main.ts')?.includes('from "@angular/platform-browser"') === true

/**
 * The modules of an Angular project, ahead of time and without types. Takes texts by paths as `src/main.ts`; returns
 * JavaScript by the same paths. Nothing of it is run.
 */
export const compileAngular = async (
  files: ReadonlyMap<string, string>,
): Promise<CompiledModules> => {
  const { performCompilation } = await loadCompiler()
  const rooted = new Map([...files].map(([path, text]) => [`/${path}`, text]))
  const out = new Map<string, string>()
  const rootNames = [...rooted.keys()].filter((path) => path.endsWith('.ts'))
  const host = createHost(rooted, out)
  const { diagnostics } = performCompilation({ rootNames, options: OPTIONS, host })
  const errors = diagnostics.filter(({ category }) => category === ts.DiagnosticCategory.Error)
  if (errors.length > 0) return { errors: errors.map(describe) }
  return {
    modules: new Map(
      [...out].map(([path, text]) => [path.replace(/^\/out\/(.*)\.js$/, '$1.ts'), text] as const),
    ),
  }
}

/** Files of Angular's packages do not change while the server runs. */
const linked = new Map<string, Promise<string>>()

const link = async (path: string): Promise<string> => {
  const source = await readFile(path, 'utf8')
  if (!source.includes('ɵɵngDeclare')) return source
  const { createEs2015LinkerPlugin } = await loadLinker()
  const { ConsoleLogger, LogLevel, NodeJSFileSystem } = await loadCompiler()
  const plugin = createEs2015LinkerPlugin({
    fileSystem: new NodeJSFileSystem(),
    logger: new ConsoleLogger(LogLevel.error),
    linkerJitMode: false,
    sourceMapping: false,
  })
  const result = await transformAsync(source, {
    filename: path,
    configFile: false,
    babelrc: false,
    compact: false,
    plugins: [plugin],
  })
  return result?.code ?? source
}

/** Finishes the compilation of Angular's own packages, which they leave to the projects that use them. */
export const linkAngular: Plugin = {
  name: 'link-angular',
  setup(bundler) {
    bundler.onLoad({ filter: /@angular[\\/].*\.mjs$/ }, async ({ path }) => {
      const found = linked.get(path) ?? link(path)
      linked.set(path, found)
      return { contents: await found, loader: 'js' }
    })
  },
}
