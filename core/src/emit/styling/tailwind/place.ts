import type { Anchor, UiPlace, UiStyle } from '../../../ui/nodes.js'
import { decimal, signed, spacing } from './values.js'

const SELF = {
  start: 'self-start',
  centre: 'self-center',
  end: 'self-end',
  stretch: 'self-stretch',
  baseline: 'self-baseline',
} as const

type FlowPlace = Extract<UiPlace, { kind: 'flow' }>

/** Margins, with a stroke that reaches over the box taken off on every side. */
const marginClasses = ({ margin, isPushed }: FlowPlace, bleedPx: number): string[] => {
  const { top, right, bottom, left } = margin
  const [t, r, b, l] = [top - bleedPx, right - bleedPx, bottom - bleedPx, left - bleedPx]
  const one = (name: string, px: number): string => (px === 0 ? '' : signed(name, px))
  if (t === r && r === b && b === l && !isPushed) return [one('m', t)]
  const x = isPushed
    ? ['ml-auto', one('mr', r)]
    : l === r
      ? [one('mx', l)]
      : [one('ml', l), one('mr', r)]
  const y = t === b ? [one('my', t)] : [one('mt', t), one('mb', b)]
  return [...x, ...y]
}

const SIDE_NAMES = { x: ['left', 'right'], y: ['top', 'bottom'] } as const

/** Classes that hold a node along one axis: at an edge of its parent, or at the middle. */
const anchorClasses = (axis: 'x' | 'y', { edge, px, hold }: Anchor): string[] => {
  const [start, end] = SIDE_NAMES[axis]
  if (edge === 'end') return [signed(end, px)]
  const shift = { start: '', centre: `-translate-${axis}-1/2`, end: `-translate-${axis}-full` }
  if (edge === 'start') return [signed(start, px), shift[hold]]
  return [px === 0 ? `${start}-1/2` : `${start}-[calc(50%+${decimal(px)}px)]`, shift.centre]
}

/** Where a box stands in its parent. */
export const placeClasses = ({ place, width, height, bleedPx }: UiStyle): string[] => {
  switch (place.kind) {
    case 'root':
      return []
    case 'flow':
      return [
        place.columns > 1 ? `col-span-${place.columns}` : '',
        place.rows > 1 ? `row-span-${place.rows}` : '',
        ...marginClasses(place, bleedPx),
        place.self ? SELF[place.self] : '',
      ]
    case 'absolute': {
      const under = place.isUnder ? '-z-10' : ''
      if (width.sizing === 'stretch' && height.sizing === 'stretch') {
        return ['absolute', 'inset-0', under]
      }
      return ['absolute', ...anchorClasses('x', place.x), ...anchorClasses('y', place.y), under]
    }
  }
}

/** A child that takes the width its parent offers needs to say so only where that is not what happens anyway. */
const stretchClasses = (
  place: FlowPlace,
  width: UiStyle['width'],
  height: UiStyle['height'],
  limits: UiStyle['limits'],
): string[] => {
  const across = place.self ?? place.align
  const classes: string[] = []
  if (width.sizing === 'stretch') {
    if (place.parent === 'row') classes.push('min-w-0', 'flex-1')
    if (place.parent === 'column' && across !== 'stretch') {
      classes.push(limits.maxWidth === undefined && !place.self ? 'self-stretch' : 'w-full')
    }
  }
  if (height.sizing === 'stretch') {
    if (place.parent === 'column') classes.push('min-h-0', 'flex-1')
    if (place.parent === 'row' && across !== 'stretch') classes.push('self-stretch')
  }
  return classes
}

/** How large a box is, and between which limits. */
export const sizeClasses = (style: UiStyle): string[] => {
  const { place, width, height } = style
  const isIn = (parent: string): boolean => place.kind === 'flow' && place.parent === parent
  const bothFixed = width.sizing === 'fixed' && height.sizing === 'fixed'
  const classes: string[] = []
  if (bothFixed && width.px === height.px) classes.push(`size-${spacing(width.px)}`)
  else {
    if (width.sizing === 'fixed') classes.push(`w-${spacing(width.px)}`)
    if (height.sizing === 'fixed') classes.push(`h-${spacing(height.px)}`)
  }
  if (place.kind === 'root') {
    if (width.sizing === 'stretch') classes.push('w-full')
    if (width.sizing === 'fit') classes.push('w-fit')
    if (height.sizing === 'stretch') classes.push('min-h-screen')
  } else if (place.kind === 'absolute') {
    if (width.sizing === 'stretch' && height.sizing === 'stretch') classes.push('size-full')
    else if (width.sizing === 'stretch') classes.push('w-full')
    else if (height.sizing === 'stretch') classes.push('h-full')
  } else {
    classes.push(...stretchClasses(place, width, height, style.limits))
    if (isIn('grid') && width.sizing === 'fit') classes.push('justify-self-start')
    if ((isIn('row') && width.sizing === 'fixed') || (isIn('column') && height.sizing === 'fixed'))
      classes.push('shrink-0')
  }
  if (style.ratio !== undefined) classes.push(`aspect-[${decimal(style.ratio * 1000)}/1000]`)
  const { minWidth, maxWidth, minHeight, maxHeight } = style.limits
  if (minWidth !== undefined) classes.push(`min-w-${spacing(minWidth)}`)
  if (maxWidth !== undefined) classes.push(`max-w-${spacing(maxWidth)}`)
  if (minHeight !== undefined) classes.push(`min-h-${spacing(minHeight)}`)
  if (maxHeight !== undefined) classes.push(`max-h-${spacing(maxHeight)}`)
  return classes
}
