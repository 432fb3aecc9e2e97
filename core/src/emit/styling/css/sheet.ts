import { conditionKey, toBlocks, type SheetTheme } from './blocks.js'
import type { NamedRule } from './name-classes.js'
import type { Declaration } from './utilities.js'

const PRINT_WIDTH = 80

/** What a sheet is written in, which Prettier breaks differently. */
export type Dialect = 'css' | 'scss'

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

/** A declaration as Prettier breaks it, `column` signs from the left. */
const writeOne = (
  [property, value]: Declaration,
  column: number,
  dialect: Dialect,
): readonly string[] => {
  const items = splitTop(value, ',')
  const line = `${property}: ${value};`
  const isLong = line.length + column > PRINT_WIDTH
  // A list of things of several words has a line for each, whatever room there is; in SCSS so has a list of calls that is too long.
  const isOfWords = items.some((item) => splitTop(item, ' ').length > 1)
  if (items.length > 1 && (isOfWords || (isLong && dialect === 'scss' && value.includes('(')))) {
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

const write = (declarations: readonly Declaration[], column: number, dialect: Dialect): string[] =>
  declarations.flatMap((one) => writeOne(one, column, dialect))

/** What a class says, a line each, with what holds at times nested in it; `column`: how far it will be set in. */
export const printBody = (
  classes: readonly string[],
  theme: SheetTheme,
  column = 2,
  dialect: Dialect = 'css',
): string[] => {
  const blocks = toBlocks(classes, theme)
  const always = blocks.filter(({ condition }) => conditionKey(condition) === '&')
  const nested = blocks
    .filter((block) => !always.includes(block))
    .map(({ condition: { rules, selector }, declarations }) => {
      const depth = column + 2 * rules.length
      const inner =
        selector === '&'
          ? write(declarations, depth, dialect)
          : [`${selector} {`, ...indent(write(declarations, depth + 2, dialect)), '}']
      return [...rules].reduceRight<string[]>(
        (lines, rule) => [`${rule} {`, ...indent(lines), '}'],
        inner,
      )
    })
  const own = always.flatMap(({ declarations }) => write(declarations, column, dialect))
  const body = [...(own.length > 0 ? [own] : []), ...nested]
  return body.flatMap((block, i) => (i === 0 ? block : ['', ...block]))
}

/** A rule with what holds at times nested in it. */
export const printRule = (name: string, classes: readonly string[], theme: SheetTheme): string =>
  [`.${name} {`, ...indent(printBody(classes, theme)), '}'].join('\n')

/** The rules of a component. */
export const printRules = (rules: readonly NamedRule[], theme: SheetTheme): readonly string[] =>
  rules.map(({ name, utilities }) => printRule(name, utilities, theme))
