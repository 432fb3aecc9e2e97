import { isMade, isNamed, nameIn, NotKnown, type Made, type Value } from './values.js'

export const numberOf = (value: Value | undefined, otherwise = 0): number =>
  typeof value === 'number' ? value : otherwise

export const optionalNumber = (value: Value | undefined): number | undefined =>
  typeof value === 'number' ? value : undefined

export type Insets = {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

const NO_INSETS: Insets = { left: 0, top: 0, right: 0, bottom: 0 }

export const insetsOf = (value: Value | undefined): Insets => {
  if (!isMade(value)) return NO_INSETS
  const { name, named, positional } = value
  if (name === 'EdgeInsets.all') {
    const all = numberOf(positional[0])
    return { left: all, top: all, right: all, bottom: all }
  }
  if (name === 'EdgeInsets.symmetric') {
    const [x, y] = [numberOf(named['horizontal']), numberOf(named['vertical'])]
    return { left: x, right: x, top: y, bottom: y }
  }
  if (name !== 'EdgeInsets.only') throw new NotKnown(`${name} is not known.`)
  const { left, top, right, bottom } = named
  return {
    left: numberOf(left),
    top: numberOf(top),
    right: numberOf(right),
    bottom: numberOf(bottom),
  }
}

const ALIGNMENTS: Readonly<Record<string, readonly [number, number]>> = {
  topLeft: [-1, -1],
  topCenter: [0, -1],
  topRight: [1, -1],
  centerLeft: [-1, 0],
  center: [0, 0],
  centerRight: [1, 0],
  bottomLeft: [-1, 1],
  bottomCenter: [0, 1],
  bottomRight: [1, 1],
}

/** A place from -1 to 1 on both axes. */
export const alignmentOf = (value: Value | undefined): readonly [number, number] => {
  if (isMade(value) && value.name === 'Alignment') {
    return [numberOf(value.positional[0]), numberOf(value.positional[1])]
  }
  return ALIGNMENTS[nameIn(value) ?? 'center'] ?? [0, 0]
}

/** `0xFF2C664B` → `rgb(44 102 75 / 1)` */
export const colorOf = (value: Value | undefined): string | undefined => {
  if (isNamed(value)) return value.name === 'Colors.transparent' ? 'transparent' : undefined
  if (!isMade(value)) return undefined
  if (value.name !== 'Color') throw new NotKnown(`${value.name} is no colour that is known.`)
  const number = numberOf(value.positional[0])
  const part = (shift: number): number => Math.floor(number / 2 ** shift) % 256
  return `rgb(${String(part(16))} ${String(part(8))} ${String(part(0))} / ${String(Math.round((part(24) / 255) * 1000) / 1000)})`
}

const px = (value: number): string => `${String(value)}px`

const circle = (value: Value | undefined): string =>
  px(isMade(value) ? numberOf(value.positional[0]) : 0)

/** Corners as CSS. */
export const radiusOf = (value: Value | undefined): string | undefined => {
  if (!isMade(value)) return undefined
  const { name, named, positional } = value
  if (name === 'BorderRadius.all') return circle(positional[0])
  if (name === 'BorderRadius.circular') return px(numberOf(positional[0]))
  if (name !== 'BorderRadius.only') throw new NotKnown(`${name} is not known.`)
  return ['topLeft', 'topRight', 'bottomRight', 'bottomLeft']
    .map((corner) => circle(named[corner]))
    .join(' ')
}

type Side = { readonly color: string; readonly width: number; readonly isOutside: boolean }

const sideOf = (value: Value | undefined): Side | undefined =>
  isMade(value)
    ? {
        color: colorOf(value.named['color']) ?? 'black',
        width: numberOf(value.named['width'], 1),
        isOutside: value.named['strokeAlign'] === 1,
      }
    : undefined

const SIDES = ['top', 'right', 'bottom', 'left'] as const

/** A side of a border, of which all may be alike. */
const sideAt = (border: Made, name: (typeof SIDES)[number]): Side | undefined =>
  sideOf(border.name === 'Border.all' ? border : border.named[name])

/** The room a container keeps for the border of its decoration: none for what is drawn outside. */
export const borderInsets = (decoration: Value | undefined): Insets => {
  const border = isMade(decoration) ? decoration.named['border'] : undefined
  if (!isMade(border)) return NO_INSETS
  const room = (name: (typeof SIDES)[number]): number => {
    const side = sideAt(border, name)
    return !side || side.isOutside ? 0 : side.width
  }
  return { left: room('left'), top: room('top'), right: room('right'), bottom: room('bottom') }
}

export const addInsets = (a: Insets, b: Insets): Insets => ({
  left: a.left + b.left,
  top: a.top + b.top,
  right: a.right + b.right,
  bottom: a.bottom + b.bottom,
})

/** A decoration paints its border over the edge of a box, and takes no room in it. */
export const borderCss = (value: Value | undefined): Record<string, string> => {
  if (!isMade(value)) return {}
  if (value.name === 'Border.all' || value.name === 'BorderSide') {
    const side = sideOf(value)!
    const offset = side.isOutside ? '0px' : px(-side.width)
    return { outline: `${px(side.width)} solid ${side.color}`, 'outline-offset': offset }
  }
  if (value.name !== 'Border') throw new NotKnown(`${value.name} is not known.`)
  return Object.fromEntries(
    SIDES.flatMap((name) => {
      const side = sideAt(value, name)
      return side ? [[`border-${name}`, `${px(side.width)} solid ${side.color}`] as const] : []
    }),
  )
}

const shadowCss = (value: Value | undefined): Record<string, string> => {
  if (!Array.isArray(value)) return {}
  const all = (value as readonly Made[]).map(({ named }) => {
    const offset = isMade(named['offset']) ? named['offset'].positional : [0, 0]
    return [
      px(numberOf(offset[0])),
      px(numberOf(offset[1])),
      px(numberOf(named['blurRadius'])),
      px(numberOf(named['spreadRadius'])),
      colorOf(named['color']) ?? 'black',
    ].join(' ')
  })
  return all.length > 0 ? { 'box-shadow': all.join(', ') } : {}
}

const stopsOf = ({ named }: Made): string => {
  const colors = (named['colors'] ?? []) as readonly Value[]
  const stops = (named['stops'] ?? []) as readonly Value[]
  return colors
    .map((color, i) => `${colorOf(color) ?? 'black'} ${String(numberOf(stops[i]) * 100)}%`)
    .join(', ')
}

/** A gradient as CSS; a straight one runs between two places of the box, whose size tells the angle. */
const gradientCss = (
  value: Value | undefined,
  size: { width: number; height: number },
): string | undefined => {
  if (!isMade(value)) return undefined
  const { name, named } = value
  switch (name) {
    case 'LinearGradient': {
      const [x1, y1] = alignmentOf(named['begin'])
      const [x2, y2] = alignmentOf(named['end'])
      const [dx, dy] = [((x2 - x1) / 2) * size.width, ((y2 - y1) / 2) * size.height]
      const angle = (Math.atan2(dx, -dy) * 180) / Math.PI
      return `linear-gradient(${String(Math.round(angle * 100) / 100)}deg, ${stopsOf(value)})`
    }
    case 'RadialGradient': {
      const [x, y] = alignmentOf(named['center'])
      const shortest = Math.min(size.width, size.height)
      const radius = numberOf(named['radius'], 0.5) * shortest
      return `radial-gradient(${px(radius)} at ${String((x + 1) * 50)}% ${String((y + 1) * 50)}%, ${stopsOf(value)})`
    }
    case 'SweepGradient': {
      const [x, y] = alignmentOf(named['center'])
      const turned = isMade(named['transform']) ? numberOf(named['transform'].positional[0]) : 0
      return `conic-gradient(from ${String((turned * 180) / Math.PI + 90)}deg at ${String((x + 1) * 50)}% ${String((y + 1) * 50)}%, ${stopsOf(value)})`
    }
    default:
      throw new NotKnown(`${name} is no gradient that is known.`)
  }
}

const FITS: Readonly<Record<string, string>> = {
  cover: 'cover',
  contain: 'contain',
  fill: '100% 100%',
  none: 'auto',
}

/** What a box is decorated with, as CSS. */
export const decorationCss = (
  value: Value | undefined,
  size: { width: number; height: number },
  addressOf: (path: string) => string,
): Record<string, string> => {
  if (!isMade(value)) return {}
  const { named } = value
  const gradient = gradientCss(named['gradient'], size)
  const image = isMade(named['image']) ? named['image'] : undefined
  const asset =
    image && isMade(image.named['image']) ? image.named['image'].positional[0] : undefined
  const color = colorOf(named['color'])
  const radius = radiusOf(named['borderRadius'])
  return {
    ...(color ? { 'background-color': color } : {}),
    ...(gradient ? { 'background-image': gradient } : {}),
    ...(typeof asset === 'string'
      ? {
          'background-image': `url("${addressOf(asset)}")`,
          'background-size': FITS[nameIn(image!.named['fit']) ?? 'cover'] ?? 'cover',
          'background-position': 'center',
        }
      : {}),
    ...(radius ? { 'border-radius': radius } : {}),
    ...borderCss(named['border']),
    ...shadowCss(named['boxShadow']),
  }
}

export const childOf = ({ named }: Made): Made | undefined =>
  isMade(named['child']) ? named['child'] : undefined

export const childrenOf = ({ named }: Made): readonly Made[] =>
  Array.isArray(named['children']) ? (named['children'] as readonly Value[]).filter(isMade) : []
