import { converter, parse } from 'culori'

const toOklch = converter('oklch')

/** Hues of OKLCH in degrees up to which a word holds. */
const HUES: readonly (readonly [number, string])[] = [
  [20, 'pink'],
  [45, 'red'],
  [75, 'orange'],
  [112, 'yellow'],
  [160, 'green'],
  [205, 'teal'],
  [275, 'blue'],
  [320, 'purple'],
  [360, 'pink'],
]
const LEAST_CHROMA = 0.012

/** One plain word for a colour, by its hue; greys by how light they are. */
export const colorWord = (color: string): string => {
  const { l = 0, c = 0, h = 0 } = toOklch(parse(color)) ?? {}
  if (c < LEAST_CHROMA) return l > 0.9 ? 'white' : l < 0.25 ? 'black' : 'grey'
  return HUES.find(([end]) => h <= end)![1]
}
