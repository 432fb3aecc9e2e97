import type { Sheet } from './sheet.js'
import { ACTIONS, LINES, LINKS, NAMES, PLACES, STATES, THINGS, TITLES } from './words.js'

/** Where a block stands: from `x` on, `width` wide, at `y`. */
export type Place = { readonly x: number; readonly y: number; readonly width: number }

export type Palette = {
  readonly ground: string
  readonly ink: string
  readonly soft: string
  readonly line: string
  readonly panel: string
  readonly accent: string
  readonly onAccent: string
}

/** Draws one thing that pages have, and tells how high it is. */
export type Block = (sheet: Sheet, place: Place, look: Palette) => number

const TINTS = ['#d8efe2', '#fbe9c6', '#f6d5d0', '#dfe6f3']

const button = (
  sheet: Sheet,
  x: number,
  y: number,
  label: string,
  look: Palette,
  isQuiet = false,
): number => {
  const width = label.length * 9 + 40
  if (isQuiet) sheet.box(x, y, width, 44, look.ground, { radius: 8, stroke: look.line })
  else sheet.box(x, y, width, 44, look.accent, { radius: 8 })
  const fill = isQuiet ? look.ink : look.onAccent
  sheet.words(x + width / 2, y + 27, label, { size: 15, weight: 600, fill, anchor: 'middle' })
  return width
}

const heading: Block = (sheet, { x, y }, { ink, soft }) => {
  sheet.words(x, y + 30, sheet.dice.pick(TITLES), { size: 28, weight: 700, fill: ink })
  if (sheet.dice.isLucky(0.5)) {
    sheet.words(x, y + 62, sheet.dice.pick(LINES), { fill: soft })
    return 76
  }
  return 44
}

const hero: Block = (sheet, { x, y, width }, look) => {
  const { dice } = sheet
  sheet.box(x, y, width, 300, look.panel, { radius: 16 })
  sheet.words(x + 48, y + 96, dice.pick(TITLES), { size: 44, weight: 700, fill: look.ink })
  sheet.words(x + 48, y + 140, dice.some(LINES, 2), { size: 17, fill: look.soft })
  const first = button(sheet, x + 48, y + 212, dice.pick(ACTIONS), look)
  if (dice.isLucky(0.6)) button(sheet, x + 64 + first, y + 212, 'Learn more', look, true)
  if (width > 900) sheet.box(x + width - 330, y + 40, 280, 220, '#9fbcb8', { radius: 12 })
  return 300
}

const cards: Block = (sheet, { x, y, width }, look) => {
  const { dice } = sheet
  const count = dice.between(2, width > 900 ? 4 : 3)
  const own = Math.floor((width - 24 * (count - 1)) / count)
  const [hasPicture, hasButton] = [dice.isLucky(0.6), dice.isLucky(0.5)]
  const top = hasPicture ? 140 : 0
  const height = top + (hasButton ? 176 : 120)
  for (let i = 0; i < count; i++) {
    const left = x + i * (own + 24)
    sheet.box(left, y, own, height, look.ground, { radius: 12, stroke: look.line })
    if (hasPicture) sheet.box(left, y, own, 140, dice.pick(['#9fbcb8', '#c9b48f', '#8ea7c4']))
    sheet.words(left + 20, y + top + 40, dice.pick(THINGS), { size: 18, weight: 600 })
    sheet.words(left + 20, y + top + 68, `${dice.pick(PLACES)}, 3 March`, {
      size: 14,
      fill: look.soft,
    })
    if (dice.isLucky(0.4)) {
      sheet.box(left + 20, y + top + 82, 64, 24, dice.pick(TINTS), { radius: 12 })
      const label = { size: 12, weight: 600, anchor: 'middle' } as const
      sheet.words(left + 52, y + top + 98, dice.pick(STATES), label)
    }
    if (hasButton) button(sheet, left + 20, y + top + 116, 'See more', look)
  }
  return height
}

const features: Block = (sheet, { x, y, width }, look) => {
  const count = sheet.dice.between(2, 3)
  const own = Math.floor(width / count)
  for (let i = 0; i < count; i++) {
    const left = x + i * own
    sheet.dot(left + 20, y + 20, 20, look.panel)
    sheet.path(`M${left + 12} ${y + 21}l6 6 10-12`, look.accent)
    sheet.words(left, y + 72, sheet.dice.pick(TITLES), { size: 18, weight: 600, fill: look.ink })
    const lines = sheet.dice.pick(LINES).match(/.{1,28}(\s|$)/g)!
    sheet.words(
      left,
      y + 100,
      lines.map((line) => line.trim()),
      { size: 15, fill: look.soft },
    )
  }
  return 172
}

const table: Block = (sheet, { x, y, width }, look) => {
  const { dice } = sheet
  const heads = dice.some(['Day', 'Ship', 'From', 'Cargo', 'Crew'], dice.between(3, 5))
  const columns = [...heads, 'State']
  const own = Math.floor(width / columns.length)
  const rows = dice.between(3, 8)
  sheet.box(x, y, width, 44, look.panel)
  columns.forEach((head, i) => {
    sheet.words(x + 16 + i * own, y + 27, head, { size: 13, weight: 600, fill: look.soft })
  })
  for (let row = 0; row < rows; row++) {
    const top = y + 44 + row * 52
    heads.forEach((_, i) => {
      const words = i === 0 ? `${row + 3} March` : dice.pick([...PLACES, ...NAMES])
      sheet.words(x + 16 + i * own, top + 31, words, { size: 14, fill: look.ink })
    })
    const left = x + 16 + heads.length * own
    sheet.box(left, top + 14, 72, 24, dice.pick(TINTS), { radius: 12 })
    const label = { size: 12, weight: 600, anchor: 'middle' } as const
    sheet.words(left + 36, top + 30, dice.pick(STATES), label)
    sheet.line(x, x + width, top + 52, look.line)
  }
  return 44 + rows * 52
}

const FIELDS = [
  'First name',
  'Last name',
  'E-mail',
  'Phone',
  'Arrival',
  'Password',
  'Berth',
  'Boat',
]

const field = (
  sheet: Sheet,
  { x, y, width }: Place,
  label: string,
  look: Palette,
  isChoice: boolean,
): void => {
  sheet.words(x, y + 14, label, { size: 14, weight: 600, fill: look.ink })
  sheet.box(x, y + 24, width, 46, look.ground, { radius: 6, stroke: look.line })
  sheet.words(x + 14, y + 53, isChoice ? 'Choose one' : sheet.dice.pick(NAMES), {
    size: 15,
    fill: look.soft,
  })
  if (isChoice) sheet.path(`M${x + width - 30} ${y + 44}l6 7 6-7`, look.soft)
}

const form: Block = (sheet, { x, y, width }, look) => {
  const { dice } = sheet
  const wide = Math.min(width, 560)
  const own = (wide - 20) / 2
  let top = y
  const labels = dice.some(FIELDS, dice.between(2, 6))
  for (let i = 0; i < labels.length; i += 2) {
    const pair = labels.slice(i, i + 2)
    pair.forEach((label, k) => {
      const at = { x: x + k * (own + 20), y: top, width: pair.length === 1 ? wide : own }
      field(sheet, at, label, look, dice.isLucky(0.25))
    })
    top += 94
  }
  if (dice.isLucky(0.5)) {
    sheet.words(x, top + 14, 'What have you done at sea?', { size: 14, weight: 600 })
    sheet.box(x, top + 24, wide, 110, look.ground, { radius: 6, stroke: look.line })
    top += 158
  }
  if (dice.isLucky(0.5)) {
    const isRound = dice.isLucky(0.5)
    for (const [i, label] of ['I can swim', 'I have a licence'].entries()) {
      if (isRound) sheet.dot(x + 9, top + 9, 9, look.ground, look.soft)
      else sheet.box(x, top, 18, 18, look.ground, { radius: 4, stroke: look.soft })
      if (i === 0) {
        if (isRound) sheet.dot(x + 9, top + 9, 5, look.accent)
        else sheet.path(`M${x + 4} ${top + 9}l4 4 7-8`, look.accent)
      }
      sheet.words(x + 30, top + 14, label, { size: 15, fill: look.ink })
      top += 36
    }
  }
  if (dice.isLucky(0.4)) {
    sheet.box(x, top, 44, 24, look.accent, { radius: 12 })
    sheet.dot(x + 32, top + 12, 9, '#ffffff')
    sheet.words(x + 58, top + 17, 'Send me the tides', { size: 15, fill: look.ink })
    top += 48
  }
  const first = button(sheet, x, top + 8, dice.pick(ACTIONS), look)
  sheet.words(x + first + 24, top + 35, 'Cancel', { size: 15, fill: look.accent })
  return top + 60 - y
}

const tabs: Block = (sheet, { x, y, width }, look) => {
  const labels = sheet.dice.some(LINKS, 4)
  labels.forEach((label, i) => {
    const fill = i === 0 ? look.accent : look.soft
    sheet.words(x + i * 110, y + 28, label, { size: 15, weight: 600, fill })
  })
  sheet.box(x, y + 42, 72, 3, look.accent)
  sheet.line(x, x + width, y + 46, look.line)
  return 48
}

const trail: Block = (sheet, { x, y }, look) => {
  const steps = ['Home', ...sheet.dice.some(LINKS, 2)]
  let left = x
  steps.forEach((step, i) => {
    const isLast = i === steps.length - 1
    sheet.words(left, y + 18, step, { size: 14, fill: isLast ? look.ink : look.accent })
    left += step.length * 8 + 12
    if (!isLast) sheet.words(left, y + 18, '/', { size: 14, fill: look.soft })
    left += 18
  })
  return 26
}

const pages: Block = (sheet, { x, y }, look) => {
  for (const [i, label] of ['1', '2', '3', '…', '8'].entries()) {
    sheet.box(x + i * 44, y, 36, 36, i === 0 ? look.accent : look.panel, { radius: 6 })
    const fill = i === 0 ? look.onAccent : look.ink
    sheet.words(x + 18 + i * 44, y + 23, label, { size: 14, fill, anchor: 'middle' })
  }
  return 36
}

const people: Block = (sheet, { x, y, width }, look) => {
  const rows = sheet.dice.between(3, 6)
  for (let i = 0; i < rows; i++) {
    const top = y + i * 64
    sheet.dot(x + 22, top + 30, 20, sheet.dice.pick(['#c9b48f', '#9fbcb8', '#b9a3a0']))
    sheet.words(x + 58, top + 27, sheet.dice.pick(NAMES), { size: 15, weight: 600, fill: look.ink })
    sheet.words(x + 58, top + 48, sheet.dice.pick(LINES), { size: 14, fill: look.soft })
    sheet.words(x + width, top + 36, `${i + 2} h`, { size: 13, fill: look.soft, anchor: 'end' })
    if (i < rows - 1) sheet.line(x, x + width, top + 62, look.line)
  }
  return rows * 64
}

const figures: Block = (sheet, { x, y, width }, look) => {
  const count = sheet.dice.between(3, 4)
  const own = Math.floor((width - 20 * (count - 1)) / count)
  for (let i = 0; i < count; i++) {
    const left = x + i * (own + 20)
    sheet.box(left, y, own, 108, look.panel, { radius: 10 })
    sheet.words(left + 20, y + 36, sheet.dice.pick(LINKS), { size: 14, fill: look.soft })
    const figure = String(sheet.dice.between(3, 980))
    sheet.words(left + 20, y + 80, figure, { size: 32, weight: 700, fill: look.ink })
  }
  return 108
}

const chart: Block = (sheet, { x, y, width }, look) => {
  const wide = Math.min(width, 640)
  sheet.box(x, y, wide, 260, look.ground, { radius: 10, stroke: look.line })
  sheet.words(x + 20, y + 36, sheet.dice.pick(TITLES), { size: 16, weight: 600, fill: look.ink })
  for (const [i, day] of ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'].entries()) {
    const height = sheet.dice.between(30, 140)
    const left = x + 30 + i * 80
    sheet.box(left, y + 216 - height, 36, height, look.accent, { radius: 4 })
    sheet.words(left + 18, y + 240, day, { size: 13, fill: look.soft, anchor: 'middle' })
  }
  return 260
}

const progress: Block = (sheet, { x, y, width }, look) => {
  const wide = Math.min(width, 480)
  for (let i = 0; i < 3; i++) {
    const top = y + i * 52
    const part = sheet.dice.between(10, 95)
    sheet.words(x, top + 16, sheet.dice.pick(PLACES), { size: 14, fill: look.ink })
    sheet.words(x + wide, top + 16, `${part}%`, { size: 14, fill: look.soft, anchor: 'end' })
    sheet.box(x, top + 26, wide, 8, look.panel, { radius: 4 })
    sheet.box(x, top + 26, Math.round((wide * part) / 100), 8, look.accent, { radius: 4 })
  }
  return 142
}

const quote: Block = (sheet, { x, y, width }, look) => {
  sheet.box(x, y, 4, 96, look.accent)
  sheet.words(x + 28, y + 34, `“${sheet.dice.pick(LINES)}”`, { size: 20, fill: look.ink })
  sheet.dot(x + 44, y + 74, 16, '#c9b48f')
  sheet.words(x + 72, y + 79, `${sheet.dice.pick(NAMES)}, ${sheet.dice.pick(PLACES)}`, {
    size: 14,
    fill: look.soft,
  })
  return width > 0 ? 100 : 0
}

const questions: Block = (sheet, { x, y, width }, look) => {
  for (let i = 0; i < 4; i++) {
    const top = y + i * 60
    sheet.line(x, x + width, top, look.line)
    sheet.words(x, top + 36, `${sheet.dice.pick(TITLES)}?`, { weight: 600, fill: look.ink })
    sheet.path(`M${x + width - 22} ${top + 27}l7 7 7-7`, look.soft)
  }
  return 240
}

const article: Block = (sheet, { x, y }, look) => {
  sheet.words(x, y + 24, sheet.dice.pick(TITLES), { size: 22, weight: 700, fill: look.ink })
  sheet.words(x, y + 64, sheet.dice.some(LINES, 4), { size: 17, fill: look.ink })
  sheet.words(x, y + 190, sheet.dice.some(LINES, 3), { size: 17, fill: look.ink })
  for (let i = 0; i < 3; i++) {
    sheet.dot(x + 5, y + 298 + i * 32, 3, look.accent)
    sheet.words(x + 22, y + 304 + i * 32, sheet.dice.pick(LINES), { fill: look.ink })
  }
  return 380
}

const notice: Block = (sheet, { x, y, width }, look) => {
  sheet.box(x, y, width, 56, sheet.dice.pick(TINTS), { radius: 8 })
  sheet.dot(x + 28, y + 28, 10, look.accent)
  sheet.words(x + 52, y + 34, sheet.dice.pick(LINES), { size: 15, fill: '#1d2b2a' })
  sheet.path(`M${x + width - 34} ${y + 22}l12 12m0-12l-12 12`, '#52625f')
  return 56
}

const chips: Block = (sheet, { x, y }, look) => {
  let left = x
  for (const [i, label] of sheet.dice.some(LINKS, 5).entries()) {
    const width = label.length * 9 + 28
    sheet.box(left, y, width, 36, i === 0 ? look.accent : look.panel, { radius: 18 })
    const fill = i === 0 ? look.onAccent : look.ink
    sheet.words(left + width / 2, y + 23, label, { size: 14, fill, anchor: 'middle' })
    left += width + 10
  }
  return 36
}

const month: Block = (sheet, { x, y, width }, look) => {
  const own = Math.floor(Math.min(width, 700) / 7)
  for (const [i, day] of ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'].entries())
    sheet.words(x + i * own + own / 2, y + 20, day, {
      size: 13,
      weight: 600,
      fill: look.soft,
      anchor: 'middle',
    })
  for (let day = 0; day < 28; day++) {
    const [left, top] = [x + (day % 7) * own, y + 34 + Math.floor(day / 7) * 48]
    if (day === 11) sheet.dot(left + own / 2, top + 22, 18, look.accent)
    sheet.words(left + own / 2, top + 27, String(day + 1), {
      size: 14,
      fill: day === 11 ? look.onAccent : look.ink,
      anchor: 'middle',
    })
  }
  return 34 + 4 * 48
}

const talk: Block = (sheet, { x, y, width }, look) => {
  for (let i = 0; i < 4; i++) {
    const isOwn = i % 2 === 1
    const words = sheet.dice.pick(LINES)
    const wide = words.length * 8 + 32
    const left = isOwn ? x + width - wide : x
    sheet.box(left, y + i * 64, wide, 48, isOwn ? look.accent : look.panel, { radius: 14 })
    const fill = isOwn ? look.onAccent : look.ink
    sheet.words(left + 16, y + i * 64 + 30, words, { size: 15, fill })
  }
  return 256
}

const search: Block = (sheet, { x, y, width }, look) => {
  const wide = Math.min(width - 140, 520)
  sheet.box(x, y, wide, 44, look.ground, { radius: 8, stroke: look.line })
  sheet.dot(x + 22, y + 21, 6, look.ground, look.soft)
  sheet.path(`M${x + 27} ${y + 26}l5 5`, look.soft)
  sheet.words(x + 44, y + 28, 'Search the shore', { size: 15, fill: look.soft })
  button(sheet, x + wide + 12, y, 'Search', look)
  return 44
}

const steps: Block = (sheet, { x, y }, look) => {
  for (const [i, label] of ['Boat', 'Dates', 'Payment'].entries()) {
    const left = x + i * 180
    sheet.dot(left + 14, y + 16, 14, i === 0 ? look.accent : look.panel)
    const fill = i === 0 ? look.onAccent : look.soft
    sheet.words(left + 14, y + 21, String(i + 1), { size: 13, weight: 600, fill, anchor: 'middle' })
    sheet.words(left + 38, y + 21, label, { size: 14, fill: look.ink })
    if (i < 2) sheet.line(left + 98, left + 166, y + 16, look.line)
  }
  return 32
}

const prices: Block = (sheet, { x, y, width }, look) => {
  const own = Math.floor((width - 60) / 3)
  for (const [i, name] of ['Dinghy', 'Cutter', 'Ketch'].entries()) {
    const left = x + i * (own + 30)
    const isLoud = i === 1
    const ink = isLoud ? look.onAccent : look.ink
    sheet.box(left, y, own, 340, isLoud ? look.accent : look.panel, { radius: 14 })
    sheet.words(left + 28, y + 48, name, { size: 20, weight: 600, fill: ink })
    sheet.words(left + 28, y + 104, `€ ${(i + 1) * 45}`, { size: 38, weight: 700, fill: ink })
    for (let k = 0; k < 2 + i; k++)
      sheet.words(left + 28, y + 148 + k * 30, sheet.dice.pick(THINGS), { size: 15, fill: ink })
    const face = isLoud ? { ...look, accent: look.ground, onAccent: look.ink } : look
    button(sheet, left + 28, y + 272, `Choose ${name}`, face)
  }
  return 340
}

export const BLOCKS: readonly Block[] = [
  ...[heading, hero, cards, features, table, form, tabs, trail, pages, people, figures, chart],
  ...[progress, quote, questions, article, notice, chips, month, talk, search, steps, prices],
]

/** A bar across the top: the name, links, and perhaps something to press. */
export const bar: Block = (sheet, { x, y, width }, look) => {
  sheet.box(x, y, width, 72, look.accent)
  sheet.words(x + 40, y + 44, 'Tidewrack', { size: 22, weight: 700, fill: look.onAccent })
  sheet.dice.some(LINKS, sheet.dice.between(3, 5)).forEach((link, i) => {
    sheet.words(x + 260 + i * 110, y + 43, link, { size: 15, fill: look.onAccent })
  })
  if (sheet.dice.isLucky(0.6)) {
    const face = { ...look, accent: look.ground, onAccent: look.ink }
    button(sheet, x + width - 220, y + 14, sheet.dice.pick(ACTIONS), face)
  }
  return 72
}

export const foot: Block = (sheet, { x, y, width }, look) => {
  sheet.line(x, x + width, y, look.line)
  for (const [i, link] of ['Harbour rules', 'Privacy', 'Contact'].entries())
    sheet.words(x + i * 140, y + 40, link, { size: 14, fill: look.soft })
  sheet.words(x + width, y + 40, '© Tidewrack harbour', {
    size: 14,
    fill: look.soft,
    anchor: 'end',
  })
  return 64
}

/** A rail of links at the left of all else, as high as the page. */
export const rail = (sheet: Sheet, height: number, look: Palette): void => {
  sheet.box(0, 0, 232, height, look.panel)
  sheet.words(28, 52, 'Harbour watch', { size: 18, weight: 700, fill: look.ink })
  sheet.dice.some(LINKS, 6).forEach((link, i) => {
    if (i === 0) sheet.box(12, 82, 208, 44, look.accent, { radius: 8 })
    const fill = i === 0 ? look.onAccent : look.ink
    sheet.path(`M34 ${98 + i * 48}h12v12h-12z`, fill, true)
    sheet.words(62, 109 + i * 48, link, { size: 15, fill })
  })
}
