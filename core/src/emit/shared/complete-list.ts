import type { DataList, ListField } from './lists.js'
import type { Parts } from './prop-owner.js'

/** What a field of a list is given as: the component, and the name it has there. */
export const givenAs = (
  list: DataList,
  field: ListField,
): { readonly tag: string; readonly prop: string } | undefined =>
  field.of ?? (list.uses === undefined ? undefined : { tag: list.uses, prop: field.name })

/**
 * A list in which things say what they would have had by saying nothing: for targets in which a loop gives a component
 * something always.
 */
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
