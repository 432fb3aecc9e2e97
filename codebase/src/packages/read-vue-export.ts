import type { CodeProp } from '@unimorph/core'
import ts from 'typescript'
import type { FoundComponent } from '../found.js'
import { slotNamed } from '../props.js'
import { commentOf, toCodeType } from '../typescript/to-code-type.js'

/** What Vue itself adds to the props of every component. */
const isOfVue = (symbol: ts.Symbol): boolean =>
  (symbol.declarations ?? []).every((one) =>
    /@vue\/runtime-(core|dom)\//.test(one.getSourceFile().fileName),
  )

const memberOf = (type: ts.Type, name: string, place: ts.Node, checker: ts.TypeChecker) => {
  const symbol = type.getProperty(name)
  return symbol && checker.getTypeOfSymbolAtLocation(symbol, place)
}

/** The type of what is made of a component: a class gives it, a component that is a function its first parameter. */
const propsTypeOf = (
  type: ts.Type,
  place: ts.Node,
  checker: ts.TypeChecker,
): { readonly props: ts.Type; readonly instance: ts.Type | undefined } | undefined => {
  for (const signature of type.getConstructSignatures()) {
    const instance = signature.getReturnType()
    const props = memberOf(instance, '$props', place, checker)
    if (props) return { props, instance }
  }
  for (const signature of type.getCallSignatures()) {
    const [first] = signature.getParameters()
    const shown = checker.typeToString(signature.getReturnType())
    if (first && /\bVNode\b/.test(shown))
      return { props: checker.getTypeOfSymbolAtLocation(first, place), instance: undefined }
  }
  return undefined
}

const slotsOf = (
  instance: ts.Type | undefined,
  place: ts.Node,
  checker: ts.TypeChecker,
): readonly CodeProp[] => {
  const slots = instance && memberOf(instance, '$slots', place, checker)
  return (slots ? checker.getPropertiesOfType(slots) : []).map(({ name }) => slotNamed(name))
}

/** A component of Vue that a package exports. */
export const readVueExport = (
  exported: string,
  symbol: ts.Symbol,
  place: ts.SourceFile,
  checker: ts.TypeChecker,
): Omit<FoundComponent, 'path'> | undefined => {
  if (!/^[A-Z]/.test(exported)) return undefined
  const type = checker.getTypeOfSymbolAtLocation(symbol, place)
  const found = propsTypeOf(type, place, checker)
  if (!found) return undefined
  const props = checker
    .getPropertiesOfType(found.props)
    .filter((one) => !isOfVue(one))
    .map((one): CodeProp => {
      const { name } = one
      const own = toCodeType(checker.getTypeOfSymbolAtLocation(one, place), checker)
      const isEvent = own.kind === 'handler' && /^on[A-Z]/.test(name)
      const { about, standard } = commentOf(one, checker)
      return {
        name: isEvent ? name.charAt(2).toLowerCase() + name.slice(3) : name,
        type: own,
        as: isEvent ? 'event' : 'prop',
        isRequired: (one.flags & ts.SymbolFlags.Optional) === 0,
        ...(standard === undefined ? {} : { standard }),
        ...(about === undefined ? {} : { about }),
      }
    })
  return {
    name: exported,
    framework: 'vue',
    exported,
    props: [...props, ...slotsOf(found.instance, place, checker)],
    placedBy: 'class',
  }
}
