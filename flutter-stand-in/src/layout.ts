import {
  boxOf,
  clamp,
  constrain,
  deflate,
  enforce,
  loosen,
  tight,
  type Box,
  type Constraints,
  type Paint,
  type Placed,
} from './box.js'
import { aligned } from './align.js'
import { layOutButton } from './buttons.js'
import type { Evaluator } from './evaluate.js'
import { FLEX_WIDGETS, layOutFlex } from './flex.js'
import { layOutShared } from './shared-widgets.js'
import {
  addInsets,
  alignmentOf,
  borderInsets,
  childOf,
  childrenOf,
  colorOf,
  decorationCss,
  insetsOf,
  numberOf,
  optionalNumber,
  radiusOf,
} from './read-values.js'
import { layOutText, type LetterStyle, type Measure } from './text.js'
import { isClosure, isMade, nameIn, NotKnown, type Made, type State, type Value } from './values.js'
import { layOutWrap } from './wrap.js'

export type LayoutOptions = {
  readonly evaluator: Evaluator
  readonly measure: Measure
  readonly base: LetterStyle
  /** Where a file of the project is found. */
  addressOf(path: string): string
  /** The size of a picture, in px; undefined until it is known. */
  pictureSize(path: string): { readonly width: number; readonly height: number } | undefined
  /** The state of the widget at a path, made where there is none. */
  stateAt(path: string, make: () => Map<string, Value>): State
}

export type Child = { readonly widget: Made; readonly path: string }

type Rule = (widget: Made, c: Constraints, path: string, layout: Layout) => Box

/** Lays widgets out by the rules of Flutter: constraints go down, sizes come up, the parent says where. */
export class Layout {
  /** How high something would be is asked, with no end to the room below. */
  isMeasuring = false
  /** How letters look that say nothing of their own. */
  base: LetterStyle

  constructor(readonly options: LayoutOptions) {
    this.base = options.base
  }

  /** Lays something out in which letters look like this unless they say otherwise. */
  withBase<T>(base: LetterStyle, lay: () => T): T {
    const before = this.base
    this.base = base
    const laid = lay()
    this.base = before
    return laid
  }

  /** What is laid out to learn how large it would be. */
  measure<T>(lay: () => T): T {
    const before = this.isMeasuring
    this.isMeasuring = true
    const laid = lay()
    this.isMeasuring = before
    return laid
  }

  lay(widget: Made, c: Constraints, path: string): Box {
    const own = `${path}/${widget.name}`
    const box = this.layIn(widget, c, own)
    const key = keyOf(widget)
    return key === undefined ? box : { ...box, paint: { ...box.paint, key } }
  }

  /** What stands right in a row or a column: there, and nowhere else, something may take the room that is left. */
  layInFlex(widget: Made, c: Constraints, path: string): Box {
    if (!FLEX_WIDGETS.has(widget.name)) return this.lay(widget, c, path)
    const box = this.layChild(widget, c, `${path}/${widget.name}`)
    const key = keyOf(widget)
    return key === undefined ? box : { ...box, paint: { ...box.paint, key } }
  }

  private layIn(widget: Made, c: Constraints, path: string): Box {
    try {
      return this.rule(widget, path)(widget, c, path, this)
    } catch (error) {
      if (error instanceof NotKnown) error.where ??= path
      throw error
    }
  }

  /** The only child of a widget, within some constraints; an empty box where there is none. */
  layChild(widget: Made, c: Constraints, path: string): Box {
    const child = childOf(widget)
    return child ? this.lay(child, c, path) : boxOf(constrain({ width: 0, height: 0 }, c))
  }

  childrenOf(widget: Made, path: string): readonly Child[] {
    return childrenOf(widget).map((child, i) => this.resolve(child, `${path}#${String(i)}`))
  }

  /** What a widget of the project is in the end: that says how it takes part in what holds it. */
  private resolve(widget: Made, path: string): Child {
    if (RULES[widget.name] || layOutShared(widget.name)) return { widget, path }
    const own = `${path}/${widget.name}`
    const built = this.build(widget, own)
    return built ? this.resolve(built, own) : { widget, path }
  }

  private rule(widget: Made, path: string): Rule {
    const known = RULES[widget.name]
    if (known) return known
    const shared = layOutShared(widget.name)
    if (shared) return shared
    const built = this.build(widget, path)
    if (built) return (_widget, c, own, layout) => layout.lay(built, c, own)
    throw new NotKnown(`The widget "${widget.name}" is not known.`)
  }

  /** What a widget of the project is made of. */
  private build(widget: Made, path: string): Made | undefined {
    const { evaluator, stateAt } = this.options
    const { program } = evaluator.host
    const own = program.classes.get(widget.name)
    if (!own) return undefined
    const names = new Map<string, Value>()
    for (const [name, code] of own.parameters) {
      const given = widget.named[name]
      names.set(name, given ?? (code ? evaluator.code(code, { names: new Map() }) : null))
    }
    own.positional.forEach((name, i) => names.set(name, widget.positional[i] ?? null))
    const scope = { names }
    const state = program.classes.get(`_${widget.name}State`)
    if (!state) {
      const value = own.build && evaluator.block(own.build, scope)
      return isMade(value) ? value : undefined
    }
    const kept = stateAt(path, () => {
      const values = new Map<string, Value>()
      for (const [name, code] of state.fields) {
        if (code) values.set(name, evaluator.code(code, { names: new Map(), outer: scope }))
      }
      return values
    })
    const value =
      state.build && evaluator.block(state.build, { names: new Map(), outer: scope, state: kept })
    return isMade(value) ? value : undefined
  }
}

/** What a preview, or a link of the page, finds a widget by. */
const keyOf = ({ named }: Made): string | undefined => {
  const { key } = named
  if (!isMade(key)) return undefined
  const [value] = key.positional
  const isLayer = key.name === 'ValueKey'
  return typeof value === 'string' ? `${isLayer ? 'layer' : 'anchor'}:${value}` : undefined
}

/** A box that only passes on, with something to be seen or done. */
const around = (inside: Box, paint: Paint): Box =>
  boxOf(inside, [{ x: 0, y: 0, box: inside }], paint)

const padded = (
  inside: Made | undefined,
  insets: ReturnType<typeof insetsOf>,
  c: Constraints,
  path: string,
  layout: Layout,
): Box => {
  const { left, top, right, bottom } = insets
  const room = deflate(c, left + right, top + bottom)
  const box = inside
    ? layout.lay(inside, room, path)
    : boxOf(constrain({ width: 0, height: 0 }, room))
  const size = constrain({ width: box.width + left + right, height: box.height + top + bottom }, c)
  return boxOf(size, [{ x: left, y: top, box }])
}

/** The constraints that a size asks for: `double.infinity` asks for all there is, which must have an end. */
const sized = (
  width: number | undefined,
  height: number | undefined,
  c: Constraints,
  isMeasuring: boolean,
): Constraints => {
  const least = (asked: number | undefined, most: number, side: string): number => {
    if (asked !== Infinity || Number.isFinite(most)) return asked ?? 0
    // How large a thing is that takes all there is, what is in it tells.
    if (isMeasuring) return 0
    throw new NotKnown(`Something is to take all the ${side} there is, but there is no end to it.`)
  }
  return {
    minWidth: least(width, c.maxWidth, 'width'),
    maxWidth: width ?? Infinity,
    minHeight: least(height, c.maxHeight, 'height'),
    maxHeight: height ?? Infinity,
  }
}

const limits = (value: Value | undefined): Constraints => {
  const { named } = isMade(value) ? value : { named: {} as Made['named'] }
  return {
    minWidth: numberOf(named['minWidth']),
    maxWidth: numberOf(named['maxWidth'], Infinity),
    minHeight: numberOf(named['minHeight']),
    maxHeight: numberOf(named['maxHeight'], Infinity),
  }
}

const container: Rule = (widget, c, path, layout) => {
  const { named } = widget
  const margin = insetsOf(named['margin'])
  const [across, down] = [margin.left + margin.right, margin.top + margin.bottom]
  const inner = deflate(c, across, down)
  const own = sized(
    optionalNumber(named['width']),
    optionalNumber(named['height']),
    inner,
    layout.isMeasuring,
  )
  const asked = enforce(own, enforce(limits(named['constraints']), inner))
  const isAligned = named['alignment'] !== undefined && named['alignment'] !== null
  const child = childOf(widget)
  let box: Box
  if (!child) {
    const fills = (least: number, most: number): number => (Number.isFinite(most) ? most : least)
    box = boxOf({
      width: fills(asked.minWidth, asked.maxWidth),
      height: fills(asked.minHeight, asked.maxHeight),
    })
  } else {
    const insets = addInsets(insetsOf(named['padding']), borderInsets(named['decoration']))
    if (isAligned) {
      const room = deflate(asked, insets.left + insets.right, insets.top + insets.bottom)
      const inside = aligned(
        layout.lay(child, loosen(room), path),
        room,
        alignmentOf(named['alignment']),
      )
      box = boxOf(
        {
          width: inside.width + insets.left + insets.right,
          height: inside.height + insets.top + insets.bottom,
        },
        [{ x: insets.left, y: insets.top, box: inside }],
      )
    } else box = padded(child, insets, asked, path, layout)
  }
  const css = {
    ...decorationCss(named['decoration'], box, layout.options.addressOf),
    ...(nameIn(named['clipBehavior']) === 'antiAlias' ? { overflow: 'hidden' } : {}),
  }
  const painted = { ...box, paint: { css } }
  if (across + down === 0) return painted
  return boxOf({ width: box.width + across, height: box.height + down }, [
    { x: margin.left, y: margin.top, box: painted },
  ])
}

const intrinsicHeight: Rule = (widget, c, path, layout) => {
  if (c.minHeight === c.maxHeight) return layout.layChild(widget, c, path)
  const natural = layout.measure(() =>
    layout.layChild(widget, { ...c, minHeight: 0, maxHeight: Infinity }, path),
  )
  const height = clamp(natural.height, c.minHeight, c.maxHeight)
  return layout.layChild(widget, { ...c, minHeight: height, maxHeight: height }, path)
}

const intrinsicWidth: Rule = (widget, c, path, layout) => {
  if (c.minWidth === c.maxWidth) return layout.layChild(widget, c, path)
  const natural = layout.measure(() =>
    layout.layChild(widget, { ...c, minWidth: 0, maxWidth: Infinity }, path),
  )
  const width = clamp(natural.width, c.minWidth, c.maxWidth)
  return layout.layChild(widget, { ...c, minWidth: width, maxWidth: width }, path)
}

const stack: Rule = (widget, c, path, layout) => {
  const children = layout.childrenOf(widget, path)
  const isHeld = ({ name }: Made): boolean => name.startsWith('Positioned')
  const boxes = new Map<Child, Box>()
  let [width, height] = [0, 0]
  const free = children.filter((child) => !isHeld(child.widget))
  for (const child of free) {
    const box = layout.lay(child.widget, loosen(c), child.path)
    boxes.set(child, box)
    width = Math.max(width, box.width)
    height = Math.max(height, box.height)
  }
  const size =
    free.length > 0
      ? constrain({ width, height }, c)
      : constrain(
          {
            width: Number.isFinite(c.maxWidth) ? c.maxWidth : 0,
            height: Number.isFinite(c.maxHeight) ? c.maxHeight : 0,
          },
          c,
        )
  const placed = children.map((child): Placed => {
    const known = boxes.get(child)
    return known ? { x: 0, y: 0, box: known } : holdIn(child, size, layout)
  })
  const css: Record<string, string> =
    nameIn(widget.named['clipBehavior']) === 'none' ? {} : { overflow: 'hidden' }
  return boxOf(size, placed, { css })
}

/** Something in a stack that is held by the edges. */
const holdIn = (
  { widget, path }: Child,
  size: { width: number; height: number },
  layout: Layout,
): Placed => {
  const { name, named } = widget
  const isFilled = name === 'Positioned.fill'
  const edge = (side: string): number | undefined => (isFilled ? 0 : optionalNumber(named[side]))
  const [left, top, right, bottom] = ['left', 'top', 'right', 'bottom'].map(edge)
  const across =
    left !== undefined && right !== undefined
      ? size.width - left - right
      : optionalNumber(named['width'])
  const down =
    top !== undefined && bottom !== undefined
      ? size.height - top - bottom
      : optionalNumber(named['height'])
  const box = layout.layChild(
    widget,
    {
      minWidth: Math.max(0, across ?? 0),
      maxWidth: Math.max(0, across ?? Infinity),
      minHeight: Math.max(0, down ?? 0),
      maxHeight: Math.max(0, down ?? Infinity),
    },
    path,
  )
  return {
    x: left ?? (right === undefined ? 0 : size.width - right - box.width),
    y: top ?? (bottom === undefined ? 0 : size.height - bottom - box.height),
    box,
  }
}

const picture: Rule = (widget, c, _path, layout) => {
  const { named, positional } = widget
  const path = String(positional[0] ?? '')
  const natural = layout.options.pictureSize(path) ?? { width: 0, height: 0 }
  const width = optionalNumber(named['width'])
  const height = optionalNumber(named['height'])
  const own = enforce(sized(width, height, c, layout.isMeasuring), c)
  const ratio = natural.height === 0 ? 1 : natural.width / natural.height
  // As large as it is, and smaller in proportion where there is less room.
  let size = { width: width ?? natural.width, height: height ?? natural.height }
  if (size.width > own.maxWidth) size = { width: own.maxWidth, height: own.maxWidth / ratio }
  if (size.height > own.maxHeight) size = { width: own.maxHeight * ratio, height: own.maxHeight }
  const label = named['semanticLabel'] ?? named['semanticsLabel']
  return boxOf(constrain(size, own), [], {
    picture: {
      path,
      fit: nameIn(named['fit']) ?? 'contain',
      label: typeof label === 'string' ? label : '',
    },
  })
}

const HEADINGS = [1, 2, 3, 4, 5, 6]

const semantics: Rule = (widget, c, path, layout) => {
  const inside = layout.layChild(widget, c, path)
  const { named } = widget
  const level = named['headingLevel']
  const label = named['label']
  const attributes: Record<string, string> = {
    ...(typeof label === 'string' ? { 'aria-label': label } : {}),
    ...(typeof named['selected'] === 'boolean' && named['link'] ? { 'aria-current': 'page' } : {}),
    ...(typeof named['expanded'] === 'boolean'
      ? { 'aria-expanded': String(named['expanded']) }
      : {}),
  }
  const tag =
    typeof level === 'number' && HEADINGS.includes(level)
      ? `h${String(level)}`
      : named['link'] === true
        ? 'a'
        : named['button'] === true
          ? 'button'
          : undefined
  if (!tag && Object.keys(attributes).length === 0) return inside
  const role: Record<string, string> =
    tag === undefined && 'aria-label' in attributes ? { role: 'group' } : {}
  return around(inside, { ...(tag ? { tag } : {}), attributes: { ...role, ...attributes } })
}

const outOfFlex: Rule = ({ name }) => {
  throw new NotKnown(`${name} stands in neither a Row nor a Column.`)
}

const pass: Rule = (widget, c, path, layout) => layout.layChild(widget, c, path)

const withCss =
  (cssOf: (widget: Made, box: Box, layout: Layout) => Record<string, string>): Rule =>
  (widget, c, path, layout) => {
    const inside = layout.layChild(widget, c, path)
    return around(inside, { css: cssOf(widget, inside, layout) })
  }

const blur = (value: Value | undefined): string =>
  `blur(${String(isMade(value) ? numberOf(value.named['sigmaX']) : 0)}px)`

const screen: Rule = (widget, c, path, layout) => {
  const body = widget.named['body']
  const inside = isMade(body)
    ? layout.lay(body, loosen(c), path)
    : boxOf({ width: c.maxWidth, height: 0 })
  const color = colorOf(widget.named['backgroundColor'])
  return boxOf(
    { width: c.maxWidth, height: Math.max(c.minHeight, inside.height) },
    [{ x: 0, y: 0, box: inside }],
    {
      css: color ? { 'background-color': color } : {},
    },
  )
}

const built: Rule = (widget, c, path, layout) => {
  const builder = widget.named['builder']
  if (!isClosure(builder)) throw new NotKnown('A LayoutBuilder has no builder.')
  const constraints: Value = {
    kind: 'record',
    fields: new Map<string, Value>([
      ['minWidth', c.minWidth],
      ['maxWidth', c.maxWidth],
      ['minHeight', c.minHeight],
      // The window tells how high a screen is, which is as high as what is in it here.
      [
        'maxHeight',
        Number.isFinite(c.maxHeight) ? c.maxHeight : layout.options.evaluator.host.size.height,
      ],
    ]),
  }
  const value = layout.options.evaluator.call(builder, [null, constraints])
  if (!isMade(value)) throw new NotKnown('A LayoutBuilder builds no widget.')
  return layout.lay(value, c, path)
}

const RULES: Readonly<Record<string, Rule>> = {
  Align: (widget, c, path, layout) =>
    aligned(layout.layChild(widget, loosen(c), path), c, alignmentOf(widget.named['alignment'])),
  AspectRatio: (widget, c, path, layout) => {
    const ratio = numberOf(widget.named['aspectRatio'], 1)
    let width = Number.isFinite(c.maxWidth) ? c.maxWidth : c.maxHeight * ratio
    let height = width / ratio
    if (height > c.maxHeight) {
      height = c.maxHeight
      width = height * ratio
    }
    return layout.layChild(widget, tight(constrain({ width, height }, c)), path)
  },
  BackdropFilter: withCss(({ named }) => ({ 'backdrop-filter': blur(named['filter']) })),
  Center: (widget, c, path, layout) => aligned(layout.layChild(widget, loosen(c), path), c, [0, 0]),
  ClipRRect: withCss(({ named }) => ({
    overflow: 'hidden',
    'border-radius': radiusOf(named['borderRadius']) ?? '0',
  })),
  Column: layOutFlex,
  ConstrainedBox: (widget, c, path, layout) =>
    layout.layChild(widget, enforce(limits(widget.named['constraints']), c), path),
  Container: container,
  DecoratedBox: withCss(({ named }, box, layout) =>
    decorationCss(named['decoration'], box, layout.options.addressOf),
  ),
  Dialog: pass,
  ExcludeSemantics: pass,
  Expanded: outOfFlex,
  FilledButton: layOutButton,
  Flex: layOutFlex,
  Flexible: outOfFlex,
  FractionallySizedBox: (widget, c, path, layout) => {
    const across = optionalNumber(widget.named['widthFactor'])
    const down = optionalNumber(widget.named['heightFactor'])
    const share = (factor: number | undefined, least: number, most: number): [number, number] =>
      factor === undefined ? [least, most] : [most * factor, most * factor]
    const [minWidth, maxWidth] = share(across, 0, c.maxWidth)
    const [minHeight, maxHeight] = share(down, 0, c.maxHeight)
    const inside = layout.layChild(widget, { minWidth, maxWidth, minHeight, maxHeight }, path)
    return aligned(inside, c, alignmentOf(widget.named['alignment']))
  },
  IconButton: layOutButton,
  'Image.asset': picture,
  ImageFiltered: withCss(({ named }) => ({ filter: blur(named['imageFilter']) })),
  InkWell: (widget, c, path, layout) => {
    const inside = layout.layChild(widget, c, path)
    const { onTap } = widget.named
    if (!isClosure(onTap)) return inside
    return around(inside, {
      css: { cursor: 'pointer' },
      onTap: () => void layout.options.evaluator.call(onTap),
    })
  },
  IntrinsicHeight: intrinsicHeight,
  IntrinsicWidth: intrinsicWidth,
  LayoutBuilder: built,
  Material: pass,
  Opacity: withCss(({ named }) => ({ opacity: String(numberOf(named['opacity'], 1)) })),
  OutlinedButton: layOutButton,
  Padding: (widget, c, path, layout) =>
    padded(childOf(widget), insetsOf(widget.named['padding']), c, path, layout),
  Row: layOutFlex,
  Scaffold: screen,
  Semantics: semantics,
  SingleChildScrollView: (widget, c, path, layout) => {
    const isAcross = nameIn(widget.named['scrollDirection']) === 'horizontal'
    const inside = layout.layChild(
      widget,
      isAcross
        ? { ...c, minWidth: 0, maxWidth: Infinity }
        : { ...c, minHeight: 0, maxHeight: Infinity },
      path,
    )
    // The page itself scrolls: only what is cut off sideways scrolls by itself.
    if (!isAcross) return inside
    const size = constrain(inside, c)
    return boxOf(size, [{ x: 0, y: 0, box: inside }], { css: { 'overflow-x': 'auto' } })
  },
  SizedBox: (widget, c, path, layout) => {
    const { width, height } = widget.named
    const own = sized(optionalNumber(width), optionalNumber(height), c, layout.isMeasuring)
    return layout.layChild(widget, enforce(own, c), path)
  },
  'SizedBox.shrink': (_widget, c) => boxOf(constrain({ width: 0, height: 0 }, c)),
  Spacer: outOfFlex,
  Stack: stack,
  'SvgPicture.asset': picture,
  Text: (widget, c, _path, { base, options }) => layOutText(widget, c, base, options.measure),
  'Text.rich': (widget, c, _path, { base, options }) =>
    layOutText(widget, c, base, options.measure),
  TextButton: layOutButton,
  'Transform.rotate': withCss(({ named }) => ({
    transform: `rotate(${String(numberOf(named['angle']))}rad)`,
  })),
  'Transform.translate': withCss(({ named }) => {
    const at = isMade(named['offset']) ? named['offset'].positional : []
    return { transform: `translate(${String(numberOf(at[0]))}px, ${String(numberOf(at[1]))}px)` }
  }),
  Visibility: (widget, c, path, layout) =>
    widget.named['visible'] === false
      ? boxOf(constrain({ width: 0, height: 0 }, c))
      : layout.layChild(widget, c, path),
  Wrap: layOutWrap,
}

/** The widgets that are laid out here; all others are those of the project. */
export const KNOWN_WIDGETS: readonly string[] = Object.keys(RULES)
