import { concat, group, ifBreak, indent, join, line, type Doc } from '../shared/document.js'
import { printBraces } from '../shared/print-braces.js'
import type { Looks } from '../shared/looks.js'
import type { ListPart, Prop } from '../shared/prop.js'
import { printBlock } from './print-block.js'
import { printProperty } from './print-property.js'
import { quoteString } from './quote-string.js'

const typeOfPart = ({ of }: ListPart): string =>
  of ? `${of.tag}Props[${quoteString(of.prop)}]` : 'string'

/** The type of the things in a list, on one line where it fits: `{ name: string; price: string }`. */
const printThing = (fields: readonly ListPart[]): Doc =>
  group(
    printBraces(
      fields.map((field) => `${field.name}: ${typeOfPart(field)}`),
      ';',
    ),
  )

/** The types a prop may have. */
export const typeOf = ({ kind, of, type, only, fields, options = [] }: Prop): readonly string[] => {
  if (type !== undefined) return type.split(' | ')
  if (only) return only.map(quoteString)
  const many = kind === 'list' ? '[]' : ''
  if (of) return [`${of.tag}Props[${quoteString(of.prop)}]${many}`]
  if (kind === 'flag') return ['boolean']
  if (kind === 'number') return ['number']
  if (kind === 'slot') return ['ReactNode']
  if (fields)
    return [`{ ${fields.map((field) => `${field.name}: ${typeOfPart(field)}`).join('; ')} }[]`]
  if (kind === 'list') return ['string[]']
  return kind === 'choice' ? options.map(quoteString) : ['string']
}

/** The components whose types a prop's type is made of. */
export const typesNeeded = ({ of, fields = [] }: Prop): readonly string[] =>
  [of, ...fields.map((field) => field.of)].flatMap((one) => (one ? [one.tag] : []))

/** `tone?: "rust" | "kelp";`, an option a line where they are too long for one. */
export const printMember = (prop: Prop): Doc => {
  const types = typeOf(prop)
  const head = `${prop.name}${prop.isOptional ? '?' : ''}:`
  if (prop.fields) return concat([`${head} `, printThing(prop.fields), '[];'])
  if (types.length === 1) return `${head} ${types[0]!};`
  const options = join(concat([line, '| ']), types)
  return group(concat([head, indent(concat([line, ifBreak('| ', ''), options])), ';']))
}

export const defaultOf = ({ kind, standard }: Prop): string => {
  if (standard === undefined || standard === false) return ''
  if (kind === 'flag') return ' = true'
  return ` = ${kind === 'number' ? String(standard) : quoteString(String(standard))}`
}

/** What each choice adds, as a constant: by the place where there are several. */
export const printLooks = (looks: Looks): Doc => printChoices(`const ${looks.name} = {`, looks)

/** The same as a member of a class. */
export const printLooksMember = (looks: Looks): Doc =>
  printChoices(`protected readonly ${looks.name} = {`, looks)

const printChoices = (open: string, { places, classes, isCode }: Looks): Doc => {
  const print = (value: string): string => (isCode ? value : quoteString(value))
  return printBlock(
    open,
    Object.entries(classes).map(([option, own]): Doc => {
      if (places.length === 1) return printProperty(option, print(own[0]!))
      const lines = places.map((place, i) => printProperty(place, print(own[i]!)))
      return printBlock(`${option}: {`, lines, '},')
    }),
    '};',
  )
}

/** `{ label, tone = "rust" }`, a name a line where they are too long for one. */
export const printNames = (props: readonly Prop[]): Doc =>
  printBraces(props.map((prop) => `${prop.name}${defaultOf(prop)}`))
