import { quoteString } from '../script/quote-string.js'
import { concat, group, ifBreak, indent, join, line, type Doc } from '../shared/document.js'
import type { Prop } from '../shared/prop.js'
import { choiceTypeOf, findOwner, type Parts } from '../shared/prop-owner.js'
import { capitalise } from '../../text/names.js'
import { printBlock } from '../script/print-block.js'
import { printCall } from '../script/print-call.js'
import type { Import } from './print-class.js'
import { toFileName } from './names.js'

const LONGEST_ARGUMENT = 20

export type InputType = { readonly name: string; readonly imports: readonly Import[] }

/** The type of what a component is given under a name. `from`: the folder of components, as seen from the file. */
export const typeOfInput = (
  tag: string,
  name: string,
  parts: Parts,
  from: string,
  self?: string,
): InputType => {
  const owner = findOwner(tag, name, parts)
  const isList = parts.get(tag)?.props.some((one) => one.name === name && one.kind === 'list')
  if (isList && owner && owner.prop.kind !== 'list') {
    const one = typeOfInput(owner.tag, owner.prop.name, parts, from, self)
    return { ...one, name: /\W/.test(one.name) ? `(${one.name})[]` : `${one.name}[]` }
  }
  if (owner?.prop.fields) return { name: `${thingTypeOf(owner)}[]`, imports: [] }
  if (owner?.prop.type !== undefined) return { name: owner.prop.type, imports: [] }
  if (owner?.prop.only) return { name: owner.prop.only.map(quoteString).join(' | '), imports: [] }
  if (owner?.prop.kind === 'list') return { name: 'string[]', imports: [] }
  if (owner?.prop.kind === 'flag') return { name: 'boolean', imports: [] }
  if (owner?.prop.kind === 'number') return { name: 'number', imports: [] }
  if (owner?.prop.kind !== 'choice') return { name: 'string', imports: [] }
  const type = choiceTypeOf(owner)
  if (owner.tag === self) return { name: type, imports: [] }
  return {
    name: type,
    imports: [{ names: [`type ${type}`], from: `${from}/${toFileName(owner.tag)}` }],
  }
}

/** What the things of a list are called: `PlanItem`. */
const thingTypeOf = ({ tag, prop }: { readonly tag: string; readonly prop: Prop }): string =>
  `${tag}${capitalise(prop.name.replace(/^items/, 'item'))}`

/** `export type PlanItem = { … };` */
export const printThingType = (tag: string, prop: Prop, parts: Parts): Doc =>
  printBlock(
    `export type ${thingTypeOf({ tag, prop })} = {`,
    (prop.fields ?? []).map(
      ({ name, of }) =>
        `${name}: ${of ? typeOfInput(of.tag, of.prop, parts, '.').name : 'string'};`,
    ),
    '};',
  )

/** `export type StatusTagTone = "rust" | "kelp";`, an option a line where they are too long for one. */
export const printChoice = (tag: string, prop: Prop): Doc => {
  const all = join(concat([line, '| ']), (prop.options ?? []).map(quoteString))
  return group(
    concat([
      `export type ${choiceTypeOf({ tag, prop })} =`,
      indent(concat([line, ifBreak('| ', ''), all])),
      ';',
    ]),
  )
}

/** `readonly tone = input<StatusTagTone>("rust");` */
export const printInput = (prop: Prop, type: string): Doc => {
  const { name, kind, standard, isOptional } = prop
  const head = `readonly ${name} =`
  if (kind === 'flag') return `${head} input(${String(standard ?? false)});`
  if (!isOptional) return `${head} input.required<${type}>();`
  if (standard === undefined) return `${head} input<${type}>();`
  if (kind === 'number') return `${head} input(${String(standard)});`
  const of = kind === 'choice' || type !== 'string' ? `<${type}>` : ''
  const value = quoteString(String(standard))
  // Prettier keeps a call with a long argument beside its name, and one with a short argument together.
  if (value.length > LONGEST_ARGUMENT) return printCall(`${head} input${of}`, [value])
  return group(concat([head, indent(concat([line, `input${of}(${value})`])), ';']))
}
