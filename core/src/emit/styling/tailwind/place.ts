import type { Anchor, UiPlace, UiStyle } from '../../../ui/nodes.js'
import { valueSlot, type Slot } from './slots.js'
import { decimal, signedSpacing, spacing } from './values.js'

const SELF = {
  start: 'self-start',
  centre: 'self-center',
  end: 'self-end',
  stretch: 'self-stretch',
  baseline: 'self-baseline',
} as const

type FlowPlace = Extract<UiPlace, { kind: 'flow' }>

/** Margins, with a stroke that reaches over the box taken off on every side. */
const marginSlots = ({ margin, isPushed }: FlowPlace, bleedPx: number): Slot[] => [
  isPushed ? valueSlot('ml', 'auto') : valueSlot('ml', signedSpacing(margin.left - bleedPx)),
  valueSlot('mr', signedSpacing(margin.right - bleedPx)),
  valueSlot('mt', signedSpacing(margin.top - bleedPx)),
  valueSlot('mb', signedSpacing(margin.bottom - bleedPx)),
]

/** All four edges of a box held alike. */
const edgeSlots = (value: string): Slot[] =>
  ['left', 'right', 'top', 'bottom'].map((side) => valueSlot(side, value))

const SIDE_NAMES = { x: ['left', 'right'], y: ['top', 'bottom'] } as const

const percent = (share: number): string => `[${decimal(share * 100)}%]`

/** Holds a node along one axis: at edges of its parent, at the middle, or in proportion to it. */
const anchorSlots = (axis: 'x' | 'y', anchor: Anchor): Slot[] => {
  const [start, end] = SIDE_NAMES[axis]
  const none = (side: string): Slot => valueSlot(side, 'auto')
  const shift = (hold: 'start' | 'centre' | 'end'): Slot => ({
    slot: `translate-${axis}`,
    token: {
      start: `translate-${axis}-0`,
      centre: `-translate-${axis}-1/2`,
      end: `-translate-${axis}-full`,
    }[hold],
  })
  switch (anchor.edge) {
    case 'both':
      return [
        valueSlot(start, signedSpacing(anchor.before)),
        valueSlot(end, signedSpacing(anchor.after)),
        shift('start'),
      ]
    case 'scale':
      return [valueSlot(start, percent(anchor.at)), none(end), shift('start')]
    case 'end':
      return [none(start), valueSlot(end, signedSpacing(anchor.px)), shift('start')]
    case 'start':
      return [valueSlot(start, signedSpacing(anchor.px)), none(end), shift(anchor.hold)]
    case 'centre': {
      const { px } = anchor
      return [
        valueSlot(
          start,
          px === 0 ? '1/2' : `[calc(50%${px < 0 ? '-' : '+'}${decimal(Math.abs(px))}px)]`,
        ),
        none(end),
        shift('centre'),
      ]
    }
  }
}

/** A box in the flow is not shifted; said for boxes that are held by their middle at another width. */
const UNSHIFTED: readonly Slot[] = [
  { slot: 'translate-x', token: 'translate-x-0' },
  { slot: 'translate-y', token: 'translate-y-0' },
]

/** Where a box stands in its parent. `isHeld`: something in it is placed by its edges. */
export const placeSlots = (style: UiStyle, isHeld: boolean): Slot[] => {
  const { place, width, height, bleedPx, folds } = style
  if (folds) {
    return [
      { slot: 'position', token: 'fixed' },
      valueSlot('left', '0'),
      valueSlot('right', '0'),
      valueSlot('top', spacing(folds.topPx)),
    ]
  }
  const position: Slot = { slot: 'position', token: isHeld ? 'relative' : 'static' }
  switch (place.kind) {
    case 'root':
      return [position]
    case 'flow':
      return [
        position,
        ...UNSHIFTED,
        ...(isHeld ? edgeSlots('auto') : []),
        { slot: 'col-span', token: `col-span-${place.columns}` },
        { slot: 'row-span', token: `row-span-${place.rows}` },
        ...marginSlots(place, bleedPx),
      ]
    case 'absolute': {
      const z: Slot = { slot: 'z', token: place.isUnder ? '-z-10' : 'z-auto' }
      const absolute: Slot = { slot: 'position', token: 'absolute' }
      if (width.sizing === 'stretch' && height.sizing === 'stretch') {
        return [absolute, ...edgeSlots('0'), ...UNSHIFTED, z]
      }
      return [absolute, ...anchorSlots('x', place.x), ...anchorSlots('y', place.y), z]
    }
  }
}

/** How it stands across its parent's direction. */
const selfOf = ({ place, width, height, limits }: UiStyle): string => {
  if (place.kind !== 'flow') return 'self-auto'
  const across = place.self ?? place.align
  const stretchesColumn =
    place.parent === 'column' &&
    width.sizing === 'stretch' &&
    across !== 'stretch' &&
    limits.maxWidth === undefined &&
    !place.self
  const stretchesRow = place.parent === 'row' && height.sizing === 'stretch' && across !== 'stretch'
  if (stretchesColumn || stretchesRow) return SELF.stretch
  return place.self ? SELF[place.self] : 'self-auto'
}

/** All of the room there is beside its own margins. */
const roomBeside = (place: UiPlace): string => {
  const px = place.kind === 'flow' ? place.margin.left + place.margin.right : 0
  return px > 0 ? `[calc(100%-${decimal(px)}px)]` : 'full'
}

const widthOf = ({ place, width, limits }: UiStyle): string => {
  if (place.kind === 'absolute' && place.x.edge === 'scale') return percent(place.x.size)
  if (place.kind === 'absolute' && place.x.edge === 'both') return 'auto'
  if (width.sizing === 'fixed') return spacing(width.px)
  if (place.kind === 'root') return width.sizing === 'stretch' ? 'full' : 'fit'
  if (width.sizing === 'fit') return 'auto'
  if (place.kind === 'absolute') return 'full'
  const across = place.self ?? place.align
  const isLimited = limits.maxWidth !== undefined || place.self !== undefined
  return place.parent === 'column' && across !== 'stretch' && isLimited ? roomBeside(place) : 'auto'
}

const heightOf = ({ place, height }: UiStyle): string => {
  if (place.kind === 'absolute' && place.y.edge === 'scale') return percent(place.y.size)
  if (place.kind === 'absolute' && place.y.edge === 'both') return 'auto'
  if (height.sizing === 'fixed') return spacing(height.px)
  return place.kind === 'absolute' && height.sizing === 'stretch' ? 'full' : 'auto'
}

/** How large a box is, and between which limits. */
export const sizeSlots = (style: UiStyle): Slot[] => {
  const { place, width, height, limits, folds } = style
  if (folds) {
    const { maxWidth } = limits
    // A drawer reaches down to the end of the window; a panel is as high as its content, as browsers have it.
    return maxWidth === undefined
      ? [valueSlot('w', 'full'), valueSlot('h', 'fit')]
      : [valueSlot('w', 'full'), valueSlot('h', 'auto'), valueSlot('max-w', spacing(maxWidth))]
  }
  const isIn = (parent: string): boolean => place.kind === 'flow' && place.parent === parent
  const grows =
    (isIn('row') && width.sizing === 'stretch') || (isIn('column') && height.sizing === 'stretch')
  const isRigid =
    (isIn('row') && width.sizing === 'fixed') || (isIn('column') && height.sizing === 'fixed')
  const isRoot = place.kind === 'root'
  const least = (px: number | undefined, otherwise: string): string =>
    px === undefined ? otherwise : spacing(px)
  const mayShrink = isIn('row') && width.sizing === 'stretch'
  return [
    valueSlot('w', widthOf(style)),
    valueSlot('h', heightOf(style)),
    valueSlot('min-w', least(limits.minWidth, mayShrink || style.scrolls ? '0' : 'auto')),
    {
      slot: 'min-h',
      token: `min-h-${isRoot && height.sizing === 'stretch' ? 'screen' : least(limits.minHeight, isIn('column') && height.sizing === 'stretch' ? '0' : 'auto')}`,
    },
    { slot: 'flex', token: grows ? 'flex-1' : 'flex-initial', resets: ['shrink'] },
    ...(grows
      ? []
      : [{ slot: 'shrink', token: isRigid && style.fitsParent !== true ? 'shrink-0' : 'shrink' }]),
    { slot: 'self', token: selfOf(style) },
    {
      slot: 'justify-self',
      token: isIn('grid') && width.sizing === 'fit' ? 'justify-self-start' : 'justify-self-auto',
    },
    {
      slot: 'aspect',
      token:
        style.ratio === undefined ? 'aspect-auto' : `aspect-[${decimal(style.ratio * 1000)}/1000]`,
    },
    valueSlot(
      'max-w',
      limits.maxWidth === undefined
        ? style.fitsParent
          ? roomBeside(place)
          : 'none'
        : spacing(limits.maxWidth),
    ),
    valueSlot('max-h', limits.maxHeight === undefined ? 'none' : spacing(limits.maxHeight)),
  ]
}
