import { folderOf, joinPath } from '@unimorph/core'
import { childOf, childrenOf, textOf, type Syntax } from '../syntax.js'
import type { DartFile, Fault } from './fault.js'

const DECLARATIONS = new Set([
  'class_definition',
  'enum_declaration',
  'function_signature',
  'type_alias',
])

/** The names that a file declares for others. */
const declaredIn = (root: Syntax): ReadonlySet<string> =>
  new Set(
    childrenOf(root).flatMap((node) => {
      if (node.kind === 'static_final_declaration_list')
        return childrenOf(node).flatMap((one) => {
          const name = childOf(one, 'identifier')
          return name ? [textOf(name)] : []
        })
      const name = DECLARATIONS.has(node.kind) && childOf(node, 'identifier')
      return name ? [textOf(name)] : []
    }),
  )

type Used = { readonly name: string; readonly line: number }

/** The names that a file uses, but for those after a dot, each once. */
const usedIn = (root: Syntax): readonly Used[] => {
  const used = new Map<string, Used>()
  const visit = (node: Syntax, line: number, before: string): void => {
    const at = node.line ?? line
    if (/^(type_)?identifier$/.test(node.kind) && before !== '.') {
      const name = textOf(node)
      if (!used.has(name)) used.set(name, { name, line: at })
    }
    // What stands in `${…}` of a string has no nodes of its own.
    if (node.kind === 'string_literal')
      for (const [, name] of textOf(node).matchAll(/\$\{?(\w+)/g))
        used.set(name!, { name: name!, line: at })
    childrenOf(node).forEach((child, i) => {
      visit(child, at, childrenOf(node)[i - 1]?.kind ?? '')
    })
  }
  visit(root, 1, '')
  return [...used.values()]
}

type Import = { readonly address: string; readonly line: number }

const importsIn = (root: Syntax): readonly Import[] =>
  childrenOf(root).flatMap((node) => {
    if (node.kind !== 'import_or_export') return []
    const address = /^import\s*(["'])(.*?)\1/.exec(textOf(node))?.[2]
    return address === undefined || /^(dart|package):/.test(address)
      ? []
      : [{ address, line: node.line ?? 1 }]
  })

/** What is used and not imported, imported and not used, not there to be imported, or declared twice. */
export const faultsOfImports = (files: readonly DartFile[]): readonly Fault[] => {
  const declared = new Map(files.map(({ path, syntax }) => [path, declaredIn(syntax)]))
  const owners = new Map<string, string>()
  const twice: Fault[] = []
  for (const [path, names] of declared) {
    for (const name of names) {
      const before = owners.get(name)
      const isPrivate = name.startsWith('_') || name === 'main'
      if (before !== undefined && !isPrivate)
        twice.push({ path, line: 1, message: `${name} is declared in ${before} too` })
      else if (!isPrivate) owners.set(name, path)
    }
  }
  return [
    ...twice,
    ...files.flatMap(({ path, syntax }): Fault[] => {
      const used = usedIn(syntax)
      const names = new Set(used.map(({ name }) => name))
      const imported = new Set<string>()
      const ofImports = importsIn(syntax).flatMap(({ address, line }): Fault[] => {
        const file = joinPath(folderOf(path), address) ?? address
        imported.add(file)
        const own = declared.get(file)
        if (!own) return [{ path, line, message: `There is no ${file} to import` }]
        const isUsed = [...own].some((name) => names.has(name))
        return isUsed ? [] : [{ path, line, message: `${address} is imported and not used` }]
      })
      const ofNames = used.flatMap(({ name, line }): Fault[] => {
        const owner = owners.get(name)
        if (owner === undefined || owner === path || imported.has(owner)) return []
        return /^[A-Z]/.test(name) ? [{ path, line, message: `${name} is not imported` }] : []
      })
      return [...ofImports, ...ofNames]
    }),
  ]
}
