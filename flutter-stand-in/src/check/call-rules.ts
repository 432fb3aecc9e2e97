import { FLUTTER, type FlutterType } from '@unimorph/core'
import type { Program } from '../program.js'
import { childrenOf, textOf, type Syntax } from '../syntax.js'
import type { Call } from './calls.js'

const ENUMS = new Set<string>(
  Object.values(FLUTTER).flatMap(({ named = {} }) =>
    Object.values(named).filter((type) => /^[A-Z]/.test(type)),
  ),
)

/** What is called by its class and is no constructor. */
const FUNCTIONS =
  /^(Navigator|MediaQuery|AppColors|Answers|Uri|Exception|Theme|Color\.lerp|App[A-Z]\w*\.\w+)\b.*|.*\.copyWith$/
const OTHERS =
  /^(ValueKey|GlobalObjectKey|MaterialApp|MaterialPageRoute|ThemeData|FormDefinition|FormWords)$/

/** The value of an argument: what stands after its name. */
const valueOf = (argument: Syntax): Syntax | undefined => {
  const values = childrenOf(argument).filter(({ kind }) => kind !== 'label')
  return values.length === 1 ? values[0] : undefined
}

/** The enumerations that an argument names a value of, but for those in calls inside of it. */
const enumsIn = (argument: Syntax): readonly string[] =>
  [
    ...textOf(argument)
      .replace(/\([\s\S]*\)/g, '')
      .matchAll(/\b([A-Z]\w*)\.[a-z]\w*/g),
  ]
    .map(([, type]) => type!)
    .filter((type) => ENUMS.has(type))

/** What a literal is; undefined where only running the code tells. */
const literalType = (value: Syntax): 'int' | 'number' | 'string' | 'bool' | undefined => {
  const text = textOf(value)
  if (/^-?\d+$/.test(text)) return 'int'
  if (/^-?\d*\.\d+$/.test(text)) return 'number'
  if (value.kind === 'string_literal') return 'string'
  return /^(true|false)$/.test(text) ? 'bool' : undefined
}

const LITERALS: ReadonlySet<FlutterType> = new Set(['int', 'number', 'string', 'bool'])

/** Why the value of an argument is none of the type that is asked for, as Dart says it. */
const faultOfValue = (name: string, type: FlutterType, argument: Syntax): string | undefined => {
  const enums = enumsIn(argument)
  const other = enums.find((one) => one !== type)
  if (other !== undefined) return `${name} is no ${other}`
  const value = valueOf(argument)
  const literal = value && literalType(value)
  if (!literal || !LITERALS.has(type)) return undefined
  const fits = literal === type || (type === 'number' && literal === 'int')
  return fits ? undefined : `${name} is given ${textOf(value!)}, and takes ${type}`
}

/** What is wrong with one call: of Flutter by the table of what it has, of the project by its own classes. */
export const faultsOfCall = (call: Call, program: Program): readonly string[] => {
  const { name, named, positional, isConst } = call
  const known = FLUTTER[name]
  if (known) {
    const types = known.named ?? {}
    return [
      ...(isConst && !known.isConst ? [`${name} has no const constructor`] : []),
      ...[...named].flatMap(([one, argument]) => {
        const type = types[one]
        if (type === undefined) return [`${name} has no argument ${one}`]
        const fault = faultOfValue(`${one} of ${name}`, type, argument)
        return fault === undefined ? [] : [fault]
      }),
      ...(positional.length > (known.positional ?? []).length ? [`${name} is given too much`] : []),
    ]
  }
  const own = program.classes.get(name)
  if (own) {
    return [...named.keys()]
      .filter((one) => one !== 'key' && !own.parameters.has(one))
      .map((one) => `${name} is not given ${one}`)
  }
  return FUNCTIONS.test(name) || OTHERS.test(name) ? [] : [`${name} is not known`]
}
