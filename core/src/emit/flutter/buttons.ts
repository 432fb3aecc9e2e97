import type { MarkupElement, MarkupNode } from '../shared/markup.js'
import { boxed, isOnly, type Said } from './boxes.js'
import { attributeOf, flagOf, saidOf, wordsOf, type WidgetContext } from './context.js'
import { argumentOf, call, parseDart, partsOf, raw, type Dart, type DartCall } from './dart.js'
import type { SlotValue } from './tokens.js'
import { codesOf, dartOf, sameOf } from './values-of.js'

/** Slots that a button of Material has no place for: it is then any box that can be pressed. */
const NOT_OF_A_BUTTON = ['gradient', 'image', 'backdrop', 'clip', 'scrolls', 'contentMax']

/** Slots that the style of a button says, so that the boxes around it need not. */
const OF_THE_STYLE = new Set(['color', 'border', 'radius', 'padding'])

type Content = { readonly texts: number; readonly pictures: number }

const NO_LABEL: Content = { texts: Infinity, pictures: Infinity }

/** What a button shows, counted: texts, and icons or pictures; more than any label has, of what no label has in it. */
const contentOf = (nodes: readonly MarkupNode[], context: WidgetContext): Content =>
  nodes.reduce<Content>(
    (sum, node) => {
      const own = contentOfNode(node, context)
      return { texts: sum.texts + own.texts, pictures: sum.pictures + own.pictures }
    },
    { texts: 0, pictures: 0 },
  )

const contentOfNode = (node: MarkupNode, context: WidgetContext): Content => {
  if (node.kind === 'when') return contentOfNode(node.content, context)
  if (node.kind !== 'element') return NO_LABEL
  if (context.icons.has(node.tag) || node.tag === 'img') return { texts: 0, pictures: 1 }
  if (node.content === 'text') return { texts: 1, pictures: 0 }
  const isBox = node.tag === 'div' || node.tag === 'span'
  return isBox && !node.foreign ? contentOf(node.children, context) : NO_LABEL
}

/** The width of a border of one line all around, in px; 0 for none, undefined for any other. */
const borderWidth = (code: string | undefined): number | undefined => {
  if (code === undefined) return 0
  if (!code.startsWith('Border.all(')) return undefined
  if (code.includes('strokeAlign')) return 0
  const width = /width: ([\d.]+)/.exec(code)
  return width ? Number(width[1]) : 1
}

/** The room that the border takes inside the box, in px; undefined where that depends, or is not the same all around. */
const roomOfBorder = (border: SlotValue | undefined): number | undefined => {
  const widths = new Set((border ? codesOf(border) : [undefined]).map(borderWidth))
  const [only] = widths
  return widths.size === 1 ? only : undefined
}

const SIDES: Readonly<Record<string, readonly string[]>> = {
  'EdgeInsets.only': ['left', 'top', 'right', 'bottom'],
  'EdgeInsets.symmetric': ['horizontal', 'vertical'],
}

/** Insets with some px more at each side: the padding of a button begins at its edge, and not inside its border. */
const widened = (code: string, by: number): Dart => {
  const insets = parseDart(code)
  if (by === 0 || insets.kind !== 'call') {
    return by > 0 && code === 'EdgeInsets.zero'
      ? parseDart(`EdgeInsets.all(${String(by)})`)
      : insets
  }
  const more = (dart: Dart | undefined): Dart => {
    const own = dart?.kind === 'code' ? dart.code : '0'
    return raw(Number.isNaN(Number(own)) ? `${own} + ${String(by)}` : String(Number(own) + by))
  }
  const sides = SIDES[insets.name]
  if (!sides) return call(insets.name, {}, [more(insets.args[0]?.value)])
  const given = (side: string): Dart | undefined =>
    insets.args.find(({ name }) => name === side)?.value
  return call(insets.name, Object.fromEntries(sides.map((side) => [side, more(given(side))])))
}

const X_OF: Readonly<Record<string, number>> = { start: -1, center: 0, end: 1 }
const COLUMNS = ['Left', 'Center', 'Right']
const ROWS = ['top', 'center', 'bottom']

const nameOfAlignment = (x: number, y: number): string =>
  x === 0 && y === 0 ? 'Alignment.center' : `Alignment.${ROWS[y + 1]!}${COLUMNS[x + 1]!}`

/** Where things begin that share no room: `MainAxisAlignment.end` → 1 */
const shareOf = (code: string | undefined, otherwise: number): number =>
  X_OF[code?.slice(code.indexOf('.') + 1) ?? ''] ?? otherwise

/** Where what a button shows stands in it; undefined where both axes depend on the width or on what is chosen. */
const alignmentOf = (said: Said, isText: boolean, context: WidgetContext): Dart | undefined => {
  if (isText) {
    const align = said.get('align')
    const at = (code?: string): string => nameOfAlignment(shareOf(code, -1), 0)
    return align
      ? dartOf(align, context, at(), (code) => raw(at(code)))
      : raw(at('TextAlign.start'))
  }
  const direction = said.get('direction')
  const isRow = isOnly(direction, 'Axis.horizontal')
  if (direction && !isRow && !isOnly(direction, 'Axis.vertical')) return undefined
  const main = said.get('main')
  const cross = said.get('cross')
  const isFixed = (value: SlotValue | undefined): boolean => !value || value.kind === 'same'
  if (!isFixed(main) && !isFixed(cross)) return undefined
  const named = (mainCode: string | undefined, crossCode: string | undefined): string => {
    const along = shareOf(mainCode, -1)
    // Rows and columns say nothing where things stand in their middle.
    const across = shareOf(crossCode, crossCode === undefined && direction ? 0 : -1)
    return isRow ? nameOfAlignment(along, across) : nameOfAlignment(across, along)
  }
  return isFixed(main)
    ? cross && cross.kind !== 'same'
      ? dartOf(cross, context, named(sameOf(main), undefined), (code) =>
          raw(named(sameOf(main), code)),
        )
      : raw(named(sameOf(main), sameOf(cross)))
    : dartOf(main, context, named(undefined, sameOf(cross)), (code) =>
        raw(named(code, sameOf(cross))),
      )
}

/** A text style as Material's buttons take it: the letters, and their colour by itself. */
const splitStyle = (style: Dart): { readonly ink: Dart; readonly letters: Dart } | undefined => {
  if (style.kind !== 'call') return undefined
  const ink = argumentOf(style, 'color')
  if (!ink) return undefined
  const args = style.args.filter(({ name }) => name !== 'color')
  const copied = /^(.+)\.copyWith$/.exec(style.name)
  if (copied && args.length === 0) return { ink, letters: raw(copied[1]!) }
  return { ink, letters: { ...style, args } }
}

/** The colour of the first text in some content. */
const inkOf = (dart: Dart): Dart | undefined => {
  if (dart.kind === 'call' && dart.name.startsWith('Text')) {
    const style = argumentOf(dart, 'style')
    return style && splitStyle(style)?.ink
  }
  for (const part of partsOf(dart)) {
    const ink = inkOf(part)
    if (ink) return ink
  }
  return undefined
}

/** Widgets that mean something to a row or a column only. */
const OF_ROWS = new Set(['Align', 'Expanded', 'Flexible', 'Spacer'])

/**
 * The only thing in a row or a column that takes no more room than it, or in a row of a box whose width is said: the
 * button places it by itself.
 */
const aloneIn = (content: Dart, said: Said): Dart => {
  if (content.kind !== 'call' || !/^(Row|Column)$/.test(content.name)) return content
  const size = argumentOf(content, 'mainAxisSize')
  const cross = argumentOf(content, 'crossAxisAlignment')
  const isTight = size?.kind === 'code' && size.code === 'MainAxisSize.min'
  const isWide = content.name === 'Row' && !size && said.get('width')?.kind === 'same'
  const stretches = cross && !(cross.kind === 'code' && !cross.code.endsWith('.stretch'))
  const children = argumentOf(content, 'children')
  const [only, ...others] = children?.kind === 'list' ? children.items : []
  const isAlone = only?.kind === 'call' && !OF_ROWS.has(only.name) && others.length === 0
  return isAlone && (isTight || isWide) && !stretches ? only : content
}

/** The letters of a label that is one text are said by the button; all others keep their own. */
const labelOf = (
  content: Dart,
  said: Said,
): { readonly child: Dart; readonly ink?: Dart; readonly letters?: Dart } => {
  const child = aloneIn(content, said)
  const style =
    child.kind === 'call' && child.name === 'Text' ? argumentOf(child, 'style') : undefined
  const split = style && splitStyle(style)
  if (child.kind !== 'call' || !split) {
    const ink = inkOf(child)
    return ink ? { child, ink } : { child }
  }
  return { child: { ...child, args: child.args.filter(({ name }) => name !== 'style') }, ...split }
}

/** What pressing does, unless a condition holds. */
const whenNot = (condition: string | undefined, press: Dart): Dart => {
  if (condition === undefined) return press
  if (condition === 'true') return raw('null')
  return { kind: 'choice', condition, then: raw('null'), otherwise: press }
}

const LINKS = new Set(['a', 'RouterLink'])

/** Whether a link is drawn as a button: on a ground or in a border, with room around its words. */
const isDrawnAsButton = (element: MarkupElement, said: Said): boolean =>
  !attributeOf(element, 'aria-current') &&
  ![...said.keys()].some((slot) => slot.startsWith('current.')) &&
  said.has('padding') &&
  (said.has('color') || said.has('border'))

export type DrawnButton = {
  readonly button: Dart
  /** What the button tells readers of itself, so that nothing around it need. */
  readonly tells: ReadonlySet<'button' | 'label'>
}

/**
 * What is pressed as one of Material's buttons, if it is one: a label on a ground, in a border or alone, or an icon. Its
 * style says how it is drawn; how large it is, what stands around it says. Undefined for all others.
 */
export const drawnButton = (
  content: Dart | undefined,
  pressOf: () => Dart | undefined,
  element: MarkupElement,
  context: WidgetContext,
): DrawnButton | undefined => {
  const said = saidOf(element, context)
  const isText = element.content === 'text'
  if (!content || (element.tag !== 'button' && !LINKS.has(element.tag))) return undefined
  if (LINKS.has(element.tag) && !isDrawnAsButton(element, said)) return undefined
  if (NOT_OF_A_BUTTON.some((slot) => said.has(slot))) return undefined
  const shown = isText ? { texts: 1, pictures: 0 } : contentOf(element.children, context)
  const label = wordsOf(element, 'aria-label', context)
  const isIcon = shown.texts === 0 && shown.pictures === 1 && label !== undefined
  const isLabel = shown.texts === 1 && shown.pictures <= 2
  const room = roomOfBorder(said.get('border'))
  const alignment = alignmentOf(said, isText, context)
  if ((!isIcon && !isLabel) || room === undefined || !alignment) return undefined
  const { child, ink, letters } = labelOf(content, said)
  // Without a colour of its own, the label would have that of Material.
  if (isLabel && !ink) return undefined
  context.helpers.add('drawn_buttons')
  const name = isIcon
    ? 'IconButton'
    : said.has('color')
      ? 'FilledButton'
      : said.has('border')
        ? 'OutlinedButton'
        : 'TextButton'
  const color = dartOf(said.get('color'), context, 'Colors.transparent')
  const disabled = flagOf(element, 'disabled', context)
  const side = dartOf(said.get('border'), context, 'BorderSide.none', (code) => ({
    ...(parseDart(code) as DartCall),
    name: 'BorderSide',
  }))
  const padding = said.has('padding')
    ? dartOf(said.get('padding'), context, `EdgeInsets.all(${String(room)})`, (code) =>
        widened(code, room),
      )
    : room > 0
      ? widened('EdgeInsets.zero', room)
      : undefined
  const radius = dartOf(said.get('radius'), context, 'BorderRadius.zero')
  const isCentred = alignment.kind === 'code' && alignment.code === 'Alignment.center'
  const style = call(`${name}.styleFrom`, {
    backgroundColor: color,
    foregroundColor: ink,
    disabledBackgroundColor: disabled === undefined ? undefined : color,
    disabledForegroundColor: disabled === undefined ? undefined : ink,
    padding,
    side,
    shape: radius && call('RoundedRectangleBorder', { borderRadius: radius }),
    alignment: isCentred ? undefined : alignment,
    textStyle: letters,
  })
  const onPressed = whenNot(disabled, pressOf() ?? notConnected(context))
  const button = call(name, {
    onPressed,
    tooltip: isIcon ? label : undefined,
    style: style.args.length === 0 ? undefined : style,
    [isIcon ? 'icon' : 'child']: child,
  })
  const shadow = said.get('shadow')
  const around = new Map(
    [...said].filter(([slot]) => !OF_THE_STYLE.has(slot) || (slot === 'radius' && shadow)),
  )
  return {
    button: boxed(button, around, context)!,
    tells: new Set(isIcon ? ['button', 'label'] : ['button']),
  }
}

/** What the design does not say: whoever goes on finds all such places by the name. */
export const notConnected = (context: WidgetContext): Dart => {
  context.helpers.add('not_connected')
  return raw('notConnected')
}
