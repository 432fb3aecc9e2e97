import { capitalise } from '../../text/names.js'
import { printBlock } from '../script/print-block.js'
import { printThings } from '../script/print-list.js'
import { concat, type Doc } from '../shared/document.js'
import { givenAs } from '../shared/complete-list.js'
import type { DataList } from '../shared/lists.js'
import type { Parts } from '../shared/prop-owner.js'
import type { Import } from './print-class.js'
import { typeOfInput } from './inputs.js'

export type PrintedList = {
  readonly type: Doc
  readonly member: Doc
  readonly imports: readonly Import[]
}

/** The type of the things, and the member of the class that holds them. `taken`: names of the file. */
export const printList = (
  list: DataList,
  parts: Parts,
  from: string,
  taken: ReadonlySet<string>,
): PrintedList => {
  const { name, item, fields } = list
  let type = capitalise(item)
  while (taken.has(type)) type += 'Item'
  const types = fields.map((field) => {
    if (field.type !== undefined) return { name: field.type, imports: [] }
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
