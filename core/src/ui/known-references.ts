import { insideOf, mapChildren, type UiNode } from './nodes.js'
import { idsIn } from './unique-ids.js'

const REFERENCES = ['describedBy', 'labelledBy', 'labelFor'] as const

/** A page on which nothing names an element that is not there: what was to have the id became another thing, or is shown nowhere. */
export const withKnownReferences = (root: UiNode): UiNode => {
  const ids = idsIn(root)
  const unknownOf = (node: UiNode): readonly string[] =>
    REFERENCES.filter((field) => {
      const id = (node as Readonly<Record<string, unknown>>)[field]
      return typeof id === 'string' && !ids.has(id)
    })
  if ([root, ...insideOf(root)].every((node) => unknownOf(node).length === 0)) return root
  const change = (node: UiNode): UiNode => {
    const unknown = unknownOf(node)
    const own =
      unknown.length === 0
        ? node
        : ({ ...node, ...Object.fromEntries(unknown.map((field) => [field, undefined])) } as UiNode)
    return mapChildren(own, change)
  }
  return change(root)
}
