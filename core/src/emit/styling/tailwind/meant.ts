import type { UiNode } from '../../../ui/nodes.js'
import type { Slot } from './slots.js'

/** Whether words in it begin at the start of a wider line: browsers put those of a button in the middle. */
const beginsWords = (node: UiNode): boolean =>
  node.type === 'text'
    ? node.align === 'start' && (node.wraps || node.style.width.sizing !== 'fit')
    : 'children' in node && node.children.some(beginsWords)

/** What an element must say because of what it is: the browser gives some of them a look of their own. */
export const meantSlots = (node: UiNode, slots: readonly Slot[]): Slot[] => {
  const isButton = node.type === 'menu-button' || (node.type === 'box' && node.role === 'button')
  const isPart = node.type === 'box' && node.item !== undefined
  const isBare = !slots.some(({ slot, token }) => slot === 'display' && token !== '')
  const own = slots.map((slot) =>
    slot.slot === 'display' && isBare && (isButton || isPart) ? { ...slot, token: 'block' } : slot,
  )
  if (node.isInert) own.push({ slot: 'pointer', token: 'pointer-events-none' })
  if (node.type === 'text' && node.isButton && !node.link) {
    own.push({ slot: 'cursor', token: 'cursor-pointer' })
  }
  // Browsers put the words of a head cell in the middle, and make them bold.
  if ((node.type === 'box' || node.type === 'text') && node.item === 'columnheader') {
    const isText = node.type === 'text'
    if (!isText || node.align === 'start') own.push({ slot: 'words', token: 'text-start' })
    if (!isText || node.textStyle.weight === 400) own.push({ slot: 'head', token: 'font-normal' })
  }
  if (node.type !== 'box') return own
  if (isButton) own.push({ slot: 'cursor', token: 'cursor-pointer' })
  if (isButton && beginsWords(node)) own.push({ slot: 'words', token: 'text-start' })
  if (node.role === 'label') {
    own.push(
      { slot: 'cursor', token: 'cursor-pointer' },
      { slot: 'focus', token: 'has-focus-visible:outline-2' },
    )
  }
  if (node.item === 'summary') {
    own.push({ slot: 'cursor', token: 'cursor-pointer' }, { slot: 'marker', token: 'list-none' })
  }
  return own
}
