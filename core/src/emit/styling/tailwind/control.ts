import type { UiControl } from '../../../ui/nodes.js'
import { colorClass } from './box.js'
import { valueSlot, type Slot } from './slots.js'
import { textSlots } from './text.js'
import type { TailwindTheme } from './theme.js'
import { spacing } from './values.js'

const TICKS: ReadonlySet<UiControl['control']> = new Set(['checkbox', 'radio', 'switch'])

/** What a control says beside its box: room around its words, their type, and that the browser's own look is off. */
export const controlSlots = (
  theme: TailwindTheme,
  node: UiControl,
  inherited: string | undefined,
): Slot[] => {
  const isTick = TICKS.has(node.control)
  const { left, right, top, bottom } = node.padding
  const { textStyle, hintColor } = node
  const type =
    textStyle === undefined
      ? []
      : textSlots(
          theme,
          {
            ...node,
            type: 'text',
            style: { ...node.style, tokens: node.textTokens },
            textStyle,
            align: 'start',
            wraps: true,
            runs: [],
          },
          inherited,
        ).filter(({ slot }) =>
          [
            'family',
            'type',
            'weight',
            'italic',
            'tracking',
            ...(hintColor ? [] : ['color']),
          ].includes(slot),
        )
  return [
    ...(isTick || node.control === 'select'
      ? [{ slot: 'appearance', token: 'appearance-none' }]
      : []),
    ...(node.control === 'textarea' ? [{ slot: 'resize', token: 'resize-none' }] : []),
    valueSlot('pl', spacing(left)),
    valueSlot('pr', spacing(right)),
    valueSlot('pt', spacing(top)),
    valueSlot('pb', spacing(bottom)),
    ...type,
    ...(hintColor
      ? [
          {
            slot: 'hint',
            token: `placeholder:${colorClass(theme, 'text', node.textTokens['style.color'], hintColor)}`,
          },
        ]
      : []),
    ...(isTick
      ? [
          {
            slot: 'checked',
            token: node.isOn ? 'not-checked:bg-transparent' : 'checked:bg-current',
          },
        ]
      : []),
  ]
}
