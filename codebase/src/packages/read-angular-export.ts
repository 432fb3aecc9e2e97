import type { CodeProp } from '@unimorph/core'
import ts from 'typescript'
import { withNative } from '../angular/read-angular.js'
import type { FoundComponent } from '../found.js'
import { eventNamed, slotNamed } from '../props.js'
import { withoutAlias } from '../typescript/without-alias.js'
import { commentOf, toCodeType } from '../typescript/to-code-type.js'

/** `ɵcmp: i0.ɵɵComponentDeclaration<Class, "selector", never, { inputs }, { outputs }, never, ["*"]>` */
const declarationOf = (node: ts.ClassDeclaration): ts.TypeReferenceNode | undefined => {
  for (const member of node.members) {
    if (!ts.isPropertyDeclaration(member) || !member.type) continue
    const name = member.name.getText()
    if ((name === 'ɵcmp' || name === 'ɵdir') && ts.isTypeReferenceNode(member.type))
      return member.type
  }
  return undefined
}

const textIn = (node: ts.TypeNode | undefined): string | undefined =>
  node && ts.isLiteralTypeNode(node) && ts.isStringLiteral(node.literal)
    ? node.literal.text
    : undefined

type Input = { readonly field: string; readonly alias: string; readonly isRequired: boolean }

/** `{ "color": { "alias": "color"; "required": false }; "size": "size" }` */
const inputsIn = (node: ts.TypeNode | undefined): readonly Input[] => {
  if (!node || !ts.isTypeLiteralNode(node)) return []
  return node.members.flatMap((member): Input[] => {
    if (!ts.isPropertySignature(member) || !ts.isStringLiteral(member.name)) return []
    const field = member.name.text
    const short = textIn(member.type)
    if (short !== undefined) return [{ field, alias: short, isRequired: false }]
    const said = member.type && ts.isTypeLiteralNode(member.type) ? member.type.members : []
    let alias = field
    let isRequired = false
    for (const one of said) {
      if (!ts.isPropertySignature(one)) continue
      const name = one.name.getText().replace(/["']/g, '')
      if (name === 'alias') alias = textIn(one.type) ?? alias
      if (name === 'required') isRequired = one.type?.getText() === 'true'
    }
    return [{ field, alias, isRequired }]
  })
}

const namesIn = (node: ts.TypeNode | undefined): readonly string[] =>
  node && ts.isTypeLiteralNode(node)
    ? node.members.flatMap((one) =>
        ts.isPropertySignature(one)
          ? [textIn(one.type) ?? one.name.getText().replace(/["']/g, '')]
          : [],
      )
    : []

const slotsIn = (node: ts.TypeNode | undefined): readonly string[] =>
  node && ts.isTupleTypeNode(node)
    ? node.elements.map((one) => textIn(one as ts.TypeNode) ?? '*')
    : []

/** What comes out of a signal, or of a setter that takes more than it gives. */
const valueType = (type: ts.Type, checker: ts.TypeChecker): ts.Type => {
  const [signature] = type.getCallSignatures()
  const isSignal = /^(Input|Model|Writable)?Signal\b|SignalWithTransform/.test(
    checker.typeToString(type),
  )
  return signature && isSignal ? checker.getReturnTypeOfSignature(signature) : type
}

/** A component or a directive of Angular that a package exports. */
export const readAngularExport = (
  exported: string,
  symbol: ts.Symbol,
  place: ts.SourceFile,
  checker: ts.TypeChecker,
): Omit<FoundComponent, 'path'> | undefined => {
  const target = withoutAlias(symbol, checker)
  const node = target.declarations?.find(ts.isClassDeclaration)
  const declared = node && declarationOf(node)
  const [, selectorNode, , inputs, outputs, , content] = declared?.typeArguments ?? []
  const selector = textIn(selectorNode)
  if (!node || selector === undefined) return undefined
  const instance = checker.getDeclaredTypeOfSymbol(target)
  const given = inputsIn(inputs).map(({ field, alias, isRequired }): CodeProp => {
    const member = instance.getProperty(field)
    const type = member
      ? toCodeType(valueType(checker.getTypeOfSymbolAtLocation(member, place), checker), checker)
      : ({ kind: 'other', text: 'unknown' } as const)
    const about = member && commentOf(member, checker).about
    return { name: alias, type, as: 'prop', isRequired, ...(about === undefined ? {} : { about }) }
  })
  const events = namesIn(outputs).map((name) => eventNamed(name, 'EventEmitter'))
  const slots = slotsIn(content).map((name) =>
    slotNamed(name === '*' ? 'default' : name, 'ng-content'),
  )
  return {
    name: exported.replace(/(Component|Directive)$/, ''),
    framework: 'angular',
    exported,
    selector,
    props: withNative([...given, ...events, ...slots], selector),
    placedBy: 'class',
  }
}
