import type { Entrance } from '@unimorph/core'

/** An entrance that changes nothing yet. */
const STILL: Entrance = {
  at: 'view',
  opacity: 1,
  x: 0,
  y: 0,
  scale: 1,
  rotationDeg: 0,
  delayMs: 0,
  durationMs: 600,
  easing: 'ease-out',
}

export type EntrancePart = {
  readonly id: string
  readonly label: string
  readonly unit?: string
  readonly usual: number
  readonly least: number
  readonly most: number
  readonly step: number
  /** The figure it begins with; undefined when the entrance does not have this part. */
  readonly read: (entrance: Entrance) => number | undefined
  /** The entrance with that figure; without the part when undefined. */
  readonly write: (value: number | undefined) => Partial<Entrance>
}

/** A movement along one axis towards its place; `sign` is the side it comes from. */
const move = (label: string, axis: 'x' | 'y', sign: 1 | -1): EntrancePart => ({
  id: `move-${axis}-${sign}`,
  label,
  unit: 'px',
  usual: 16,
  least: 0,
  most: 1000,
  step: 1,
  read: (entrance) => {
    const px = entrance[axis] * sign
    return px > 0 ? px : undefined
  },
  write: (px) => ({ [axis]: px === undefined ? 0 : px * sign }),
})

/** What an entrance can be made of; each is switched on by itself and has one figure. */
export const ENTRANCE_PARTS: readonly EntrancePart[] = [
  {
    id: 'opacity',
    label: 'Opacity',
    usual: 0,
    least: 0,
    most: 1,
    step: 0.05,
    read: ({ opacity }) => (opacity === 1 ? undefined : opacity),
    write: (opacity = 1) => ({ opacity }),
  },
  move('Move from left', 'x', -1),
  move('Move from right', 'x', 1),
  move('Move from above', 'y', -1),
  move('Move from below', 'y', 1),
  {
    id: 'scale',
    label: 'Scale',
    usual: 0.9,
    least: 0,
    most: 10,
    step: 0.05,
    read: ({ scale }) => (scale === 1 ? undefined : scale),
    write: (scale = 1) => ({ scale }),
  },
  {
    id: 'rotate',
    label: 'Rotate',
    unit: '°',
    usual: -8,
    least: -360,
    most: 360,
    step: 1,
    read: ({ rotationDeg }) => (rotationDeg === 0 ? undefined : rotationDeg),
    write: (rotationDeg = 0) => ({ rotationDeg }),
  },
]

export const withPart = (
  entrance: Entrance | undefined,
  part: EntrancePart,
  value: number,
): Entrance => ({ ...(entrance ?? STILL), ...part.write(value) })

/** The entrance without a part; undefined when nothing is left of it. */
export const withoutPart = (entrance: Entrance, part: EntrancePart): Entrance | undefined => {
  const next = { ...entrance, ...part.write(undefined) }
  return ENTRANCE_PARTS.some(({ read }) => read(next) !== undefined) ? next : undefined
}
