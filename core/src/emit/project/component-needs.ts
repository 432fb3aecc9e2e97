import {
  isInMarkup,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from '../shared/markup.js'
import type { PartComponent } from '../shared/prop.js'
import type { BuiltUnit } from './units.js'

/** What components need around them. */
export type ComponentNeeds = {
  /** Whether there are links of the router in it, or it leads somewhere by itself. */
  isRouted(name: string): boolean
  /**
   * The names of the controls in a component that is given something, which are tied to a form around it; undefined where
   * they cannot be told.
   */
  fieldsOf(name: string, given: readonly Attribute[]): readonly string[] | undefined
}

export type NeedsOptions = {
  /** Tags of the router's links. */
  readonly routerTags: ReadonlySet<string>
  /** What ties a control to a form that another component holds, in targets where it cannot stand without. */
  readonly fieldAttributes: ReadonlySet<string>
}

/** What components need around them, with all that stands in them. */
export const createNeeds = (
  units: readonly BuiltUnit[],
  parts: readonly PartComponent[],
  { routerTags, fieldAttributes }: NeedsOptions,
): ComponentNeeds => {
  const markups = new Map<string, MarkupElement>([
    ...units.map(({ unit, markup }) => [unit.name, markup] as const),
    ...parts.map(({ tag, markup }) => [tag, markup] as const),
  ])
  const holdsForm = new Set(
    units.flatMap(({ unit, own }) => (own.forms.size > 0 ? [unit.name] : [])),
  )
  const leads = new Set(units.flatMap(({ unit, own }) => (own.navigates ? [unit.name] : [])))
  /** Whether something holds of an element in some markup, or in a component that stands in it. */
  const holds = (
    node: MarkupNode,
    isSo: (element: MarkupElement) => boolean,
    asked = new Set<string>(),
  ): boolean =>
    isInMarkup(node, (element) => {
      if (isSo(element)) return true
      const inside = markups.get(element.tag)
      if (!inside || asked.has(element.tag)) return false
      asked.add(element.tag)
      return holds(inside, isSo, asked)
    })
  const isField = ({ attributes }: MarkupElement): boolean =>
    attributes.some(({ name }) => fieldAttributes.has(name))
  const fieldsIn = (
    node: MarkupNode,
    given: ReadonlyMap<string, Attribute>,
  ): readonly string[] | undefined => {
    if (node.kind === 'when') return fieldsIn(node.content, given)
    // Of things in a list each has its own.
    if (node.kind !== 'element') return holds(node, isField) ? undefined : []
    const attributes = node.attributes.flatMap((one) => {
      const value = one.kind === 'code' ? given.get(one.code) : one
      return value ? [{ name: one.name, value }] : []
    })
    const own = node.attributes.filter(({ name }) => fieldAttributes.has(name))
    const names = attributes.flatMap(({ name, value }) =>
      fieldAttributes.has(name) && value.kind === 'text' ? [value.text] : [],
    )
    if (names.length < own.length) return undefined
    const inside = markups.get(node.tag)
    const within = new Map(attributes.map(({ name, value }) => [name, value]))
    const all = [
      ...(inside ? [fieldsIn(inside, within)] : []),
      ...node.children.map((child) => fieldsIn(child, given)),
    ]
    if (all.includes(undefined)) return undefined
    return [...names, ...all.flatMap((found) => found ?? [])]
  }
  return {
    isRouted(name) {
      const markup = markups.get(name)
      const isLink = ({ tag }: MarkupElement): boolean => routerTags.has(tag) || leads.has(tag)
      return leads.has(name) || (markup !== undefined && holds(markup, isLink))
    },
    fieldsOf(name, given) {
      const markup = markups.get(name)
      if (!markup || holdsForm.has(name)) return []
      const found = fieldsIn(markup, new Map(given.map((one) => [one.name, one])))
      return found && [...new Set(found)]
    },
  }
}
