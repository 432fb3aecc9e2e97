import { SHARED_CLASSES } from '../styling/css/name-classes.js'
import type { Finished } from '../styling/styling.js'
import type { DataList } from '../shared/lists.js'
import type { Looks } from '../shared/looks.js'
import { isClass, isClassName, mapAttributes, type Attribute } from '../shared/markup.js'

/** How a target refers to a class of a component's own sheet: in markup, and in code beside it. */
export type ClassReference = {
  inMarkup(name: string): string
  inCode(name: string): string
}

type Split = { readonly plain: string; readonly own: readonly string[] }

/** Classes that all components share stay texts. */
const split = (classes: string, refer: (name: string) => string): Split => {
  const names = classes.split(' ').filter(Boolean)
  return {
    plain: names.filter((name) => SHARED_CLASSES.has(name)).join(' '),
    own: names.filter((name) => !SHARED_CLASSES.has(name)).map(refer),
  }
}

/** Classes as the value of code: `styles.card`, or a text with several in it. */
const asCode = (classes: string, refer: (name: string) => string): string => {
  const { plain, own } = split(classes, refer)
  const [only, ...others] = own
  if (only === undefined) return `"${plain}"`
  if (others.length === 0 && plain === '') return only
  return `\`${[...own.map((one) => `\${${one}}`), plain].filter(Boolean).join(' ')}\``
}

const referInLooks = (looks: Looks, refer: (name: string) => string): Looks => ({
  ...looks,
  isCode: true,
  classes: Object.fromEntries(
    Object.entries(looks.classes).map(([option, own]) => [
      option,
      own.map((classes) => asCode(classes, refer)),
    ]),
  ),
})

const referInList = (list: DataList, refer: (name: string) => string): DataList => {
  const isOwn = list.fields.map(({ name }) => isClassName(name))
  if (!isOwn.includes(true)) return list
  return {
    ...list,
    fields: list.fields.map((field, i) => (isOwn[i] ? { ...field, kind: 'code' } : field)),
    rows: list.rows.map((row) => ({
      ...row,
      values: row.values.map((value, i) =>
        isOwn[i] && typeof value === 'string' ? asCode(value, refer) : value,
      ),
    })),
  }
}

/** A component whose classes are code that names them in its own sheet, and no texts. */
export const referClasses = (component: Finished, reference: ClassReference): Finished => {
  const refer = (attribute: Attribute): Attribute => {
    if (!isClass(attribute)) return attribute
    const isGiven = attribute.kind === 'classes'
    if (!isGiven && attribute.kind !== 'text') return attribute
    const { plain, own } = split(isGiven ? attribute.base : attribute.text, (name) =>
      reference.inMarkup(name),
    )
    if (own.length === 0) return attribute
    const given = isGiven ? attribute : { looks: [], isPlaced: false }
    return { ...given, name: attribute.name, kind: 'classes', base: plain, own }
  }
  const inCode = (name: string): string => reference.inCode(name)
  return {
    ...component,
    markup: mapAttributes(component.markup, refer),
    looks: component.looks?.map((looks) => referInLooks(looks, inCode)),
    lists: component.lists?.map((list) => referInList(list, inCode)),
  }
}
