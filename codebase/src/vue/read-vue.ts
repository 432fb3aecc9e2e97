import type { CodeProp, Literal } from '@unimorph/core'
import ts from 'typescript'
import type { FoundComponent } from '../found.js'
import { nameOfFile } from '../name.js'
import { eventNamed, slotNamed } from '../props.js'
import type { Checked } from '../typescript/program.js'
import { commentOf, literalIn, toCodeType } from '../typescript/to-code-type.js'
import { runtimeProp, runtimeProps } from './runtime-props.js'

const calls = (node: ts.Node, found: ts.CallExpression[] = []): ts.CallExpression[] => {
  if (ts.isCallExpression(node) && ts.isIdentifier(node.expression)) found.push(node)
  ts.forEachChild(node, (child) => {
    // What happens in functions is not said of the component.
    if (!ts.isFunctionLike(child)) calls(child, found)
  })
  return found
}

const declared = (symbol: ts.Symbol): ts.TypeNode | undefined => {
  const [one] = symbol.declarations ?? []
  return one && ts.isPropertySignature(one) ? one.type : undefined
}

const typedProps = (
  node: ts.TypeNode,
  standards: ReadonlyMap<string, Literal>,
  checker: ts.TypeChecker,
): readonly CodeProp[] =>
  checker.getPropertiesOfType(checker.getTypeFromTypeNode(node)).map((symbol): CodeProp => {
    const { name } = symbol
    const type = toCodeType(
      checker.getTypeOfSymbolAtLocation(symbol, node),
      checker,
      declared(symbol),
    )
    const { about, standard } = commentOf(symbol, checker)
    const own = standards.get(name) ?? standard
    return {
      name,
      type,
      as: 'prop',
      isRequired: (symbol.flags & ts.SymbolFlags.Optional) === 0 && !standards.has(name),
      ...(own === undefined ? {} : { standard: own }),
      ...(about === undefined ? {} : { about }),
    }
  })

/** Events of `defineEmits<{ pick: [id: string] }>()`, of its older form with signatures, and of a list of names. */
const eventsOf = (call: ts.CallExpression, checker: ts.TypeChecker): readonly CodeProp[] => {
  const [said] = call.typeArguments ?? []
  if (said) {
    const type = checker.getTypeFromTypeNode(said)
    const signed = type.getCallSignatures().flatMap((signature) => {
      const [first] = signature.getParameters()
      const one = first && checker.getTypeOfSymbolAtLocation(first, call)
      const names = one ? (one.isUnion() ? one.types : [one]) : []
      return names.flatMap((name) =>
        name.isStringLiteral() ? [eventNamed(name.value, name.value)] : [],
      )
    })
    return [
      ...signed,
      ...checker
        .getPropertiesOfType(type)
        .map((symbol) => eventNamed(symbol.name, declared(symbol)?.getText() ?? '')),
    ]
  }
  return call.arguments[0] ? namedEvents(call.arguments[0]) : []
}

/** Events as a list of names, or an object with their checks. */
const namedEvents = (list: ts.Expression): readonly CodeProp[] => {
  if (ts.isArrayLiteralExpression(list)) {
    return list.elements.flatMap((one) =>
      ts.isStringLiteral(one) ? [eventNamed(one.text, '')] : [],
    )
  }
  if (!ts.isObjectLiteralExpression(list)) return []
  return list.properties.flatMap(({ name }) =>
    name && (ts.isIdentifier(name) || ts.isStringLiteral(name)) ? [eventNamed(name.text, '')] : [],
  )
}

/** What `withDefaults(…, { size: 'md' })` and `const { size = 'md' } = defineProps` have for what is not given. */
const standardsOf = (call: ts.CallExpression): ReadonlyMap<string, Literal> => {
  const found = new Map<string, Literal>()
  const outer = call.parent
  const around =
    ts.isCallExpression(outer) && outer.expression.getText() === 'withDefaults' ? outer : undefined
  const table = around?.arguments[1]
  if (table && ts.isObjectLiteralExpression(table)) {
    for (const one of table.properties) {
      const value = ts.isPropertyAssignment(one) ? literalIn(one.initializer) : undefined
      if (value !== undefined && one.name && ts.isIdentifier(one.name))
        found.set(one.name.text, value)
    }
  }
  const statement = (around ?? call).parent
  if (ts.isVariableDeclaration(statement) && ts.isObjectBindingPattern(statement.name)) {
    for (const { name, propertyName, initializer } of statement.name.elements) {
      const key = propertyName ?? name
      const value = literalIn(initializer)
      if (value !== undefined && ts.isIdentifier(key)) found.set(key.text, value)
    }
  }
  return found
}

/** A two-way value of `defineModel`, as the prop it is. */
const modelOf = (call: ts.CallExpression, checker: ts.TypeChecker): CodeProp => {
  const [first, second] = call.arguments
  const name = first && ts.isStringLiteral(first) ? first.text : 'modelValue'
  const options = first && ts.isStringLiteral(first) ? second : first
  const [said] = call.typeArguments ?? []
  const found = options && runtimeProp(name, options, checker)
  return {
    name,
    as: 'prop',
    isRequired: false,
    ...found,
    type: said
      ? toCodeType(checker.getTypeFromTypeNode(said), checker, said)
      : (found?.type ?? { kind: 'other', text: 'unknown' }),
  }
}

/** The object of the options API: `export default { props }` or `defineComponent({ props })`. */
const optionsIn = (module: ts.SourceFile): ts.ObjectLiteralExpression | undefined => {
  for (const statement of module.statements) {
    if (!ts.isExportAssignment(statement)) continue
    const { expression } = statement
    const object = ts.isCallExpression(expression) ? expression.arguments[0] : expression
    if (object && ts.isObjectLiteralExpression(object)) return object
  }
  return undefined
}

const optionsProps = (module: ts.SourceFile, checker: ts.TypeChecker): readonly CodeProp[] =>
  (optionsIn(module)?.properties ?? []).flatMap((one): readonly CodeProp[] => {
    if (!ts.isPropertyAssignment(one) || !ts.isIdentifier(one.name)) return []
    if (one.name.text === 'props') return runtimeProps(one.initializer, checker)
    if (one.name.text !== 'emits') return []
    return namedEvents(one.initializer)
  })

/** What is listened to and not told by the component itself is heard by its element. */
const CLICK: CodeProp = { ...eventNamed('click', 'MouseEvent'), isInherited: true }

/** The component of a single-file component; `slots`: the places of its template that others fill. */
export const readVue = (
  path: string,
  slots: readonly string[],
  { checker, moduleOf }: Checked,
): FoundComponent | undefined => {
  const module = moduleOf(path)
  if (!module) return undefined
  const props: CodeProp[] = [...optionsProps(module, checker)]
  const named = new Set(slots)
  for (const call of calls(module)) {
    const [said] = call.typeArguments ?? []
    switch ((call.expression as ts.Identifier).text) {
      case 'defineProps': {
        const standards = standardsOf(call)
        const own = said
          ? typedProps(said, standards, checker)
          : call.arguments[0]
            ? runtimeProps(call.arguments[0], checker)
            : []
        props.push(
          ...own.map((prop) => {
            const standard = prop.standard ?? standards.get(prop.name)
            return standard === undefined ? prop : { ...prop, standard }
          }),
        )
        break
      }
      case 'defineEmits':
        props.push(...eventsOf(call, checker))
        break
      case 'defineModel':
        props.push(modelOf(call, checker))
        break
      case 'defineSlots':
        if (said)
          for (const { name } of checker.getPropertiesOfType(checker.getTypeFromTypeNode(said)))
            named.add(name)
    }
  }
  return {
    name: nameOfFile(path),
    framework: 'vue',
    path,
    exported: 'default',
    props: [
      ...props,
      ...[...named].map((name) => slotNamed(name)),
      ...(props.some(({ name }) => name === 'click') ? [] : [CLICK]),
    ],
    placedBy: 'class',
  }
}
