import { dirname, posix, relative, resolve, sep } from 'node:path'
import { fileURLToPath } from 'node:url'
import ts from 'typescript'
import type { SourceFile } from '../files.js'
import { scriptOf } from '../vue/script-of.js'
import { OPTIONS, readOptions } from './options.js'
import { createScope } from './scope.js'

/** A single-file component is read as a module of TypeScript that has its script. */
const VUE_MODULE = '.vue.ts'

const CODE = /\.([cm]?[jt]s|[jt]sx|vue)$/
/** From here our own packages are looked for. */
const HERE = fileURLToPath(import.meta.url)

/** Packages whose types are at hand where a codebase has not installed its own. */
const AT_HAND: ReadonlySet<string> = new Set(['@angular/core', 'react', 'react/jsx-runtime', 'vue'])

const isIn = (root: string, path: string): boolean => path.startsWith(root + sep)

export type Checked = {
  readonly checker: ts.TypeChecker
  /** The module of a file of the codebase. */
  moduleOf(path: string): ts.SourceFile | undefined
  /** A path as the codebase has it; undefined for what lies outside. */
  pathOf(module: ts.SourceFile): string | undefined
  /** The text of a file that a module names by its path from there; undefined where there is none. */
  textBeside(path: string, name: string): string | undefined
  /** The files of the codebase that a module depends on, also through others. */
  needsOf(module: ts.SourceFile): readonly string[]
}

/** Modules of installed packages and of the language, by their paths: the same for all codebases while they do not change. */
const libraries = new Map<string, { changedMs: number; module: ts.SourceFile }>()

/**
 * Reads modules of a codebase and tells types. Lives as long as the codebase is looked at: modules that did not change are
 * not read again.
 */
export class Modules {
  private readonly parsed = new Map<string, { hash: string; module: ts.SourceFile }>()
  private program: ts.Program | undefined
  private readonly resolutions = new Map<string, ts.ResolvedModuleFull | undefined>()
  private known = ''

  /** `packages`: folders of packages that are looked at with the codebase, wherever they lie. */
  constructor(
    private readonly root: string,
    private readonly packages: readonly string[] = [],
  ) {}

  /** Types of some files; `all` are the files of the codebase as they are now. */
  check(files: readonly SourceFile[], wanted: readonly string[]): Checked {
    const { root } = this
    const texts = new Map(files.map((file) => [resolve(root, file.path), file]))
    const names = files.map(({ path }) => path).join('\n')
    // What an import leads to depends on which files there are.
    if (names !== this.known) this.resolutions.clear()
    this.known = names
    const options = { ...OPTIONS, ...readOptions(root) }
    const host = this.createHost(texts, options)
    const rootNames = wanted
      .filter((path) => CODE.test(path))
      .map((path) => toModule(resolve(root, path)))
    const program = ts.createProgram({
      rootNames,
      options,
      host,
      ...(this.program ? { oldProgram: this.program } : {}),
    })
    this.program = program
    const checker = program.getTypeChecker()
    const pathOf = (module: ts.SourceFile): string | undefined => {
      const file = resolve(module.fileName)
      if (!isIn(root, file) || file.includes(`${sep}node_modules${sep}`)) return undefined
      return relative(root, fromModule(file)).split(sep).join(posix.sep)
    }
    return {
      checker,
      moduleOf: (path) => program.getSourceFile(toModule(resolve(root, path))),
      pathOf,
      textBeside: (path, name) => texts.get(resolve(root, posix.dirname(path), name))?.text,
      needsOf: (module) => this.needsOf(module, program, pathOf),
    }
  }

  private createHost(
    texts: ReadonlyMap<string, SourceFile>,
    options: ts.CompilerOptions,
  ): ts.CompilerHost {
    const base = ts.createCompilerHost(options)
    const scope = createScope([this.root, ...this.packages])
    const cache = ts.createModuleResolutionCache(this.root, (name) => name, options)
    const resolveOne = (name: string, from: string): ts.ResolvedModuleFull | undefined => {
      const key = `${dirname(from)}\n${name}`
      if (this.resolutions.has(key)) return this.resolutions.get(key)
      const found = this.resolveModule(name, from, options, host, cache)
      this.resolutions.set(key, found)
      return found
    }
    const host: ts.CompilerHost = {
      ...base,
      ...scope,
      getCurrentDirectory: () => this.root,
      fileExists: (path) => texts.has(resolve(path)) || scope.fileExists(path),
      readFile: (path) => texts.get(resolve(path))?.text ?? scope.readFile(path),
      getSourceFile: (path, languageVersion) => {
        const file = fromModule(resolve(path))
        const source = texts.get(file)
        const hash = source?.hash ?? ''
        const before = this.parsed.get(path)
        if (before?.hash === hash) return before.module
        const changedMs = source ? 0 : (ts.sys.getModifiedTime?.(path)?.getTime() ?? 0)
        const shared = source ? undefined : libraries.get(path)
        if (shared?.changedMs === changedMs) return shared.module
        const text = source ? textOfModule(source) : scope.readFile(path)
        if (text === undefined) return undefined
        const module = ts.createSourceFile(path, text, languageVersion, true)
        if (source) this.parsed.set(path, { hash, module })
        else libraries.set(path, { changedMs, module })
        return module
      },
      resolveModuleNameLiterals: (literals, from) =>
        literals.map(({ text }) => ({ resolvedModule: resolveOne(text, from) })),
      writeFile: () => undefined,
    }
    return host
  }

  private resolveModule(
    name: string,
    from: string,
    options: ts.CompilerOptions,
    host: ts.ModuleResolutionHost,
    cache: ts.ModuleResolutionCache,
  ): ts.ResolvedModuleFull | undefined {
    if (name.endsWith('.vue')) {
      const named = ts.resolveModuleName(`${name}.ts`, from, options, {
        ...host,
        fileExists: (path) =>
          path.endsWith(VUE_MODULE) ? host.fileExists(fromModule(path)) : host.fileExists(path),
      }).resolvedModule
      return named && { ...named, resolvedUsingTsExtension: false }
    }
    const found = ts.resolveModuleName(name, from, options, host, cache).resolvedModule
    if (found || !AT_HAND.has(name)) return found
    return ts.resolveModuleName(name, HERE, options, ts.sys).resolvedModule
  }

  /** What a module depends on, each once. */
  private needsOf(
    module: ts.SourceFile,
    program: ts.Program,
    pathOf: Checked['pathOf'],
  ): readonly string[] {
    const seen = new Set<ts.SourceFile>([module])
    for (const one of seen) {
      for (const { text } of importsIn(one)) {
        const key = `${dirname(one.fileName)}\n${text}`
        const next = this.resolutions.get(key)
        const file = next && program.getSourceFile(next.resolvedFileName)
        if (file && pathOf(file) !== undefined) seen.add(file)
      }
    }
    seen.delete(module)
    return [...seen].map((one) => pathOf(one)!).sort()
  }
}

/** What a module names as its imports; the compiler has listed them while it read the module. */
const importsIn = (module: ts.SourceFile): readonly ts.StringLiteralLike[] =>
  (module as ts.SourceFile & { imports?: readonly ts.StringLiteralLike[] }).imports ?? []

const toModule = (path: string): string => (path.endsWith('.vue') ? `${path}.ts` : path)
const fromModule = (path: string): string =>
  path.endsWith(VUE_MODULE) ? path.slice(0, -'.ts'.length) : path

const textOfModule = ({ path, text }: SourceFile): string =>
  path.endsWith('.vue') ? scriptOf(text).text : text
