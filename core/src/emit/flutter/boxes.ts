import type { Holder } from './context.js'
import { call, list, raw, type Dart } from './dart.js'
import type { SlotValue } from './tokens.js'
import { dartOf, isAtTimes, isEver, mapCodes, type ValueContext } from './values-of.js'

export type Said = ReadonlyMap<string, SlotValue>

const DECORATION = ['color', 'gradient', 'image', 'border', 'radius', 'shadow'] as const
const DECORATION_NAMES: Readonly<Record<(typeof DECORATION)[number], string>> = {
  color: 'color',
  gradient: 'gradient',
  image: 'image',
  border: 'border',
  radius: 'borderRadius',
  shadow: 'boxShadow',
}
const LIMITS = ['minWidth', 'maxWidth', 'minHeight', 'maxHeight'] as const

/** What a limit is where there is none. */
const NO_LIMIT: Readonly<Record<(typeof LIMITS)[number], string>> = {
  minWidth: '0',
  maxWidth: 'double.infinity',
  minHeight: '0',
  maxHeight: 'double.infinity',
}

export const decorationOf = (said: Said, context: ValueContext): Dart | undefined => {
  const named = Object.fromEntries(
    DECORATION.map((slot) => [DECORATION_NAMES[slot], dartOf(said.get(slot), context)]),
  )
  // Corners alone show nothing.
  const shows = DECORATION.some((slot) => slot !== 'radius' && said.has(slot))
  return shows ? call('BoxDecoration', named) : undefined
}

const constraintsOf = (said: Said, context: ValueContext): Dart | undefined => {
  const named = Object.fromEntries(
    LIMITS.map((slot) => [slot, dartOf(said.get(slot), context, NO_LIMIT[slot])]),
  )
  return LIMITS.some((slot) => said.has(slot)) ? call('BoxConstraints', named) : undefined
}

type HeldContext = ValueContext & { readonly holder?: Holder }

/** Padding that is there at some widths only is none at the others. */
const insetsOf = (said: Said, slot: string, context: ValueContext): Dart | undefined =>
  dartOf(said.get(slot), context, 'EdgeInsets.zero')

const ENDLESS = 'double.infinity'

/** A size that does not depend on what holds the box: all the room there is, is nothing of its own. */
const bounded = (value: SlotValue | undefined): SlotValue | undefined =>
  value && mapCodes(value, (code) => (code === ENDLESS ? undefined : code))

/** What the use of a component says of its box: of its sizes also that they are all the room there is. */
export const sizedByUse = (said: Said, placing: Said): Said => {
  const sized = new Map(said)
  for (const slot of ['width', 'height']) {
    const value = placing.get(slot)
    if (value && (said.has(slot) || isEver(value, ENDLESS))) sized.set(slot, value)
  }
  return sized
}

/**
 * What is said of a box, around what is in it: its size, its paint and the room inside. One thing alone has a widget of
 * its own; several are said of one container.
 */
export const boxed = (
  child: Dart | undefined,
  said: Said,
  context: HeldContext,
): Dart | undefined => {
  const isUsed = context.holder === 'sizing user'
  const width = dartOf(isUsed ? bounded(said.get('width')) : said.get('width'), context)
  const asked = isUsed ? bounded(said.get('height')) : said.get('height')
  // As high as its line, which is as high as what is in it.
  const isEndless = context.holder === 'lines' && isEver(asked, ENDLESS)
  const height = isEndless ? undefined : dartOf(asked, context)
  const constraints = constraintsOf(said, context)
  const padding = insetsOf(said, 'padding', context)
  const margin = insetsOf(said, 'margin', context)
  const decoration = decorationOf(said, context)
  const isClipped = said.has('clip')
  const clipBehavior = isClipped && decoration ? raw('Clip.antiAlias') : undefined
  const size = width || height
  const count = [size, constraints, padding, margin, decoration].filter(Boolean).length
  let own: Dart | undefined
  // A container keeps what is in it clear of its border.
  const isFramed = child !== undefined && said.has('border')
  if (count === 0) own = child
  else if (count > 1 || clipBehavior || isFramed) {
    own = call('Container', {
      width,
      height,
      constraints,
      margin,
      padding,
      clipBehavior,
      decoration,
      child,
    })
  } else if (size) own = call('SizedBox', { width, height, child })
  else if (constraints) own = call('ConstrainedBox', { constraints, child })
  else if (decoration) own = call('DecoratedBox', { decoration, child })
  else own = call('Padding', { padding: padding ?? margin, child })
  const radius = dartOf(said.get('radius'), context, 'BorderRadius.zero')
  if (isClipped && !decoration && own) own = call('ClipRRect', { borderRadius: radius, child: own })
  // Its children may still share its height: it gets the height of its content.
  return isEndless && own ? call('IntrinsicHeight', { child: own }) : own
}

const blurOf = (value: SlotValue | undefined, context: ValueContext): Dart | undefined =>
  dartOf(value, context, 'null', (code) => call('ImageFilter.blur', { sigmaX: code, sigmaY: code }))

/** What is done to the whole of a box. */
export const affected = (own: Dart, said: Said, context: ValueContext): Dart => {
  let whole = own
  // Without proportions at some widths, its height is said.
  const proportions = said.get('ratio')
  const ratio = proportions && !isAtTimes(proportions) ? dartOf(proportions, context) : undefined
  if (ratio) whole = call('AspectRatio', { aspectRatio: ratio, child: whole })
  const backdrop = blurOf(said.get('backdrop'), context)
  if (backdrop) {
    whole = call('ClipRRect', { child: call('BackdropFilter', { filter: backdrop, child: whole }) })
  }
  const blur = blurOf(said.get('blur'), context)
  if (blur) whole = call('ImageFiltered', { imageFilter: blur, child: whole })
  const angle = dartOf(said.get('rotate'), context, '0')
  if (angle) whole = call('Transform.rotate', { angle, child: whole })
  const opacity = dartOf(said.get('opacity'), context, '1')
  return opacity ? call('Opacity', { opacity, child: whole }) : whole
}

const share = (value: SlotValue, at: 0 | 1): SlotValue =>
  value.kind === 'same' ? { kind: 'same', code: value.code.split('/')[at]! } : value

const sameCode = (value: SlotValue | undefined): string | undefined =>
  value?.kind === 'same'
    ? value.code
    : value?.kind === 'stepped'
      ? value.steps.find(({ code }) => code)?.code
      : undefined

/** A place along an axis that is not at an edge: the alignment, and how far from there. */
const alignmentOf = (
  said: Said,
  axis: 'x' | 'y',
): { readonly at: string; readonly by: string } | undefined => {
  const centre = sameCode(said.get(`centre-${axis}`))
  if (centre !== undefined) return { at: '0', by: centre }
  const hold = sameCode(said.get(`hold-${axis}`))
  if (hold !== undefined) return { at: '-1', by: hold.split('/')[1]! }
  return undefined
}

/** What lies over its neighbours: where in the parent it is held. */
const positioned = (own: Dart, said: Said, context: ValueContext): Dart => {
  const edges = Object.fromEntries(
    ['left', 'top', 'right', 'bottom'].map((side) => [side, dartOf(said.get(side), context)]),
  )
  const scaleX = said.get('scale-x')
  const scaleY = said.get('scale-y')
  const [x, y] = [alignmentOf(said, 'x'), alignmentOf(said, 'y')]
  if (!scaleX && !scaleY && !x && !y) {
    const isFilled = Object.values(edges).every(
      (side) => side?.kind === 'code' && side.code === '0',
    )
    return isFilled
      ? call('Positioned.fill', { child: own })
      : call('Positioned', { ...edges, child: own })
  }
  const numberOf = (value: SlotValue, at: 0 | 1): number => Number(sameCode(share(value, at)) ?? 0)
  const along = (value: SlotValue | undefined): string => {
    if (!value) return '-1'
    const [at, size] = [numberOf(value, 0), numberOf(value, 1)]
    // Where the free room is split so that it begins at its share of the parent.
    return size >= 1 ? '0' : String(Math.round(((2 * at) / (1 - size) - 1) * 1000) / 1000)
  }
  const alignment = `Alignment(${x?.at ?? along(scaleX)}, ${y?.at ?? along(scaleY)})`
  const dx = x?.by ?? sameCode(said.get('left')) ?? '0'
  const dy = y?.by ?? sameCode(said.get('top')) ?? '0'
  const moved =
    dx === '0' && dy === '0'
      ? own
      : call('Transform.translate', { offset: `Offset(${dx}, ${dy})`, child: own })
  const inside =
    scaleX || scaleY
      ? call('FractionallySizedBox', {
          alignment,
          widthFactor: scaleX ? String(numberOf(scaleX, 1)) : undefined,
          heightFactor: scaleY ? String(numberOf(scaleY, 1)) : undefined,
          child: moved,
        })
      : call('Align', { alignment, child: moved })
  return call('Positioned.fill', { child: inside })
}

/** Where a widget stands in what holds it. */
export const placed = (own: Dart, said: Said, context: HeldContext): Dart => {
  if (context.holder === 'user' || context.holder === 'sizing user') return own
  if (said.has('absolute')) return positioned(own, said, context)
  const self = said.get('self')
  const over = insetsOf(said, 'over', context)
  let whole: Dart = over ? call('Bleed', { insets: over, child: own }) : own
  if (self) {
    const alignment = dartOf(self, context)
    whole = call(isAtTimes(self) ? 'Container' : 'Align', { alignment, child: whole })
  }
  if (context.holder === 'columns' || context.holder === 'lines') return whole
  const grow = said.get('grow')
  if (grow) {
    const flex = isAtTimes(grow) ? dartOf(grow, context, '0') : undefined
    return call('Expanded', { flex, child: whole })
  }
  const flexible = said.get('flexible')
  if (!flexible) return whole
  const flex = isAtTimes(flexible)
    ? dartOf(flexible, context, '0', (code) => raw(code === 'true' ? '1' : '0'))
    : undefined
  return call('Flexible', { flex, child: whole })
}

/** The slots for the room around the content of a box. */
const ROOM: ReadonlySet<string> = new Set(['padding', 'contentMax'])

/** The slots of a box without those for the room around its content. */
export const withoutRoom = (said: Said): Said =>
  new Map([...said].filter(([slot]) => !ROOM.has(slot)))

export type Layers = {
  readonly under: readonly Dart[]
  readonly above: readonly Dart[]
  /** Something lies over or under its neighbours, at these widths or at others: its place is counted from the box's edges. */
  readonly isLayered: boolean
}

/** What holds several: a row, a column, things over each other, or columns of one width. */
export const arranged = (
  flow: readonly Dart[],
  { under, above, isLayered }: Layers,
  said: Said,
  context: ValueContext,
): Dart | undefined => {
  const content = flowOf(flow, said, context)
  const inFlow = content && isLayered ? inRoom(content, said, context) : content
  if (under.length + above.length === 0) return inFlow
  return call('Stack', {
    clipBehavior: said.has('clip') ? undefined : 'Clip.none',
    children: list([...under, ...(inFlow ? [inFlow] : []), ...above]),
  })
}

/** Whether a value is one and the same at all widths. */
export const isOnly = (value: SlotValue | undefined, code: string): boolean =>
  value?.kind === 'same' && value.code === code

/** How a row or a column aligns what is in it, as what wraps says it. */
const forWrap = (code: string): Dart =>
  raw(
    code
      .replace('MainAxisAlignment.', 'WrapAlignment.')
      .replace(/CrossAxisAlignment\.(stretch|baseline)/, 'CrossAxisAlignment.start')
      .replace('CrossAxisAlignment.', 'WrapCrossAlignment.'),
  )

const flowOf = (children: readonly Dart[], said: Said, context: ValueContext): Dart | undefined => {
  const get = (slot: string, nothing?: string): Dart | undefined =>
    dartOf(said.get(slot), context, nothing)
  const direction = said.get('direction')
  if (said.has('columns')) {
    return call('Columns', {
      count: get('columns', '1'),
      tracks: dartOf(said.get('tracks'), context, 'null', (code) => list(code.split('/').map(raw))),
      spacing: get('spacing', '0'),
      runSpacing: get('runSpacing', '0'),
      crossAxisAlignment: get('cross'),
      children: list(children),
    })
  }
  if (said.has('wrap')) {
    const cross = said.get('cross')
    return call('Wrap', {
      direction: isOnly(direction, 'Axis.horizontal') ? undefined : get('direction'),
      spacing: get('spacing', '0'),
      runSpacing: get('runSpacing', '0'),
      alignment: dartOf(said.get('main'), context, 'WrapAlignment.start', forWrap),
      // Rows say nothing where things stand in their middle.
      crossAxisAlignment: isOnly(cross, 'CrossAxisAlignment.start')
        ? undefined
        : dartOf(cross, context, 'WrapCrossAlignment.center', forWrap),
      children: list(children),
    })
  }
  if (!direction) {
    if (children.length <= 1) {
      const [only] = children
      return only && only.kind === 'when' ? call('Column', { children: list(children) }) : only
    }
    return call('Column', {
      crossAxisAlignment: 'CrossAxisAlignment.start',
      children: list(children),
    })
  }
  const name = isOnly(direction, 'Axis.horizontal')
    ? 'Row'
    : isOnly(direction, 'Axis.vertical')
      ? 'Column'
      : 'Flex'
  const flex = call(name, {
    direction: name === 'Flex' ? get('direction', 'Axis.vertical') : undefined,
    mainAxisAlignment: get('main', 'MainAxisAlignment.start'),
    mainAxisSize: get('size', 'MainAxisSize.max'),
    crossAxisAlignment: get('cross', 'CrossAxisAlignment.center'),
    textBaseline: get('baseline'),
    spacing: get('spacing', '0'),
    children: list(children),
  })
  const wide = said.has('intrinsicWidth') ? call('IntrinsicWidth', { child: flex }) : flex
  return isEver(said.get('intrinsic')) ? call('IntrinsicHeight', { child: wide }) : wide
}

/** Content that is held to a width in the middle. */
const limited = (inside: Dart, said: Said, context: ValueContext): Dart => {
  const contentMax = dartOf(said.get('contentMax'), context, 'double.infinity')
  if (!contentMax) return inside
  const constraints = call('BoxConstraints', { maxWidth: contentMax })
  return call('Align', {
    alignment: 'Alignment.topCenter',
    child: call('ConstrainedBox', { constraints, child: inside }),
  })
}

/** Content with the room around it. */
const inRoom = (content: Dart, said: Said, context: ValueContext): Dart => {
  const padding = insetsOf(said, 'padding', context)
  const own = limited(content, said, context)
  return padding ? call('Padding', { padding, child: own }) : own
}

/** Content that is held to a width in the middle, or reached by scrolling sideways. */
export const held = (
  inside: Dart | undefined,
  said: Said,
  context: ValueContext,
): Dart | undefined => {
  if (!inside) return undefined
  const own = limited(inside, said, context)
  // Sideways there is no end to the room: it is as wide as what is in it.
  return said.has('scrolls')
    ? call('SingleChildScrollView', {
        scrollDirection: 'Axis.horizontal',
        child: call('IntrinsicWidth', { child: own }),
      })
    : own
}
