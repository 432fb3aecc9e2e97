import { printBlock } from '../script/print-block.js'
import { printThings } from '../script/print-list.js'
import { concat, type Doc } from '../shared/document.js'
import type { DataList, ListField } from '../shared/lists.js'
import type { Import } from './print-class.js'
import { typeOfInput, type Parts } from './inputs.js'

/** What a field of a list is given as: the component, and the name it has there. */
const givenAs = (
  list: DataList,
  field: ListField,
): { readonly tag: string; readonly prop: string } | undefined =>
  field.of ?? (list.uses === undefined ? undefined : { tag: list.uses, prop: field.name })

/** Lists in which things say what they would have had by saying nothing: a loop gives a component something always. */
export const completeList = (list: DataList, parts: Parts): DataList => {
  const standards = list.fields.map((field) => {
    const as = givenAs(list, field)
    return as && parts.get(as.tag)?.props.find(({ name }) => name === as.prop)?.standard
  })
  return {
    ...list,
    fields: list.fields.map((field, i) => ({
      ...field,
      isOptional: field.isOptional && standards[i] === undefined,
    })),
    rows: list.rows.map((row) => ({
      ...row,
      values: row.values.map((value, i) => value ?? standards[i]),
    })),
  }
}

export type PrintedList = {
  readonly type: Doc
  readonly member: Doc
  readonly imports: readonly Import[]
}

const isTaken = (name: string, taken: ReadonlySet<string>): boolean => taken.has(name)

/** The type of the things, and the member of the class that holds them. `taken`: names of the file. */
export const printList = (
  list: DataList,
  parts: Parts,
  from: string,
  taken: ReadonlySet<string>,
): PrintedList => {
  const { name, item, fields } = list
  let type = `${item.charAt(0).toUpperCase()}${item.slice(1)}`
  while (isTaken(type, taken)) type += 'Item'
  const types = fields.map((field) => {
    const as = givenAs(list, field)
    if (as && field.name !== 'class') return typeOfInput(as.tag, as.prop, parts, from)
    return { name: field.kind === 'flag' ? 'boolean' : 'string', imports: [] }
  })
  const members = fields.map(
    (field, i) => `${field.name}${field.isOptional ? '?' : ''}: ${types[i]!.name};`,
  )
  return {
    type: printBlock(`type ${type} = {`, members, '};'),
    member: concat([`protected readonly ${name}: ${type}[] = `, printThings(list), ';']),
    imports: types.flatMap(({ imports }) => imports),
  }
}
