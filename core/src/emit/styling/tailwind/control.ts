import { isTick, type UiControl } from '../../../ui/nodes.js'
import { colorClass } from './box.js'
import { valueSlot, type Slot } from './slots.js'
import { textSlots } from './text.js'
import type { TailwindTheme } from './theme.js'
import { spacing } from './values.js'

/** What a control says of its letters; the rest of what texts say is the browser's affair. */
const TYPE_SLOTS: ReadonlySet<string> = new Set(['family', 'type', 'weight', 'italic', 'tracking'])

const typeSlots = (
  theme: TailwindTheme,
  node: UiControl,
  inherited: string | undefined,
): Slot[] => {
  const { textStyle, textTokens, hintColor } = node
  if (!textStyle) return []
  const style = { ...node.style, tokens: textTokens }
  const asText = {
    ...node,
    type: 'text',
    style,
    textStyle,
    align: 'start',
    wraps: true,
    runs: [],
  } as const
  return textSlots(theme, asText, inherited).filter(
    // The colour is that of the hint, where there is one.
    ({ slot }) => TYPE_SLOTS.has(slot) || (slot === 'color' && !hintColor),
  )
}

/** What a control says beside its box: room around its words, their type, and that the browser's own look is off. */
export const controlSlots = (
  theme: TailwindTheme,
  node: UiControl,
  inherited: string | undefined,
): Slot[] => {
  const { control, padding, hintColor, textTokens, isOn } = node
  const ticks = isTick(control)
  const slots = [
    valueSlot('pl', spacing(padding.left)),
    valueSlot('pr', spacing(padding.right)),
    valueSlot('pt', spacing(padding.top)),
    valueSlot('pb', spacing(padding.bottom)),
    ...typeSlots(theme, node, inherited),
  ]
  if (control === 'range') slots.unshift({ slot: 'accent', token: 'accent-current' })
  if (ticks || control === 'select') slots.unshift({ slot: 'appearance', token: 'appearance-none' })
  if (node.isStepped) {
    // It is as wide as its digits; the buttons beside it count, not the browser's own.
    slots.unshift(
      { slot: 'sized', token: 'field-sizing-content' },
      { slot: 'appearance', token: '[appearance:textfield]' },
      { slot: 'spin', token: '[&::-webkit-inner-spin-button]:appearance-none' },
    )
  }
  if (control === 'textarea') slots.unshift({ slot: 'resize', token: 'resize-none' })
  if (hintColor) {
    const color = colorClass(theme, 'text', textTokens['style.color'], hintColor)
    slots.push({ slot: 'hint', token: `placeholder:${color}` })
  }
  if (ticks) {
    slots.push({
      slot: 'checked',
      token: isOn ? 'not-checked:bg-transparent' : 'checked:bg-current',
    })
  }
  return slots
}
