import type { CodeProp, CodeType, Literal } from '@unimorph/core'
import ts from 'typescript'
import { literalIn, toCodeType } from '../typescript/to-code-type.js'

const KINDS: Readonly<Record<string, CodeType['kind']>> = {
  Boolean: 'boolean',
  Function: 'handler',
  Number: 'number',
  String: 'string',
}

const BEFORE = ['String', 'Number', 'Boolean', 'Function'] as const

/** `String`, `[String, Number]`, `String as PropType<'a' | 'b'>`. */
const typeOf = (node: ts.Expression, checker: ts.TypeChecker): CodeType => {
  const text = node.getText().replace(/\s+/g, ' ')
  if (ts.isAsExpression(node)) {
    const said = ts.isTypeReferenceNode(node.type) ? node.type.typeArguments?.[0] : undefined
    return said
      ? toCodeType(checker.getTypeFromTypeNode(said), checker, said)
      : typeOf(node.expression, checker)
  }
  if (ts.isArrayLiteralExpression(node)) {
    const names = node.elements.map((one) => one.getText())
    const kind = BEFORE.find((one) => names.includes(one))
    return kind ? ({ kind: KINDS[kind], text } as CodeType) : { kind: 'other', text }
  }
  const kind = ts.isIdentifier(node) ? KINDS[node.text] : undefined
  return kind === undefined ? { kind: 'other', text } : ({ kind, text } as CodeType)
}

const nameOf = (name: ts.PropertyName | undefined): string | undefined =>
  name && (ts.isIdentifier(name) || ts.isStringLiteral(name)) ? name.text : undefined

/** Options that a validator of the form `['a', 'b'].includes(value)` allows. */
const allowedBy = (node: ts.Node): readonly Literal[] | undefined => {
  if (
    ts.isCallExpression(node) &&
    ts.isPropertyAccessExpression(node.expression) &&
    node.expression.name.text === 'includes' &&
    ts.isArrayLiteralExpression(node.expression.expression)
  ) {
    const all = node.expression.expression.elements.map(literalIn)
    return all.every((one) => one !== undefined) ? all : undefined
  }
  return ts.forEachChild(node, allowedBy)
}

/** A prop as the object of its options, or its type alone, describes it. */
export const runtimeProp = (
  name: string,
  described: ts.Expression,
  checker: ts.TypeChecker,
): CodeProp => {
  if (!ts.isObjectLiteralExpression(described)) {
    return { name, type: typeOf(described, checker), as: 'prop', isRequired: false }
  }
  const said = new Map(described.properties.map((one) => [nameOf(one.name), one] as const))
  const valueOf = (key: string): ts.Expression | undefined => {
    const one = said.get(key)
    return one && ts.isPropertyAssignment(one) ? one.initializer : undefined
  }
  const own = valueOf('type')
  const type: CodeType = own ? typeOf(own, checker) : { kind: 'other', text: 'any' }
  const validator = said.get('validator')
  const options = validator && allowedBy(validator)
  const standard = literalIn(valueOf('default'))
  return {
    name,
    type: options ? { kind: 'choice', text: type.text, options: [...options] } : type,
    as: 'prop',
    isRequired: literalIn(valueOf('required')) === true,
    ...(standard === undefined ? {} : { standard }),
  }
}

/** Props as an object, or a list of names, describes them while the component runs. */
export const runtimeProps = (node: ts.Expression, checker: ts.TypeChecker): readonly CodeProp[] => {
  if (ts.isArrayLiteralExpression(node)) {
    return node.elements.flatMap((one): CodeProp[] =>
      ts.isStringLiteral(one)
        ? [{ name: one.text, type: { kind: 'other', text: 'any' }, as: 'prop', isRequired: false }]
        : [],
    )
  }
  if (!ts.isObjectLiteralExpression(node)) return []
  return node.properties.flatMap((property): CodeProp[] => {
    const name = nameOf(property.name)
    if (name === undefined || !ts.isPropertyAssignment(property)) return []
    return [runtimeProp(name, property.initializer, checker)]
  })
}
