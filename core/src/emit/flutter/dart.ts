import {
  concat,
  group,
  hardline,
  ifBreak,
  indent,
  join,
  line,
  softline,
  span,
  type Doc,
} from '../shared/document.js'
import { isConstant } from './api/index.js'

/** How many signs a line of Dart may have. */
export const PRINT_WIDTH = 80

/** A piece of Dart as a tree: printed once, and asked whether it is constant. */
export type Dart =
  /** Code that is written as it is. */
  | { readonly kind: 'code'; readonly code: string }
  | {
      readonly kind: 'call'
      /** `Padding`, `EdgeInsets.all`, `setState`. */
      readonly name: string
      readonly args: readonly DartArgument[]
      /** Key of the layer it stands for. */
      readonly layer?: string | undefined
      /** It is made anew each time, whatever it is made of. */
      readonly isVariable?: boolean
    }
  | { readonly kind: 'list'; readonly items: readonly Dart[] }
  /** `condition ? then : otherwise` */
  | {
      readonly kind: 'choice'
      readonly condition: string
      readonly then: Dart
      readonly otherwise: Dart
    }
  /** `switch (of) { a => …, }` */
  | {
      readonly kind: 'switch'
      readonly of: string
      readonly cases: readonly (readonly [string, Dart])[]
    }
  /** In a list: there only when a condition holds, or once for each thing. */
  | { readonly kind: 'when'; readonly head: string; readonly item: Dart }
  /** `(context) => value` */
  | { readonly kind: 'function'; readonly parameters: string; readonly value: Dart }

export type DartArgument = { readonly name?: string; readonly value: Dart }

export const raw = (code: string): Dart => ({ kind: 'code', code })

/** A call with named arguments; those that are undefined are left out. */
export const call = (
  name: string,
  named: Readonly<Record<string, Dart | string | undefined>> = {},
  positional: readonly (Dart | string)[] = [],
): Extract<Dart, { kind: 'call' }> => ({
  kind: 'call',
  name,
  args: [
    ...positional.map((value) => ({ value: asDart(value) })),
    ...Object.entries(named).flatMap(([key, value]) =>
      value === undefined ? [] : [{ name: key, value: asDart(value) }],
    ),
  ],
})

export const list = (items: readonly Dart[]): Dart => ({ kind: 'list', items })

const asDart = (value: Dart | string): Dart => (typeof value === 'string' ? raw(value) : value)

export type DartCall = Extract<Dart, { kind: 'call' }>

/** What a call is given under a name. */
export const argumentOf = ({ args }: DartCall, name: string): Dart | undefined =>
  args.find((one) => one.name === name)?.value

/** What a piece is made of. */
export const partsOf = (dart: Dart): readonly Dart[] => {
  switch (dart.kind) {
    case 'code':
      return []
    case 'call':
      return dart.args.map(({ value }) => value)
    case 'list':
      return dart.items
    case 'choice':
      return [dart.then, dart.otherwise]
    case 'switch':
      return dart.cases.map(([, value]) => value)
    case 'when':
      return [dart.item]
    case 'function':
      return [dart.value]
  }
}

/** A piece with other pieces in the place of those it is made of. */
export const mapParts = (dart: Dart, change: (part: Dart) => Dart): Dart => {
  switch (dart.kind) {
    case 'code':
      return dart
    case 'call':
      return { ...dart, args: dart.args.map((one) => ({ ...one, value: change(one.value) })) }
    case 'list':
      return { ...dart, items: dart.items.map(change) }
    case 'choice':
      return { ...dart, then: change(dart.then), otherwise: change(dart.otherwise) }
    case 'switch':
      return { ...dart, cases: dart.cases.map(([when, value]) => [when, change(value)]) }
    case 'when':
      return { ...dart, item: change(dart.item) }
    case 'function':
      return { ...dart, value: change(dart.value) }
  }
}

/** A string of Dart, in single quotes or in double ones where that needs fewer escapes; `$` begins code in it. */
export const quoteDart = (text: string): string => {
  const escaped = text
    .replace(/\\/g, '\\\\')
    .replace(/\$/g, '\\$')
    .replace(/\n/g, '\\n')
    .replace(/\r/g, '\\r')
    .replace(/\t/g, '\\t')
    .replace(
      /[\u0000-\u001f\u007f-\u009f\u2028\u2029\ufeff]/g,
      (sign) => `\\u{${sign.charCodeAt(0).toString(16)}}`,
    )
  const isDouble = text.includes("'") && !text.includes('"')
  return isDouble ? `"${escaped}"` : `'${escaped.replaceAll("'", "\\'")}'`
}

/** Whether a piece is the same each time, so that Dart makes it once. */
export const isConst = (dart: Dart): boolean => {
  switch (dart.kind) {
    case 'code':
      return isConstant(dart.code)
    case 'call':
      return (
        !dart.isVariable &&
        isConstant(dart.name, true) &&
        dart.args.every(({ value }) => isConst(value))
      )
    case 'list':
      return dart.items.every(isConst)
    default:
      return false
  }
}

const inBrackets = (open: string, items: readonly Doc[], close: string): Doc =>
  items.length === 0
    ? `${open}${close}`
    : group(
        concat([
          open,
          indent(concat([softline, join(concat([',', line]), items), ifBreak(',', '')])),
          softline,
          close,
        ]),
      )

const printArgument = ({ name, value }: DartArgument, isInConst: boolean): Doc =>
  name === undefined
    ? printDart(value, isInConst)
    : concat([`${name}: `, printDart(value, isInConst)])

/** Writes a piece, with `const` before the outermost of what is constant. */
export const printDart = (dart: Dart, isInConst = false): Doc => {
  switch (dart.kind) {
    case 'code':
      return dart.code
    case 'call': {
      const begins = !isInConst && isConst(dart)
      const inside = isInConst || begins
      const args = dart.args.map((one) => printArgument(one, inside))
      const doc = inBrackets(`${begins ? 'const ' : ''}${dart.name}(`, args, ')')
      return dart.layer === undefined ? doc : span(dart.layer, doc)
    }
    case 'list': {
      const begins = !isInConst && dart.items.length > 0 && isConst(dart)
      return inBrackets(
        begins ? 'const [' : '[',
        dart.items.map((item) => printDart(item, isInConst || begins)),
        ']',
      )
    }
    case 'choice':
      return printChoice(dart)
    case 'switch':
      return concat([
        `switch (${dart.of}) {`,
        indent(
          concat(
            dart.cases.flatMap(([when, value]) => [hardline, `${when} => `, printDart(value), ',']),
          ),
        ),
        hardline,
        '}',
      ])
    case 'when':
      return group(concat([dart.head, indent(concat([line, printDart(dart.item)]))]))
    case 'function':
      return concat([`(${dart.parameters}) => `, printDart(dart.value)])
  }
}

type Choice = Extract<Dart, { kind: 'choice' }>

const isCode = (dart: Dart, code: string): boolean => dart.kind === 'code' && dart.code === code

/** `from768 ? a : b`; choices in the place of the other stand below each other. */
const printChoice = (choice: Choice): Doc => {
  const { condition, then, otherwise } = choice
  if (isCode(then, 'true') && isCode(otherwise, 'false')) return condition
  if (isCode(then, 'false') && isCode(otherwise, 'true') && /^\w+$/.test(condition)) {
    return `!${condition}`
  }
  const parts: Doc[] = [condition]
  const lines: Doc[] = []
  let rest: Dart = choice
  while (rest.kind === 'choice') {
    lines.push(concat(['? ', indent(printDart(rest.then))]))
    const next: Dart = rest.otherwise
    lines.push(concat([': ', next.kind === 'choice' ? next.condition : indent(printDart(next))]))
    rest = next
  }
  return group(concat([...parts, indent(indent(concat(lines.flatMap((one) => [line, one]))))]))
}

/** Code that is made of calls, as a tree: `Border.all(color: a, width: 2)`. What is more than that stays as it is. */
export const parseDart = (code: string): Dart => {
  const text = code.trim()
  const head = /^([A-Za-z_][\w.]*)\(/.exec(text)
  if (head && text.endsWith(')')) {
    const parts = splitAtCommas(text.slice(head[0].length, -1))
    if (parts) {
      return {
        kind: 'call',
        name: head[1]!,
        args: parts.map((part) => {
          const named = /^([a-z]\w*): ([\s\S]+)$/.exec(part)
          return named
            ? { name: named[1]!, value: parseDart(named[2]!) }
            : { value: parseDart(part) }
        }),
      }
    }
  }
  if (text.startsWith('[') && text.endsWith(']')) {
    const parts = splitAtCommas(text.slice(1, -1))
    if (parts) return list(parts.map(parseDart))
  }
  return raw(text)
}

/** The pieces between commas that stand in no brackets and in no string; undefined where brackets do not match. */
const splitAtCommas = (text: string): readonly string[] | undefined => {
  const parts: string[] = []
  let depth = 0
  let quote = ''
  let from = 0
  for (let i = 0; i < text.length; i++) {
    const sign = text[i]!
    if (quote !== '') {
      if (sign === '\\') i++
      else if (sign === quote) quote = ''
    } else if (sign === "'" || sign === '"') quote = sign
    else if ('([{'.includes(sign)) depth++
    else if (')]}'.includes(sign)) {
      if (--depth < 0) return undefined
    } else if (sign === ',' && depth === 0) {
      parts.push(text.slice(from, i).trim())
      from = i + 1
    }
  }
  if (depth !== 0 || quote !== '') return undefined
  const last = text.slice(from).trim()
  return last === '' ? parts : [...parts, last]
}
