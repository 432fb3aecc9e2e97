import { concat, either, hardline, indent, span, type Doc } from '../shared/document.js'
import type { DataList, ListField } from '../shared/lists.js'
import { quoteString } from './quote-string.js'
import { printBlock } from './print-block.js'
import { printProperty } from './print-property.js'

const typeOf = ({ kind, of, type }: ListField): string => {
  if (type !== undefined) return type
  if (of) return `${of.tag}Props[${quoteString(of.prop)}]`
  return kind === 'flag' ? 'boolean' : 'string'
}

const valueOf = (value: string | boolean, { kind }: ListField): string =>
  typeof value === 'boolean' ? String(value) : kind === 'text' ? quoteString(value) : value

/** The things in a list, each with what it has: `[{ … }, { … }]`. */
export const printThings = ({ fields, rows }: DataList): Doc =>
  printBlock(
    '[',
    rows.map(({ layer, values }) => {
      const lines = fields.flatMap((field, i) => {
        const value = values[i]
        return value === undefined ? [] : [printProperty(field.name, valueOf(value, field))]
      })
      const thing = printBlock('{', lines, '},')
      return layer === undefined ? thing : span(layer, thing)
    }),
    ']',
  )

/** `const tides: Tide[] = `; what is `added` to the type has a line of its own if need be. */
const printHead = ({ name, type }: DataList, added: string | undefined): Doc => {
  if (added === undefined) return `const ${name}: ${type}[] = `
  const head = `const ${name}: (${type} & {`
  return either(
    `${head} ${added} })[] = `,
    concat([head, indent(concat([hardline, `${added};`])), hardline, '})[] = ']),
  )
}

/**
 * The type of the things in a list, and the list with what the design says as its content. `added`: a member that each has
 * beside those of the type, `class?: string`.
 */
export const listBlocks = (list: DataList, added?: string): readonly Doc[] => {
  const { type, uses, fields } = list
  const members = fields.map(
    (field) => `${field.name}${field.isOptional ? '?' : ''}: ${typeOf(field)};`,
  )
  return [
    ...(uses === undefined ? [printBlock(`type ${type} = {`, members, '};')] : []),
    concat([printHead(list, added), printThings(list), ';']),
  ]
}

/** Lists before a component, with an empty line after each block. */
export const printList = (list: DataList): Doc =>
  concat(listBlocks(list).flatMap((block) => [block, hardline, hardline]))
