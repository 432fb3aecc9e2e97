import { insideOf, isClass, type MarkupElement, type MarkupNode } from '../shared/markup.js'
import { slotOf, tokensIn } from './tokens.js'

const says = ({ attributes }: MarkupElement, ...slots: readonly string[]): boolean =>
  tokensIn(attributes.find(isClass)).some((token) => slots.includes(slotOf(token)))

/**
 * Components whose uses say how large they are: some use says a size of its own, or stands in lines, which have no end
 * below. What the root of such a component says of all the room there is, is said by each use.
 *
 * @param components The names and the markup of all of them.
 */
export const findSizedByUse = (
  components: readonly { readonly name: string; readonly markup: MarkupElement }[],
): ReadonlySet<string> => {
  const found = new Set<string>()
  const look = (node: MarkupNode, isInLines: boolean): void => {
    const isElement = node.kind === 'element'
    if (isElement && (isInLines || says(node, 'width', 'height'))) found.add(node.tag)
    const holds = isElement && !says(node, 'contents') ? says(node, 'wrap') : isInLines
    for (const one of insideOf(node)) look(one, holds)
  }
  for (const { markup } of components) look(markup, false)
  // A component that is the root of such a one has no other use there.
  for (let before = -1; before < found.size;) {
    before = found.size
    for (const { name, markup } of components) {
      if (found.has(name)) found.add(markup.tag)
    }
  }
  return found
}
