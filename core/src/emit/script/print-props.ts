import { concat, group, ifBreak, indent, join, line, type Doc } from '../shared/document.js'
import type { Looks } from '../shared/looks.js'
import type { Prop } from '../shared/prop.js'
import { printBlock } from './print-block.js'
import { printProperty } from './print-property.js'
import { quoteString } from './quote-string.js'

/** The types a prop may have. */
export const typeOf = ({ kind, of, type, only, options = [] }: Prop): readonly string[] => {
  if (type !== undefined) return type.split(' | ')
  if (only) return only.map(quoteString)
  const many = kind === 'list' ? '[]' : ''
  if (of) return [`${of.tag}Props[${quoteString(of.prop)}]${many}`]
  if (kind === 'flag') return ['boolean']
  if (kind === 'number') return ['number']
  if (kind === 'slot') return ['ReactNode']
  if (kind === 'list') return ['string[]']
  return kind === 'choice' ? options.map(quoteString) : ['string']
}

/** `tone?: "rust" | "kelp";`, an option a line where they are too long for one. */
export const printMember = (prop: Prop): Doc => {
  const types = typeOf(prop)
  const head = `${prop.name}${prop.isOptional ? '?' : ''}:`
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
  concat([
    '{',
    indent(
      concat([
        line,
        join(
          concat([',', line]),
          props.map((prop) => `${prop.name}${defaultOf(prop)}`),
        ),
        ifBreak(',', ''),
      ]),
    ),
    line,
    '}',
  ])
