import { boxOf, constrain, deflate, loosen, type Box, type Constraints } from './box.js'
import type { Layout } from './layout.js'
import { aligned } from './align.js'
import { alignmentOf, borderCss, colorOf, insetsOf, radiusOf } from './read-values.js'
import { letterStyle } from './text.js'
import { isClosure, isMade, type Made, type Value } from './values.js'

/**
 * A button of Material, as its style and the project's theme of buttons say: as large as its label and the room around
 * it, which the constraints may widen; the label is then aligned in it. From Flutter's published `ButtonStyleButton`.
 */
export const layOutButton = (widget: Made, c: Constraints, path: string, layout: Layout): Box => {
  const { named } = widget
  const style = isMade(named['style']) ? named['style'].named : {}
  const isEnabled = isClosure(named['onPressed'])
  const colorAt = (name: string): Value | undefined =>
    (isEnabled ? undefined : style[`disabled${name}`]) ??
    style[`${name[0]!.toLowerCase()}${name.slice(1)}`]
  const insets = insetsOf(style['padding'])
  const [across, down] = [insets.left + insets.right, insets.top + insets.bottom]
  const room = deflate(c, across, down)
  const ink = colorOf(colorAt('ForegroundColor'))
  const own = letterStyle(style['textStyle'], layout.base)
  const letters = ink ? { ...own, css: { ...own.css, color: ink } } : own
  const label = named['icon'] ?? named['child']
  const inside = layout.withBase(letters, () =>
    isMade(label) ? layout.lay(label, loosen(room), path) : boxOf({ width: 0, height: 0 }),
  )
  const place = aligned(inside, room, alignmentOf(style['alignment']), false, false)
  const size = constrain({ width: place.width + across, height: place.height + down }, c)
  const shape = isMade(style['shape']) ? style['shape'].named : {}
  const ground = colorOf(colorAt('BackgroundColor'))
  const radius = radiusOf(shape['borderRadius'])
  const { onPressed, tooltip } = named
  return boxOf(size, [{ x: insets.left, y: insets.top, box: place }], {
    tag: 'button',
    attributes: {
      ...(isEnabled ? {} : { disabled: '' }),
      ...(typeof tooltip === 'string' ? { 'aria-label': tooltip } : {}),
    },
    css: {
      ...(isEnabled ? { cursor: 'pointer' } : {}),
      ...(ground ? { 'background-color': ground } : {}),
      ...(radius ? { 'border-radius': radius } : {}),
      ...borderCss(style['side']),
    },
    ...(isClosure(onPressed) ? { onTap: () => void layout.options.evaluator.call(onPressed) } : {}),
  })
}
