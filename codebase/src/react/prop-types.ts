import type { CodeProp, CodeType, Literal } from '@unimorph/core'
import ts from 'typescript'
import { literalIn } from '../typescript/to-code-type.js'
import { staticTables } from './static-tables.js'

/** What the checks of the package prop-types accept, as types. */
const typeOf = (node: ts.Expression): { readonly type: CodeType; readonly isRequired: boolean } => {
  const text = node.getText().replace(/\s+/g, ' ')
  if (ts.isPropertyAccessExpression(node) && node.name.text === 'isRequired')
    return { type: typeOf(node.expression).type, isRequired: true }
  const type = ((): CodeType => {
    if (ts.isCallExpression(node)) {
      const name = nameOf(node.expression)
      const [first] = node.arguments
      const items = first && ts.isArrayLiteralExpression(first) ? first.elements : undefined
      if (name === 'oneOf' && items) {
        const options = items.map(literalIn).filter((one) => one !== undefined)
        if (options.length === items.length) return { kind: 'choice', text, options }
      }
      if (name === 'oneOfType' && items) {
        const types = items.map((item) => typeOf(item).type)
        const kinds = ['node', 'string', 'number', 'boolean', 'handler'] as const
        const kind = kinds.find((one) => types.some((type) => type.kind === one))
        if (kind) return { kind, text }
      }
      return { kind: 'other', text }
    }
    switch (nameOf(node)) {
      case 'bool':
        return { kind: 'boolean', text }
      case 'element':
      case 'node':
        return { kind: 'node', text }
      case 'func':
        return { kind: 'handler', text }
      case 'number':
        return { kind: 'number', text }
      case 'string':
        return { kind: 'string', text }
      default:
        return { kind: 'other', text }
    }
  })()
  return { type, isRequired: false }
}

const nameOf = (node: ts.Expression): string =>
  ts.isPropertyAccessExpression(node) ? node.name.text : ts.isIdentifier(node) ? node.text : ''

/** What a component without types is given, by its `propTypes`; `known`: what is known otherwise. */
export const propTypesOf = (
  symbol: ts.Symbol,
  name: string,
  standards: ReadonlyMap<string, Literal>,
  known: readonly CodeProp[],
): readonly CodeProp[] => {
  const [table] = staticTables(symbol, name, 'propTypes')
  if (!table) return known
  return table.properties.flatMap((property): CodeProp[] => {
    if (!ts.isPropertyAssignment(property)) return []
    const own = property.name.getText().replace(/^['"]|['"]$/g, '')
    const { type, isRequired } = typeOf(property.initializer)
    const standard = standards.get(own)
    const isEvent = type.kind === 'handler' && /^on[A-Z]/.test(own)
    return [
      {
        name: own,
        type,
        as: own === 'children' ? 'slot' : isEvent ? 'event' : 'prop',
        isRequired: isRequired && standard === undefined,
        ...(standard === undefined ? {} : { standard }),
      },
    ]
  })
}
