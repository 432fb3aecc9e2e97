import { FLUTTER, type FlutterType } from '@unimorph/core'
import type { ClassInfo, Program } from '../program.js'
import { childrenOf, type Syntax } from '../syntax.js'
import type { Call } from './calls.js'
import { faultOfType, type Type } from './types.js'

/** What is called by its class and is no constructor. */
const FUNCTIONS =
  /^(Navigator|MediaQuery|AppColors|Answers|Uri|Exception|Theme|Color\.lerp|App[A-Z]\w*\.\w+)\b.*|.*\.copyWith$/
const OTHERS =
  /^(ValueKey|GlobalObjectKey|MaterialApp|MaterialPageRoute|ThemeData|FormDefinition|FormWords)$/

/** The code of an argument: what stands after its name. */
const valueOf = (argument: Syntax): readonly Syntax[] =>
  childrenOf(argument).filter(({ kind }) => kind !== 'label')

/** What a call of Flutter's lacks, has too much, or has of another type. */
const faultsOfKnown = (call: Call, program: Program): readonly string[] => {
  const { name, named, positional, isConst } = call
  const known = FLUTTER[name]!
  const typeFault = (what: string, type: FlutterType, isNullable: boolean, argument: Syntax) => {
    const fault = faultOfType(what, type, isNullable, valueOf(argument), program)
    return fault === undefined ? [] : [fault]
  }
  return [
    ...(isConst && !known.isConst ? [`${name} has no const constructor`] : []),
    ...known.required
      .filter((one) => !named.has(one))
      .map((one) => `${name} has to be given ${one}`),
    ...[...named].flatMap(([one, argument]) => {
      const type = known.named[one]
      if (type === undefined) return [`${name} has no argument ${one}`]
      return typeFault(`${one} of ${name}`, type, !known.notNull.includes(one), argument)
    }),
    ...(positional.length > known.positional.length ? [`${name} is given too much`] : []),
    ...(positional.length < known.positional.length ? [`${name} is given too little`] : []),
    ...known.positional.flatMap((type, i) =>
      positional[i] ? typeFault(name, type, false, positional[i]) : [],
    ),
  ]
}

const DART_TYPES: Readonly<Record<string, FlutterType>> = {
  String: 'string',
  bool: 'bool',
  int: 'int',
  num: 'number',
  double: 'number',
  Widget: 'widget',
  Color: 'Color',
  VoidCallback: 'function',
}

/** A type as a component writes it: `String?`; undefined of one that is not looked into. */
const readType = (
  written: string | undefined,
  { enums }: Program,
): { readonly type: Type; readonly isNullable: boolean } | undefined => {
  const name = written?.replace(/\?$/, '')
  if (written === undefined || name === undefined) return undefined
  const type = enums.has(name) ? (`enum ${name}` as const) : DART_TYPES[name]
  return type && { type, isNullable: written.endsWith('?') }
}

/** The same of a component of the project: its parameters are those of its constructor. */
const faultsOfOwn = (call: Call, own: ClassInfo, program: Program): readonly string[] => {
  const { name, named, positional } = call
  return [
    ...[...own.required]
      .filter((one) => !named.has(one))
      .map((one) => `${name} has to be given ${one}`),
    ...[...named].flatMap(([one, argument]) => {
      if (one === 'key') return []
      if (!own.parameters.has(one)) return [`${name} is not given ${one}`]
      const wanted = readType(own.types.get(one), program)
      if (!wanted) return []
      const { type, isNullable } = wanted
      const fault = faultOfType(`${one} of ${name}`, type, isNullable, valueOf(argument), program)
      return fault === undefined ? [] : [fault]
    }),
    ...(positional.length > own.positional.length ? [`${name} is given too much`] : []),
  ]
}

/** What is wrong with one call: of Flutter by the table of what it has, of the project by its own classes. */
export const faultsOfCall = (call: Call, program: Program): readonly string[] => {
  if (FLUTTER[call.name]) return faultsOfKnown(call, program)
  const own = program.classes.get(call.name)
  if (own) return faultsOfOwn(call, own, program)
  return FUNCTIONS.test(call.name) || OTHERS.test(call.name) ? [] : [`${call.name} is not known`]
}
