import { converter } from 'culori'
import { splitColor } from '../design/color.js'

const toOklch = converter('oklch')

/** Hues in OKLCH where a name begins, in degrees. */
const HUES: readonly (readonly [number, string])[] = [
  [0, 'rose'],
  [20, 'red'],
  [45, 'orange'],
  [75, 'yellow'],
  [115, 'green'],
  [165, 'teal'],
  [215, 'blue'],
  [280, 'violet'],
  [320, 'pink'],
]

/** `#2c664b` → `green-700`: hue, and how dark it is in steps of 50. */
export const nameColor = (value: string): string => {
  const { color, opacity } = splitColor(value)
  const { l, c, h = 0 } = toOklch(color)!
  if (l > 0.995) return opacity < 1 ? `white-${Math.round(opacity * 100)}` : 'white'
  if (l < 0.02) return opacity < 1 ? `black-${Math.round(opacity * 100)}` : 'black'
  const hue = c < 0.025 ? 'grey' : HUES.findLast(([from]) => h >= from)![1]
  const step = Math.min(950, Math.max(50, Math.round(((1 - l) * 1000) / 50) * 50))
  return `${hue}-${step}${opacity < 1 ? `-${Math.round(opacity * 100)}` : ''}`
}
