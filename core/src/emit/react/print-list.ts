import { concat, group, hardline, indent, join, line, span, type Doc } from '../shared/document.js'
import type { DataList, ListField } from '../shared/lists.js'
import { quoteString } from './escape.js'

const typeOf = ({ kind }: ListField): string => (kind === 'flag' ? 'boolean' : 'string')

const block = (open: string, lines: readonly Doc[], close: string): Doc =>
  concat([open, indent(concat([hardline, join(hardline, lines)])), hardline, close])

/** `place: "…",`, on two lines when one is too long. */
const property = (name: string, value: string): Doc =>
  value.startsWith('"') || value.startsWith("'")
    ? group(concat([`${name}:`, indent(concat([line, value])), ',']))
    : `${name}: ${value},`

const valueOf = (value: string | boolean, { kind }: ListField): string =>
  typeof value === 'boolean' ? String(value) : kind === 'text' ? quoteString(value) : value

/** The type of the things in a list, and the list with what the design says as its content. */
export const printList = ({ name, type, fields, rows }: DataList): Doc => {
  const members = fields.map(
    (field) => `${field.name}${field.isOptional ? '?' : ''}: ${typeOf(field)};`,
  )
  const things = rows.map(({ layer, values }) => {
    const lines = fields.flatMap((field, i) => {
      const value = values[i]
      return value === undefined ? [] : [property(field.name, valueOf(value, field))]
    })
    const thing = block('{', lines, '},')
    return layer === undefined ? thing : span(layer, thing)
  })
  return concat([
    block(`type ${type} = {`, members, '};'),
    hardline,
    hardline,
    block(`const ${name}: ${type}[] = [`, things, '];'),
    hardline,
    hardline,
  ])
}
