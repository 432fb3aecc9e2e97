import { conditionKey, toBlocks, type SheetTheme } from './blocks.js'
import type { NamedRule } from './name-classes.js'
import type { Declaration } from './utilities.js'

const PRINT_WIDTH = 80

/** Lines set in by one step. */
export const indent = (lines: readonly string[]): string[] =>
  lines.map((line) => (line === '' ? '' : `  ${line}`))

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

/** One thing of a list, in as many lines as it takes; `end`: the sign after it, `room`: signs a line has. */
const writeItem = (item: string, end: string, room: number): readonly string[] => {
  if (item.length + end.length <= room) return [item + end]
  const words = splitTop(item, ' ')
  const broken =
    words.length === 1
      ? inLines(item)
      : words.flatMap((word, i) =>
          i === 0 ? [word] : indent(writeItem(word, i === words.length - 1 ? end : '', room - 2)),
        )
  if (!broken) return [item + end]
  return words.length > 1 ? broken : [...broken.slice(0, -1), `${broken.at(-1)!}${end}`]
}

/**
 * Things one after the other, as many in a line as it has room for; `first`: what the first line has already, which is then
 * set in less than the others.
 */
const fillLines = (
  items: readonly string[],
  room: number,
  ends: { readonly between: string; readonly last: string },
  first = '',
): readonly string[] => {
  const roomOf = (index: number): number => room + (index === 0 && first !== '' ? 2 : 0)
  const lines: string[] = []
  let line = first
  items.forEach((item, i) => {
    const isLast = i === items.length - 1
    const end = isLast ? ends.last : ends.between
    const longer = line === '' ? item : `${line} ${item}`
    // Prettier looks whether a thing fits before it writes the end of the declaration.
    if (longer.length + (isLast ? 0 : end.length) <= roomOf(lines.length)) {
      line = longer + end
      return
    }
    if (line !== '') lines.push(line)
    const own = writeItem(item, end, room)
    lines.push(...own.slice(0, -1))
    line = own.at(-1)!
    // After what takes several lines the next begins a line of its own.
    if (own.length > 1) {
      lines.push(line)
      line = ''
    }
  })
  return line === '' ? lines : [...lines, line]
}

/** A declaration as Prettier breaks it, `column` signs from the left. */
const writeOne = ([property, value]: Declaration, column: number): readonly string[] => {
  const items = splitTop(value, ',')
  const line = `${property}: ${value};`
  const room = PRINT_WIDTH - column
  // A list of things of several words has a line for each, whatever room there is.
  const isOfWords = items.some((item) => splitTop(item, ' ').length > 1)
  if (items.length > 1 && isOfWords) {
    return [
      `${property}:`,
      ...items.flatMap((item, i) =>
        indent(writeItem(item, i < items.length - 1 ? ',' : ';', room - 2)),
      ),
    ]
  }
  if (line.length <= room) return [line]
  const words = splitTop(value, ' ')
  if (property.startsWith('grid-template')) {
    return [
      `${property}:`,
      ...words.map((track, i) => `  ${track}${i < words.length - 1 ? '' : ';'}`),
    ]
  }
  if (items.length > 1)
    return [`${property}:`, ...indent(fillLines(items, room - 2, { between: ',', last: ';' }))]
  const start = `${property}:`
  if (words.length > 1) {
    const [head, ...rest] = fillLines(words, room - 2, { between: '', last: ';' }, start)
    return [head!, ...indent(rest)]
  }
  const [head, ...rest] = writeItem(value, ';', room - start.length - 1)
  return [`${start} ${head!}`, ...rest]
}

const write = (declarations: readonly Declaration[], column: number): string[] =>
  declarations.flatMap((one) => writeOne(one, column))

/** What a class says, a line each, with what holds at times nested in it; `column`: how far it will be set in. */
export const printBody = (classes: readonly string[], theme: SheetTheme, column = 2): string[] => {
  const blocks = toBlocks(classes, theme)
  const always = blocks.filter(({ condition }) => conditionKey(condition) === '&')
  const nested = blocks
    .filter((block) => !always.includes(block))
    .map(({ condition: { rules, selector }, declarations }) => {
      const depth = column + 2 * rules.length
      const inner =
        selector === '&'
          ? write(declarations, depth)
          : [`${selector} {`, ...indent(write(declarations, depth + 2)), '}']
      return [...rules].reduceRight<string[]>(
        (lines, rule) => [`${rule} {`, ...indent(lines), '}'],
        inner,
      )
    })
  const own = always.flatMap(({ declarations }) => write(declarations, column))
  const body = [...(own.length > 0 ? [own] : []), ...nested]
  return body.flatMap((block, i) => (i === 0 ? block : ['', ...block]))
}

/** A rule with what holds at times nested in it. */
export const printRule = (name: string, classes: readonly string[], theme: SheetTheme): string =>
  [`.${name} {`, ...indent(printBody(classes, theme)), '}'].join('\n')

/** The rules of a component. */
export const printRules = (rules: readonly NamedRule[], theme: SheetTheme): readonly string[] =>
  rules.map(({ name, utilities }) => printRule(name, utilities, theme))
