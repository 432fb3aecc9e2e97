import type { Item } from './bands.js'
import type { Nest } from './nest.js'

// Sizes are compared in steps of this many px, so that small differences do not count.
const STEP_PX = 8

const step = (value: number): number => Math.round(value / STEP_PX)

/** What a thing is like, whatever it says: things with one signature look alike. */
const signatureOf = ({ piece: { layer, kind, box }, content, kin }: Nest): string => {
  if (layer.type === 'text') {
    const { family, size, weight } = layer.style
    return `text ${family} ${size} ${weight}`
  }
  if (kind === 'line') return box.width >= box.height ? 'level line' : 'upright line'
  if (content.length > 0) return `box ${kin?.sign ?? signNests(content)}`
  return `${kind} ${step(box.width)} ${step(box.height)}`
}

/** What some things together are like, whatever their order and number. */
export const signNests = (nests: readonly Nest[]): string =>
  [...new Set(nests.map(signatureOf))].sort().join(',')

/** The signature of several things together, in the order given. */
export const signItems = (items: readonly Item[]): string =>
  items.map((item) => signatureOf(item.nest)).join('|')
