import type { CodeProp, CodeType, Literal } from '@unimorph/core'
import ts from 'typescript'
import type { FoundComponent } from '../found.js'
import { nameOfFile } from '../name.js'
import type { Checked } from '../typescript/program.js'
import { commentOf, literalIn, toCodeType } from '../typescript/to-code-type.js'
import { withoutAlias } from '../typescript/without-alias.js'
import { propTypesOf } from './prop-types.js'
import { staticTables } from './static-tables.js'

/** Of what every element takes, only this is of use to who writes screens. */
const COMMON: ReadonlySet<string> = new Set([
  'alt',
  'aria-label',
  'checked',
  'children',
  'className',
  'defaultChecked',
  'defaultValue',
  'disabled',
  'href',
  'htmlFor',
  'id',
  'name',
  'onChange',
  'onClick',
  'onSubmit',
  'placeholder',
  'required',
  'src',
  'target',
  'title',
  'type',
  'value',
])
/** Of React itself, and no prop of a component. */
const REACTS_OWN: ReadonlySet<string> = new Set(['key', 'ref', 'dangerouslySetInnerHTML'])

const SHOWN = /\b(Element|ReactElement|ReactNode|ReactPortal)\b/

const isComponentName = (name: string): boolean => /^[A-Z]/.test(name)

const holdsJsx = (node: ts.Node): boolean =>
  ts.isJsxElement(node) ||
  ts.isJsxSelfClosingElement(node) ||
  ts.isJsxFragment(node) ||
  ts.forEachChild(node, (child) => holdsJsx(child) || undefined) === true

type Behind = {
  readonly body?: ts.SignatureDeclaration
  /** What the file calls it. */
  readonly name?: string
}

const nameIn = (node: ts.Node & { readonly name?: ts.Node | undefined }): string | undefined =>
  node.name && ts.isIdentifier(node.name) ? node.name.text : undefined

/** The function behind wrappers as `memo(forwardRef(function …))`, and behind names. */
const behind = (node: ts.Node | undefined, checker: ts.TypeChecker): Behind => {
  if (!node) return {}
  if (ts.isFunctionDeclaration(node) || ts.isFunctionExpression(node) || ts.isArrowFunction(node)) {
    const name = nameIn(node)
    return { body: node, ...(name === undefined ? {} : { name }) }
  }
  if (ts.isVariableDeclaration(node)) {
    const name = nameIn(node)
    return { ...behind(node.initializer, checker), ...(name === undefined ? {} : { name }) }
  }
  if (ts.isClassDeclaration(node)) {
    const name = nameIn(node)
    return name === undefined ? {} : { name }
  }
  if (ts.isExportAssignment(node)) return behind(node.expression, checker)
  if (ts.isIdentifier(node)) {
    const [declaration] = checker.getSymbolAtLocation(node)?.declarations ?? []
    return declaration && !ts.isImportSpecifier(declaration) ? behind(declaration, checker) : {}
  }
  if (ts.isCallExpression(node)) {
    for (const argument of node.arguments) {
      const found = behind(argument, checker)
      if (found.body || found.name !== undefined) return found
    }
  }
  if (
    ts.isAsExpression(node) ||
    ts.isSatisfiesExpression(node) ||
    ts.isParenthesizedExpression(node)
  )
    return behind(node.expression, checker)
  return {}
}

/** Whether a signature gives something that is shown; what has no type is looked into. */
const showsSomething = (
  signature: ts.Signature,
  checker: ts.TypeChecker,
  body: ts.Node | undefined,
): boolean => {
  const type = signature.getReturnType()
  if ((type.flags & ts.TypeFlags.Any) !== 0) return body !== undefined && holdsJsx(body)
  return SHOWN.test(checker.typeToString(type, undefined, ts.TypeFormatFlags.NoTruncation))
}

type Shape = {
  readonly name: string | undefined
  readonly props: ts.Type | undefined
  readonly body: ts.SignatureDeclaration | undefined
}

/** What a component is given, where a value is a component. */
const shapeOf = (symbol: ts.Symbol, place: ts.Node, checker: ts.TypeChecker): Shape | undefined => {
  const type = checker.getTypeOfSymbolAtLocation(symbol, place)
  const { body, name } = behind(symbol.valueDeclaration ?? symbol.declarations?.[0], checker)
  for (const signature of type.getCallSignatures()) {
    const [first, ...rest] = signature.getParameters()
    if (rest.length > 1 || !showsSomething(signature, checker, body)) continue
    return { props: first && checker.getTypeOfSymbolAtLocation(first, place), body, name }
  }
  for (const signature of type.getConstructSignatures()) {
    const instance = signature.getReturnType()
    const props = instance.getProperty('props')
    if (!props || !instance.getProperty('render')) continue
    return { props: checker.getTypeOfSymbolAtLocation(props, place), body: undefined, name }
  }
  // An unknown wrapper around a function that shows something.
  if ((type.flags & ts.TypeFlags.Any) !== 0 && body && holdsJsx(body)) {
    const [first] = body.parameters
    return { props: first && checker.getTypeAtLocation(first), body, name }
  }
  return undefined
}

/** What a function has for what it is not given: `({ size = 'md' })`. */
const standardsIn = (body: ts.SignatureDeclaration | undefined): ReadonlyMap<string, Literal> => {
  const found = new Map<string, Literal>()
  const read = (pattern: ts.BindingName): void => {
    if (!ts.isObjectBindingPattern(pattern)) return
    for (const { propertyName, name, initializer } of pattern.elements) {
      const value = literalIn(initializer)
      const key = propertyName ?? name
      if (value !== undefined && (ts.isIdentifier(key) || ts.isStringLiteral(key)))
        found.set(key.text, value)
    }
  }
  const [first] = body?.parameters ?? []
  if (!first) return found
  read(first.name)
  // `function Btn(props) { const { size = 'md' } = props`
  if (ts.isIdentifier(first.name) && body && 'body' in body && body.body && ts.isBlock(body.body)) {
    const own = first.name.text
    for (const statement of body.body.statements) {
      if (!ts.isVariableStatement(statement)) continue
      for (const { name, initializer } of statement.declarationList.declarations) {
        if (initializer && ts.isIdentifier(initializer) && initializer.text === own) read(name)
      }
    }
  }
  return found
}

const isOfElements = (symbol: ts.Symbol): boolean =>
  (symbol.declarations ?? []).every((one) =>
    /@types\/react\/|\/lib\.dom|typescript\/lib/.test(one.getSourceFile().fileName),
  )

const declaredType = (symbol: ts.Symbol): ts.TypeNode | undefined => {
  const [declaration] = symbol.declarations ?? []
  return declaration &&
    (ts.isPropertySignature(declaration) || ts.isPropertyDeclaration(declaration))
    ? declaration.type
    : undefined
}

const asOf = (name: string, type: CodeType): CodeProp['as'] => {
  if (name === 'children') return 'slot'
  return type.kind === 'handler' && /^on[A-Z]/.test(name) ? 'event' : 'prop'
}

const propsOf = (
  type: ts.Type,
  place: ts.Node,
  standards: ReadonlyMap<string, Literal>,
  checker: ts.TypeChecker,
): readonly CodeProp[] =>
  checker.getPropertiesOfType(checker.getApparentType(type)).flatMap((symbol): CodeProp[] => {
    const { name } = symbol
    if (REACTS_OWN.has(name)) return []
    const isInherited = isOfElements(symbol)
    if (isInherited && !COMMON.has(name)) return []
    const code = toCodeType(
      checker.getTypeOfSymbolAtLocation(symbol, place),
      checker,
      isInherited ? undefined : declaredType(symbol),
    )
    const { about, standard } = isInherited ? {} : commentOf(symbol, checker)
    const own = standards.get(name) ?? standard
    return [
      {
        name,
        type: name === 'children' && code.kind === 'other' ? { ...code, kind: 'node' } : code,
        as: asOf(name, code),
        isRequired: (symbol.flags & ts.SymbolFlags.Optional) === 0 && !standards.has(name),
        ...(own === undefined ? {} : { standard: own }),
        ...(about === undefined ? {} : { about }),
        ...(isInherited ? { isInherited: true } : {}),
      },
    ]
  })

/** `defaultProps` of a component, as its file or its class sets them. */
const defaultPropsIn = (symbol: ts.Symbol, name: string): ReadonlyMap<string, Literal> => {
  const found = new Map<string, Literal>()
  const tables = staticTables(symbol, name, 'defaultProps')
  for (const property of tables.flatMap(({ properties }) => [...properties])) {
    if (!ts.isPropertyAssignment(property) || !ts.isIdentifier(property.name)) continue
    const literal = literalIn(property.initializer)
    if (literal !== undefined) found.set(property.name.text, literal)
  }
  return found
}

/** A component from what a module, or a package, exports; undefined where that is none. */
export const readReactComponent = (
  exported: string,
  symbol: ts.Symbol,
  place: ts.SourceFile,
  checker: ts.TypeChecker,
): Omit<FoundComponent, 'path'> | undefined => {
  const target = withoutAlias(symbol, checker)
  if ((target.flags & ts.SymbolFlags.Value) === 0) return undefined
  const shape = shapeOf(target, place, checker)
  if (!shape) return undefined
  const own = shape.name ?? target.name
  const name =
    exported === 'default' ? (own === 'default' ? nameOfFile(place.fileName) : own) : exported
  if (!isComponentName(name)) return undefined
  const standards = new Map([...defaultPropsIn(target, own), ...standardsIn(shape.body)])
  const typed = shape.props ? propsOf(shape.props, place, standards, checker) : []
  const isUntyped = shape.props !== undefined && (shape.props.flags & ts.TypeFlags.Any) !== 0
  const isScript = /\.[cm]?jsx?$/.test(place.fileName)
  const props =
    typed.length === 0 || isUntyped || isScript ? propTypesOf(target, own, standards, typed) : typed
  const { about, isDeprecated } = commentOf(target, checker)
  return {
    name,
    framework: 'react',
    exported,
    props: [...props],
    ...(props.some((prop) => prop.name === 'className') ? { placedBy: 'className' } : {}),
    ...(about === undefined ? {} : { about }),
    ...(isDeprecated ? { isDeprecated } : {}),
  }
}

/** The components that a module declares and exports. */
export const readReact = (
  path: string,
  { checker, moduleOf }: Checked,
): readonly FoundComponent[] => {
  const module = moduleOf(path)
  const symbol = module && checker.getSymbolAtLocation(module)
  if (!module || !symbol) return []
  const found: FoundComponent[] = []
  for (const one of checker.getExportsOfModule(symbol)) {
    const target = withoutAlias(one, checker)
    // What is passed on from another file is read there.
    if (target.declarations?.[0]?.getSourceFile() !== module) continue
    const component = readReactComponent(one.name, one, module, checker)
    if (component) found.push({ ...component, path })
  }
  // Exported under its name and by default, it is one.
  const named = new Set(
    found.filter(({ exported }) => exported !== 'default').map(({ name }) => name),
  )
  return found.filter(({ exported, name }) => exported !== 'default' || !named.has(name))
}
