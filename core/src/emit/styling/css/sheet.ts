import type { Condition } from './conditions.js'
import { readConditions } from './conditions.js'
import { declare, type Declaration, type Known } from './utilities.js'

const FAMILIES = /^(margin|padding|inset|flex|overflow|border|transition|gap|column-gap|row-gap)/

const familyOf = (property: string): string | undefined => {
  const family = FAMILIES.exec(property)?.[1]
  return family?.endsWith('gap') ? 'gap' : family
}

/** How narrow a property is: `padding`, `padding-inline`, `padding-left`. */
const rankOf = (property: string): number => {
  if (/^(margin|padding|inset|flex|overflow|gap|border-width|border-radius)$/.test(property))
    return 0
  return /-(inline|block)(-width)?$/.test(property) ? 1 : 2
}

/** Within a family the wider comes first, so that the narrower one holds; all others stay where they are. */
const inOrder = (declarations: readonly Declaration[]): readonly Declaration[] => {
  const ordered = [...declarations]
  const families = new Map<string, number[]>()
  ordered.forEach(([property], at) => {
    const family = familyOf(property)
    if (family !== undefined) families.set(family, [...(families.get(family) ?? []), at])
  })
  for (const places of families.values()) {
    const own = places.map((at) => declarations[at]!).sort((x, y) => rankOf(x[0]) - rankOf(y[0]))
    places.forEach((at, i) => (ordered[at] = own[i]!))
  }
  return ordered
}

/** Two halves of one property are one. */
const joined = (declarations: readonly Declaration[]): readonly Declaration[] => {
  const last = new Map<string, string>()
  // What is said twice holds as it is said last.
  for (const [property, value] of declarations) last.set(property, value)
  const x = last.get('translate-x')
  const y = last.get('translate-y')
  last.delete('translate-x')
  last.delete('translate-y')
  if (x !== undefined || y !== undefined) last.set('translate', `${x ?? '0'} ${y ?? '0'}`)
  // A border has a width and no style before it is said.
  const hasWidth = [...last.keys()].some((key) => /^border.*-width$/.test(key))
  if (hasWidth && !last.has('border-style')) last.set('border-style', 'solid')
  return inOrder([...last])
}

type Block = { readonly condition: Condition; readonly declarations: readonly Declaration[] }

const keyOf = ({ rules, selector }: Condition): string => [...rules, selector].join(' ')

/** Classes as blocks of declarations: what always holds first, then states, then from narrow to wide. */
const toBlocks = (classes: readonly string[], known: Known): readonly Block[] => {
  const blocks = new Map<string, { condition: Condition; declarations: Declaration[] }>()
  for (const name of classes) {
    if (name === 'group') continue
    const read = readConditions(name)
    const own = read && declare(read.utility, known)
    if (!own) throw new Error(`No rule is known for the class ${name}`)
    const key = keyOf(read.condition)
    const block = blocks.get(key) ?? { condition: read.condition, declarations: [] }
    blocks.set(key, block)
    block.declarations.push(...own)
  }
  return [...blocks.values()]
    .map(({ condition, declarations }) => ({ condition, declarations: joined(declarations) }))
    .sort((a, b) => a.condition.fromRem - b.condition.fromRem)
}

const indent = (lines: readonly string[]): string[] =>
  lines.map((line) => (line === '' ? '' : `  ${line}`))

const PRINT_WIDTH = 80

/** The parts of a value between signs that stand in no brackets and in no quotes. */
const splitTop = (value: string, sign: ' ' | ','): readonly string[] => {
  const parts: string[] = []
  let depth = 0
  let isQuoted = false
  let from = 0
  for (let i = 0; i < value.length; i++) {
    const one = value[i]!
    if (one === '"') isQuoted = !isQuoted
    else if (isQuoted) continue
    else if (one === '(') depth++
    else if (one === ')') depth--
    else if (one === sign && depth === 0) {
      parts.push(value.slice(from, i).trim())
      from = i + 1
    }
  }
  return [...parts, value.slice(from).trim()]
}

/** `radial-gradient(a, b)` with an argument a line. */
const inLines = (value: string): readonly string[] | undefined => {
  const [, name, args] = /^([\w-]+)\(([\s\S]*)\)$/.exec(value) ?? []
  if (name === undefined || splitTop(value, ' ').length > 1) return undefined
  const all = splitTop(args!, ',')
  return [`${name}(`, ...all.map((one, i) => `  ${one}${i < all.length - 1 ? ',' : ''}`), ')']
}

/** A declaration as Prettier breaks it, `column` signs from the left. */
const writeOne = ([property, value]: Declaration, column: number): readonly string[] => {
  const items = splitTop(value, ',')
  const line = `${property}: ${value};`
  const isLong = line.length + column > PRINT_WIDTH
  // A list of things of several words has a line for each, whatever room there is.
  if (items.length > 1 && items.some((item) => splitTop(item, ' ').length > 1)) {
    return [
      `${property}:`,
      ...items.map((item, i) => `  ${item}${i < items.length - 1 ? ',' : ';'}`),
    ]
  }
  if (!isLong) return [line]
  if (property.startsWith('grid-template')) {
    const tracks = splitTop(value, ' ')
    return [
      `${property}:`,
      ...tracks.map((track, i) => `  ${track}${i < tracks.length - 1 ? '' : ';'}`),
    ]
  }
  if (items.length > 1) return [`${property}:`, `  ${value};`]
  const broken = inLines(value)
  if (!broken) return [line]
  return broken.map((one, i) =>
    i === 0 ? `${property}: ${one}` : i === broken.length - 1 ? `${one};` : one,
  )
}

const write = (declarations: readonly Declaration[], column: number): string[] =>
  declarations.flatMap((one) => writeOne(one, column))

/** A rule with what holds at times nested in it. */
export const printRule = (name: string, classes: readonly string[], known: Known): string => {
  const blocks = toBlocks(classes, known)
  const always = blocks.filter(({ condition }) => keyOf(condition) === '&')
  const nested = blocks
    .filter((block) => !always.includes(block))
    .map(({ condition: { rules, selector }, declarations }) => {
      const column = 2 * (1 + rules.length)
      const inner =
        selector === '&'
          ? write(declarations, column)
          : [`${selector} {`, ...indent(write(declarations, column + 2)), '}']
      return [...rules].reduceRight<string[]>(
        (lines, rule) => [`${rule} {`, ...indent(lines), '}'],
        inner,
      )
    })
  const own = always.flatMap(({ declarations }) => write(declarations, 2))
  const body = [...(own.length > 0 ? [own] : []), ...nested]
  const lines = body.flatMap((block, i) => (i === 0 ? block : ['', ...block]))
  return [`.${name} {`, ...indent(lines), '}'].join('\n')
}
