import { bar, BLOCKS, foot, rail, type Palette } from './blocks.js'
import { Dice, Sheet } from './sheet.js'

const WIDTH = 1280
const RAIL = 232

const PALETTES: readonly Palette[] = [
  {
    ground: '#ffffff',
    ink: '#1d2b2a',
    soft: '#52625f',
    line: '#d5ddda',
    panel: '#f0f4f2',
    accent: '#0f3b3a',
    onAccent: '#ffffff',
  },
  {
    ground: '#fffdf8',
    ink: '#2b2118',
    soft: '#6b5d4e',
    line: '#e4d9c8',
    panel: '#f7efe2',
    accent: '#9c4a1a',
    onAccent: '#ffffff',
  },
  {
    ground: '#12181f',
    ink: '#eef3f7',
    soft: '#9fb0bf',
    line: '#2c3947',
    panel: '#1b242e',
    accent: '#e8b04a',
    onAccent: '#12181f',
  },
]

/**
 * A page nobody designed: some of what pages have, one below the other, in colours, sizes and with a care that the seed
 * decides. Returns the text of a flat SVG file.
 */
export const makeUpPage = (seed: number): string => {
  const dice = new Dice(seed)
  const look = dice.pick(PALETTES)
  const careless = dice.isLucky(0.5) ? 0.4 : 0
  const sheet = new Sheet(WIDTH, dice, dice.pick(['Inter', 'Liberation Sans']), careless)
  const count = dice.between(3, 6)
  const hasRail = dice.isLucky(0.3)
  const draw = (onto: Sheet): number => {
    const side = onto.dice.pick([40, 64, 120])
    const x = hasRail ? RAIL + 40 : side
    const width = WIDTH - x - (hasRail ? 40 : side)
    let y = hasRail ? 40 : bar(onto, { x: 0, y: 0, width: WIDTH }, look) + 48
    for (let i = 0; i < count; i++)
      y += onto.dice.pick(BLOCKS)(onto, { x, y, width }, look) + onto.dice.pick([24, 40, 56])
    return y + (hasRail ? 0 : foot(onto, { x, y, width }, look))
  }
  if (!hasRail) return sheet.svg(draw(sheet) + 24, look.ground)
  // The rail lies below all else and is as high as it: how high that is shows when it is drawn once.
  const height = draw(new Sheet(WIDTH, new Dice(seed + 1), sheet.family, 0)) + 24
  rail(sheet, height, look)
  const body = new Sheet(WIDTH, new Dice(seed + 1), sheet.family, 0)
  draw(body)
  return sheet.with(body).svg(height, look.ground)
}
