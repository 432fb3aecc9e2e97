import ts from 'typescript'
import type { Use } from '../found.js'
import type { Checked } from './program.js'
import { withoutAlias } from './without-alias.js'

const isComponentName = (name: string): boolean => /^[A-Z]/.test(name)

const countTags = (node: ts.Node, count: Map<string, number>): void => {
  if (ts.isJsxOpeningElement(node) || ts.isJsxSelfClosingElement(node)) {
    const name = node.tagName.getText()
    count.set(name, (count.get(name) ?? 0) + 1)
  }
  ts.forEachChild(node, (child) => countTags(child, count))
}

/** What a file imports under a name that may be a component's, and how often its markup has it. */
export const readUses = (
  path: string,
  { checker, moduleOf, pathOf }: Checked,
  templateTags: ReadonlyMap<string, number> = new Map(),
): readonly Use[] => {
  const module = moduleOf(path)
  if (!module) return []
  const times = new Map(templateTags)
  const uses: Use[] = []
  let isCounted = false
  for (const statement of module.statements) {
    if (!ts.isImportDeclaration(statement) || !ts.isStringLiteral(statement.moduleSpecifier))
      continue
    const { importClause } = statement
    if (!importClause || importClause.isTypeOnly) continue
    const { namedBindings, name } = importClause
    const bindings = [
      ...(name ? [{ local: name, exported: 'default' }] : []),
      ...(namedBindings && ts.isNamedImports(namedBindings)
        ? namedBindings.elements
            .filter(({ isTypeOnly }) => !isTypeOnly)
            .map((one) => ({ local: one.name, exported: (one.propertyName ?? one.name).text }))
        : []),
    ].filter(({ local }) => isComponentName(local.text))
    for (const { local, exported } of bindings) {
      const specifier = statement.moduleSpecifier.text
      const of = targetOf(local, specifier, exported)
      if (of === undefined) continue
      if (!isCounted) countTags(module, times)
      isCounted = true
      uses.push({ of, specifier, exported, times: times.get(local.text) ?? 0 })
    }
  }
  return uses

  function targetOf(local: ts.Identifier, specifier: string, exported: string): string | undefined {
    const symbol = checker.getSymbolAtLocation(local)
    if (!symbol) return undefined
    const target = withoutAlias(symbol, checker)
    const [declaration] = target.declarations ?? []
    const home = declaration && pathOf(declaration.getSourceFile())
    if (home !== undefined) return `${home}#${target.name}`
    return /^[./]/.test(specifier) ? undefined : `${specifier}#${exported}`
  }
}
