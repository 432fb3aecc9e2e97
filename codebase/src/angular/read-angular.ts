import type { CodeProp, CodeType } from '@unimorph/core'
import ts from 'typescript'
import type { FoundComponent } from '../found.js'
import { eventNamed, slotNamed } from '../props.js'
import type { Checked } from '../typescript/program.js'
import { commentOf, literalIn, toCodeType } from '../typescript/to-code-type.js'

/** The argument of a decorator of this name. */
const decoratorOf = (
  node: ts.HasDecorators,
  name: string,
): { readonly argument: ts.Expression | undefined } | undefined => {
  for (const { expression } of ts.getDecorators(node) ?? []) {
    if (ts.isCallExpression(expression) && expression.expression.getText() === name)
      return { argument: expression.arguments[0] }
  }
  return undefined
}

/** The value of a field of an object in code. */
const fieldOf = (object: ts.Expression | undefined, name: string): ts.Expression | undefined => {
  if (!object || !ts.isObjectLiteralExpression(object)) return undefined
  for (const one of object.properties) {
    if (ts.isPropertyAssignment(one) && one.name.getText() === name) return one.initializer
  }
  return undefined
}

/** A plain attribute gives a text; where a prop makes yes or no, or a number, of that, it is one. */
const afterTransform = (type: CodeType, transform: string | undefined): CodeType => {
  if (transform === 'booleanAttribute') return { kind: 'boolean', text: 'boolean' }
  if (transform === 'numberAttribute') return { kind: 'number', text: 'number' }
  return type
}

/** `input()`, `input.required()`, `model()`, `output()`. */
const signalOf = (node: ts.Expression | undefined) => {
  if (!node || !ts.isCallExpression(node)) return undefined
  const { expression } = node
  const isRequired =
    ts.isPropertyAccessExpression(expression) && expression.name.text === 'required'
  const callee = isRequired ? (expression as ts.PropertyAccessExpression).expression : expression
  if (!ts.isIdentifier(callee) || !['input', 'model', 'output'].includes(callee.text))
    return undefined
  const [first, second] = node.arguments
  return {
    kind: callee.text as 'input' | 'model' | 'output',
    isRequired,
    start: isRequired ? undefined : first,
    options: isRequired ? first : second,
    said: node.typeArguments?.[0],
  }
}

const textIn = (node: ts.Expression | undefined): string | undefined =>
  node && ts.isStringLiteralLike(node) ? node.text : undefined

/** What comes out of a signal. */
const unwrapped = (type: ts.Type, checker: ts.TypeChecker): ts.Type => {
  const [signature] = type.getCallSignatures()
  return signature ? checker.getReturnTypeOfSignature(signature) : type
}

const propOf = (member: ts.ClassElement, checker: ts.TypeChecker): readonly CodeProp[] => {
  if (!ts.isPropertyDeclaration(member) && !ts.isSetAccessor(member)) return []
  const name = member.name.getText()
  const symbol = checker.getSymbolAtLocation(member.name)
  const { about } = symbol ? commentOf(symbol, checker) : {}
  const common = about === undefined ? {} : { about }
  const start = ts.isPropertyDeclaration(member) ? member.initializer : undefined
  const signal = signalOf(start)
  if (signal) {
    const alias = textIn(fieldOf(signal.options, 'alias')) ?? name
    if (signal.kind === 'output')
      return [{ ...eventNamed(alias, signal.said?.getText() ?? ''), ...common }]
    const transform = fieldOf(signal.options, 'transform')?.getText()
    const type = unwrapped(checker.getTypeAtLocation(member), checker)
    const standard = literalIn(signal.start)
    return [
      {
        name: alias,
        type: afterTransform(toCodeType(type, checker, signal.said), transform),
        as: 'prop',
        isRequired: signal.isRequired,
        ...(standard === undefined ? {} : { standard }),
        ...common,
      },
    ]
  }
  const input = decoratorOf(member, 'Input')
  if (input) {
    const { argument } = input
    const alias = textIn(argument) ?? textIn(fieldOf(argument, 'alias')) ?? name
    const said = ts.isSetAccessor(member) ? member.parameters[0]?.type : member.type
    const standard = literalIn(start)
    const type = toCodeType(checker.getTypeAtLocation(member), checker, said)
    return [
      {
        name: alias,
        type: afterTransform(type, fieldOf(argument, 'transform')?.getText()),
        as: 'prop',
        isRequired: literalIn(fieldOf(argument, 'required')) === true,
        ...(standard === undefined ? {} : { standard }),
        ...common,
      },
    ]
  }
  const output = decoratorOf(member, 'Output')
  if (output) return [{ ...eventNamed(textIn(output.argument) ?? name, ''), ...common }]
  return []
}

/** The places of a template for what stands between the tags, by what they select. */
export const slotsIn = (template: string): readonly CodeProp[] => {
  const names = [...template.matchAll(/<ng-content\b([^>]*)>/g)].map(
    ([, attributes]) => /\bselect\s*=\s*"([^"]+)"/.exec(attributes!)?.[1] ?? 'default',
  )
  return [...new Set(names)].map((name) =>
    slotNamed(name, name === 'default' ? 'ng-content' : `ng-content ${name}`),
  )
}

/** What a class is given, its own fields before those it inherits. */
const membersOf = (node: ts.ClassDeclaration, checker: ts.TypeChecker): readonly CodeProp[] => {
  const own = node.members.flatMap((member) => propOf(member, checker))
  const clause = node.heritageClauses?.find(({ token }) => token === ts.SyntaxKind.ExtendsKeyword)
  const base = clause?.types[0] && checker.getTypeAtLocation(clause.types[0]).getSymbol()
  const [declaration] = base?.declarations ?? []
  if (!declaration || !ts.isClassDeclaration(declaration)) return own
  const names = new Set(own.map(({ name }) => name))
  return [...own, ...membersOf(declaration, checker).filter(({ name }) => !names.has(name))]
}

const inherited = (name: string, type: CodeType, as: CodeProp['as']): CodeProp => ({
  name,
  type,
  as,
  isRequired: false,
  isInherited: true,
})

/** What the element a component stands on takes itself. */
const nativeProps = (selector: string): readonly CodeProp[] => [
  ...(/^\s*button\b/.test(selector)
    ? [
        inherited(
          'type',
          { kind: 'choice', text: 'string', options: ['button', 'submit', 'reset'] },
          'prop',
        ),
      ]
    : []),
  ...(/^\s*a\b/.test(selector)
    ? [inherited('href', { kind: 'string', text: 'string' }, 'prop')]
    : []),
  inherited('click', { kind: 'handler', text: 'MouseEvent' }, 'event'),
]

/** What is said by the component itself comes first. */
export const withNative = (own: readonly CodeProp[], selector: string): CodeProp[] => {
  const names = new Set(own.map(({ name }) => name))
  return [...own, ...nativeProps(selector).filter(({ name }) => !names.has(name))]
}

/** The components and directives of a module; `readTemplate` gives the text of a template beside it. */
export const readAngular = (
  path: string,
  { checker, moduleOf }: Checked,
  readTemplate: (relative: string) => string | undefined,
): readonly FoundComponent[] => {
  const module = moduleOf(path)
  if (!module) return []
  return module.statements.flatMap((node): FoundComponent[] => {
    if (!ts.isClassDeclaration(node) || !node.name) return []
    const made = decoratorOf(node, 'Component') ?? decoratorOf(node, 'Directive')
    const selector = textIn(fieldOf(made?.argument, 'selector'))
    const isExported = node.modifiers?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)
    if (!made || selector === undefined || !isExported) return []
    const beside = textIn(fieldOf(made.argument, 'templateUrl'))
    const template =
      textIn(fieldOf(made.argument, 'template')) ??
      (beside === undefined ? undefined : readTemplate(beside)) ??
      ''
    const symbol = checker.getSymbolAtLocation(node.name)
    const { about, isDeprecated } = symbol ? commentOf(symbol, checker) : {}
    return [
      {
        name: node.name.text.replace(/(Component|Directive)$/, ''),
        framework: 'angular',
        path,
        exported: node.name.text,
        selector,
        props: withNative([...membersOf(node, checker), ...slotsIn(template)], selector),
        placedBy: 'class',
        ...(about === undefined ? {} : { about }),
        ...(isDeprecated ? { isDeprecated } : {}),
      },
    ]
  })
}
