import {
  isComponentTag,
  mapElements,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from '../shared/markup.js'
import type { HouseRules } from './house-rules.js'

/** How frameworks call attributes of HTML that they call otherwise. */
const HTML_NAMES: Readonly<Record<string, string>> = { className: 'class', htmlFor: 'for' }

/** `onClick`, `@click` → `on…`, `tabIndex` → `tabindex`. */
const htmlName = ({ name }: Attribute): string =>
  HTML_NAMES[name] ??
  name
    .replace(/^[@(]/, 'on')
    .replace(/^[:[]/, '')
    .replace(/[\])]$/, '')
    .toLowerCase()

const placeIn = (order: readonly string[], attribute: Attribute): number => {
  const name = htmlName(attribute)
  const own = order.indexOf(name)
  if (own >= 0) return own
  const begins = order.findIndex(
    (one) => one !== '*' && one.endsWith('*') && name.startsWith(one.slice(0, -1)),
  )
  if (begins >= 0) return begins
  const others = order.indexOf('*')
  return others < 0 ? order.length : others
}

/** Attributes in an order. What is given as a whole stays where it is, since what comes after it holds. */
const inOrder = (
  attributes: readonly Attribute[],
  order: readonly string[],
): readonly Attribute[] => {
  const sorted: Attribute[] = []
  let run: Attribute[] = []
  const close = (): void => {
    sorted.push(...run.sort((a, b) => placeIn(order, a) - placeIn(order, b)))
    run = []
  }
  for (const one of attributes) {
    if (one.kind === 'spread') {
      close()
      sorted.push(one)
    } else run.push(one)
  }
  close()
  return sorted
}

/** An element as the rules of a house want it; components are given what they are given. */
const byRules = (
  element: MarkupElement,
  rules: HouseRules,
  spell: (name: string) => string,
): MarkupElement => {
  if (isComponentTag(element.tag) || element.isUse) return element
  const added = rules.flatMap((one): readonly Attribute[] => {
    if (one.rule !== 'add-attribute' || one.of !== element.tag) return []
    const isThere = element.attributes.some((known) => htmlName(known) === one.name)
    return isThere ? [] : [text(spell(one.name), one.value)]
  })
  const attributes = [...element.attributes, ...added]
  const order = rules
    .filter((one) => one.rule === 'attribute-order')
    .find(({ of }) => of === undefined || of === element.tag)?.order
  return { ...element, attributes: order ? inOrder(attributes, order) : attributes }
}

/** Markup as the rules of a house want it. `spell`: what an attribute of HTML is called. */
export const applyRules = <T extends MarkupNode>(
  node: T,
  rules: HouseRules,
  spell: (name: string) => string,
): T => (rules.length === 0 ? node : mapElements(node, (element) => byRules(element, rules, spell)))
