import { givenAs } from '../shared/complete-list.js'
import { concat, type Doc } from '../shared/document.js'
import type { DataList } from '../shared/lists.js'
import { findOwner, type Parts } from '../shared/prop-owner.js'
import type { WidgetContext } from './context.js'
import { call, list, printDart, quoteDart, type Dart } from './dart.js'
import { dartName, listName } from './names.js'

const typeOf = (list: DataList, i: number, parts: Parts, context: WidgetContext): string => {
  const field = list.fields[i]!
  if (field.type !== undefined) return field.type
  const as = givenAs(list, field)
  const owner = as && findOwner(as.tag, as.prop, parts)
  if (owner?.prop.kind === 'number') return 'num'
  if (owner?.prop.kind === 'choice') return context.choiceType(`${owner.tag}.${owner.prop.name}`)
  return field.kind === 'flag' || owner?.prop.kind === 'flag' ? 'bool' : 'String'
}

/** A list of records, with what the design says as its content. */
export const printList = (data: DataList, parts: Parts, context: WidgetContext): Doc => {
  const types = data.fields.map((_, i) => typeOf(data, i, parts, context))
  const type = `({${data.fields
    .map((field, i) => `${types[i]!}${field.isOptional ? '?' : ''} ${dartName(field.name)}`)
    .join(', ')}})`
  const valueOf = (value: string | boolean | undefined, i: number): string => {
    if (value === undefined) return 'null'
    if (typeof value === 'boolean') return String(value)
    const own = types[i]!
    if (own === 'bool' || own === 'num') return value
    if (data.fields[i]!.type !== undefined) return value
    return own === 'String' ? quoteDart(value) : `${own}.${dartName(value)}`
  }
  const rows = data.rows.map(({ layer, values }): Dart => ({
    ...call(
      '',
      Object.fromEntries(
        data.fields.map((field, i) => [dartName(field.name), valueOf(values[i], i)]),
      ),
    ),
    layer,
  }))
  return concat([`const List<${type}> ${listName(data.name)} = `, printDart(list(rows), true), ';'])
}
