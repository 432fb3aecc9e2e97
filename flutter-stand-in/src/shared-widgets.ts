import {
  boxOf,
  clamp,
  constrain,
  deflate,
  type Box,
  type Constraints,
  type Paint,
  type Placed,
} from './box.js'
import type { Layout } from './layout.js'
import { colorOf, decorationCss, insetsOf, numberOf } from './read-values.js'
import { letterStyle } from './text.js'
import { isMade, nameIn, NotKnown, type Made, type Value } from './values.js'

type Rule = (widget: Made, c: Constraints, path: string, layout: Layout) => Box

/** The widgets that projects share, of `lib/shared`: laid out as their code says, by hand. */
const columns: Rule = (widget, c, path, layout) => {
  const { named } = widget
  const count = Math.max(1, numberOf(named['count'], 1))
  const tracks = Array.isArray(named['tracks']) ? (named['tracks'] as readonly Value[]) : []
  const [spacing, runSpacing] = [numberOf(named['spacing']), numberOf(named['runSpacing'])]
  const shares = Array.from({ length: count }, (_, i) => numberOf(tracks[i], 1))
  const all = shares.reduce((sum, share) => sum + share, 0)
  const children = layout.childrenOf(widget, path)
  // How wide it would be: that of which the share is smallest for what is in it says it for all (RenderFlex).
  const natural = (): number =>
    all *
    Math.max(
      0,
      ...children.map(
        (child, i) =>
          layout.lay(child.widget, { ...c, minWidth: 0, maxWidth: Infinity }, child.path).width /
          shares[i % count]!,
      ),
    )
  if (!Number.isFinite(c.maxWidth) && !layout.isMeasuring)
    throw new NotKnown('Columns share out the room, but there is no end to it.')
  const room = Number.isFinite(c.maxWidth) ? c.maxWidth - spacing * (count - 1) : natural()
  const stretches =
    nameIn(named['crossAxisAlignment']) === undefined ||
    nameIn(named['crossAxisAlignment']) === 'stretch'
  const placed: Placed[] = []
  let y = 0
  for (let i = 0; i < children.length; i += count) {
    const row = children.slice(i, i + count)
    const widths = row.map((_, j) => (room * shares[j]!) / all)
    const measure = (minHeight: number, maxHeight: number): Box[] =>
      row.map((child, j) =>
        layout.lay(
          child.widget,
          { minWidth: widths[j]!, maxWidth: widths[j]!, minHeight, maxHeight },
          child.path,
        ),
      )
    const free = layout.measure(() => measure(0, Infinity))
    const height = Math.max(0, ...free.map((box) => box.height))
    let x = 0
    measure(stretches ? height : 0, height).forEach((box, j) => {
      const align = nameIn(named['crossAxisAlignment'])
      const offset =
        align === 'center' ? (height - box.height) / 2 : align === 'end' ? height - box.height : 0
      placed.push({ x, y: y + offset, box })
      x += widths[j]! + spacing
    })
    y += height + (i + count < children.length ? runSpacing : 0)
  }
  return boxOf(constrain({ width: room + spacing * (count - 1), height: y }, c), placed)
}

const fieldPaint = (widget: Made, layout: Layout, tag: string): Paint => {
  const { named } = widget
  const decoration = isMade(named['decoration']) ? named['decoration'].named : {}
  const insets = insetsOf(decoration['contentPadding'] ?? named['padding'])
  const hint = decoration['hintText']
  const label = named['label']
  const { css } = letterStyle(named['style'], layout.base)
  const hintColor = isMade(decoration['hintStyle'])
    ? colorOf(decoration['hintStyle'].named['color'])
    : undefined
  return {
    tag,
    css: {
      ...css,
      ...(hintColor ? { '--hint': hintColor } : {}),
      padding: `${String(insets.top)}px ${String(insets.right)}px ${String(insets.bottom)}px ${String(insets.left)}px`,
      border: '0',
      background: 'transparent',
      outline: '0',
      resize: 'none',
    },
    attributes: {
      ...(typeof hint === 'string' ? { placeholder: hint } : {}),
      'aria-label': typeof label === 'string' ? label : String(named['name'] ?? ''),
      ...(typeof named['initialValue'] === 'string' ? { value: named['initialValue'] } : {}),
      ...(named['enabled'] === false ? { disabled: '' } : {}),
      ...(named['isObscured'] === true ? { type: 'password' } : {}),
    },
  }
}

/** As high as a line of its letters, where nothing says more; a long one takes what there is. */
const field: Rule = (widget, c, _path, layout) => {
  const isLong = widget.named['isLong'] === true
  const style = letterStyle(widget.named['style'], layout.base)
  const decoration = isMade(widget.named['decoration']) ? widget.named['decoration'].named : {}
  const insets = insetsOf(decoration['contentPadding'])
  const line = (style.lineHeight ?? style.size * 1.2) + insets.top + insets.bottom
  const height = Number.isFinite(c.maxHeight) ? c.maxHeight : line
  const size = constrain({ width: Number.isFinite(c.maxWidth) ? c.maxWidth : 200, height }, c)
  return boxOf(size, [], fieldPaint(widget, layout, isLong ? 'textarea' : 'input'))
}

const choice: Rule = (widget, c, _path, layout) => {
  const options = Array.isArray(widget.named['options'])
    ? (widget.named['options'] as readonly Value[])
    : []
  const paint = fieldPaint(widget, layout, 'select')
  const style = letterStyle(widget.named['style'], layout.base)
  const height = Number.isFinite(c.maxHeight) ? c.maxHeight : (style.lineHeight ?? style.size * 1.2)
  return boxOf(
    constrain({ width: Number.isFinite(c.maxWidth) ? c.maxWidth : 200, height }, c),
    [],
    {
      ...paint,
      attributes: { ...paint.attributes, 'data-options': options.map(String).join('\n') },
    },
  )
}

const tick: Rule = (widget, c, _path, layout) => {
  const { named } = widget
  const size = constrain(
    { width: numberOf(named['width'], 20), height: numberOf(named['height'], 20) },
    c,
  )
  const color = colorOf(named['color'])
  return boxOf(size, [], {
    tag: 'input',
    css: {
      ...decorationCss(named['decoration'], size, layout.options.addressOf),
      appearance: 'none',
      margin: '0',
      ...(color ? { '--on': color } : {}),
    },
    attributes: {
      type: nameIn(named['kind']) === 'radio' ? 'radio' : 'checkbox',
      name: String(named['name'] ?? ''),
      'aria-label':
        typeof named['label'] === 'string' ? named['label'] : String(named['name'] ?? ''),
      ...(named['isOn'] === true ? { checked: '' } : {}),
    },
  })
}

const slider: Rule = (widget, c) =>
  boxOf(constrain({ width: Number.isFinite(c.maxWidth) ? c.maxWidth : 200, height: 48 }, c), [], {
    tag: 'input',
    css: {},
    attributes: { type: 'range', 'aria-label': String(widget.named['name'] ?? '') },
  })

const nothing: Rule = (_widget, c) =>
  boxOf({ width: clamp(0, c.minWidth, c.maxWidth), height: clamp(0, c.minHeight, c.maxHeight) })

/** What reaches over the edges of its place. */
const bleed: Rule = (widget, c, path, layout) => {
  const { left, top, right, bottom } = insetsOf(widget.named['insets'])
  const inside = layout.layChild(widget, deflate(c, -left - right, -top - bottom), path)
  const size = constrain(
    { width: inside.width - left - right, height: inside.height - top - bottom },
    c,
  )
  return boxOf(size, [{ x: -left, y: -top, box: inside }])
}

const made = (name: string, named: Made['named']): Made => ({
  kind: 'made',
  name,
  named,
  positional: [],
})

const link: Rule = ({ named }, c, path, layout) =>
  layout.lay(made('Semantics', { link: true, child: made('InkWell', named) }), c, path)

/** As high as the window at least; what scrolls here is the page. */
const screen: Rule = (widget, c, path, layout) => {
  const minHeight = Number.isFinite(c.maxHeight)
    ? c.maxHeight
    : layout.options.evaluator.host.size.height
  const body = made('ConstrainedBox', {
    constraints: made('BoxConstraints', { minHeight }),
    ...widget.named,
  })
  return layout.lay(
    made('Scaffold', { body: made('SingleChildScrollView', { child: body }) }),
    c,
    path,
  )
}

const SHARED: Readonly<Record<string, Rule>> = {
  AnswerChoice: choice,
  AnswerField: field,
  AnswerForm: (widget, c, path, layout) => layout.layChild(widget, c, path),
  AnswerSlider: slider,
  AnswerTick: tick,
  AppLink: link,
  AppScreen: screen,
  Bleed: bleed,
  Columns: columns,
  // What a form says after it was sent is nothing before.
  FormMessages: nothing,
  // Widgets of a codebase use Flutter's own.
  TextField: field,
}

export const layOutShared = (name: string): Rule | undefined => SHARED[name]

export const SHARED_WIDGETS: readonly string[] = Object.keys(SHARED)
