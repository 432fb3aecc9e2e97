import { existsSync, readFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import type { CodeComponent, ScanNote } from '@unimorph/core'
import ts from 'typescript'
import type { FoundComponent } from '../found.js'
import { readReactComponent } from '../react/read-react.js'
import { Modules } from '../typescript/program.js'
import { withoutAlias } from '../typescript/without-alias.js'
import { readAngularExport } from './read-angular-export.js'
import { readVueExport } from './read-vue-export.js'

type Manifest = {
  readonly name?: string
  readonly version?: string
  readonly exports?: Readonly<Record<string, unknown>> | string
  readonly dependencies?: Readonly<Record<string, string>>
  readonly peerDependencies?: Readonly<Record<string, string>>
}

type ReadExport = (
  exported: string,
  symbol: ts.Symbol,
  place: ts.SourceFile,
  checker: ts.TypeChecker,
) => Omit<FoundComponent, 'path'> | undefined

/** How exports are read, by the package that everything is made with. */
const READERS: readonly (readonly [string, ReadExport])[] = [
  ['@angular/core', readAngularExport],
  ['vue', readVueExport],
  ['react', readReactComponent],
]

/** A name that a package may have, and no path. */
const PACKAGE = /^(@[a-z0-9~-][\w.~-]*\/)?[a-z0-9~-][\w.~-]*$/i

/** The folder of an installed package, as files in `root` see it. */
export const findPackage = (root: string, name: string): string | undefined => {
  if (!PACKAGE.test(name)) return undefined
  for (let folder = resolve(root); ; folder = dirname(folder)) {
    const found = join(folder, 'node_modules', name)
    if (existsSync(join(found, 'package.json'))) return found
    if (dirname(folder) === folder) return undefined
  }
}

/** What may be imported of a package: itself, and its parts that have an entry of their own. */
const entriesOf = ({ exports }: Manifest, name: string, isSplit: boolean): readonly string[] => {
  if (!isSplit || typeof exports !== 'object') return [name]
  const parts = Object.keys(exports).filter(
    (key) =>
      key.startsWith('./') && !/[*]|\.(json|css|scss|js)$/.test(key) && !key.endsWith('/testing'),
  )
  return [name, ...parts.map((key) => `${name}${key.slice(1)}`)]
}

export type ScannedPackage = {
  readonly name: string
  readonly version: string
  readonly components: readonly CodeComponent[]
  readonly notes: readonly ScanNote[]
}

/** The components of an installed package, by its published types; nothing of it is executed. */
export const scanPackage = (root: string, name: string): ScannedPackage => {
  const folder = findPackage(root, name)
  const none = { name, version: '', components: [] }
  if (folder === undefined) {
    const message = `${name} is not installed; run npm install in the codebase.`
    return { ...none, notes: [{ path: 'package.json', message }] }
  }
  const manifest = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8')) as Manifest
  const needs = { ...manifest.dependencies, ...manifest.peerDependencies }
  const reader = READERS.find(([framework]) => Object.hasOwn(needs, framework))
  if (!reader) {
    const message = `${name} is made with none of React, Vue or Angular.`
    return { ...none, notes: [{ path: 'package.json', message }] }
  }
  const [framework, read] = reader
  const entries = entriesOf(manifest, name, framework === '@angular/core')
  // A module of nothing but the package stands in the codebase, so that names lead where they lead there.
  const files = entries.map((entry, i) => {
    const text = `export * from ${JSON.stringify(entry)}\n`
    return { path: `unimorph-package-${i}.ts`, text, hash: text }
  })
  const { checker, moduleOf } = new Modules(resolve(root), [folder]).check(
    files,
    files.map(({ path }) => path),
  )
  const found = new Map<string, CodeComponent>()
  const seen = new Set<ts.Symbol>()
  files.forEach(({ path }, i) => {
    const module = moduleOf(path)
    const symbol = module && checker.getSymbolAtLocation(module)
    if (!module || !symbol) return
    for (const one of checker.getExportsOfModule(symbol)) {
      const target = withoutAlias(one, checker)
      // What several parts of a package pass on is of the first of them.
      if (seen.has(target)) continue
      seen.add(target)
      const component = read(one.name, one, module, checker)
      const specifier = entries[i]!
      const id = `${specifier}#${one.name}`
      if (!component || found.has(id)) continue
      found.set(id, { id, ...component, specifier, uses: 0 })
    }
  })
  return {
    name,
    version: manifest.version ?? '',
    components: [...found.values()].sort((a, b) => (a.id < b.id ? -1 : 1)),
    notes:
      found.size === 0
        ? [{ path: 'package.json', message: `No components were found in ${name}.` }]
        : [],
  }
}
