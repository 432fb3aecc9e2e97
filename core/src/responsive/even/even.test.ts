import fc from 'fast-check'
import { resolveSides } from '../../design/geometry.js'
import { resolveInstances } from '../../design/resolve-instances.js'
import { inferLayout, type LayoutNode } from '../../layout/index.js'
import { design, frame, layer, text } from '../../testing/design.js'
import { findNode } from '../../testing/layout.js'
import { arbitraryPage, at, words } from '../../testing/page.js'
import { createTableMeasure } from '../../text/measure.js'
import { createSolver } from '../../layout/flow/solver.js'
import { evenOut } from './index.js'
import { runs } from '../../testing/runs.js'

type Json = Record<string, unknown>
const measure = createTableMeasure()
const paint = (color: string): Json => ({ fills: [{ kind: 'solid', color }] })
const page = (children: Json[], rest: Json = {}): Json =>
  frame('page', children, { ...at(0, 0, 600, 600), ...paint('#ffffff'), ...rest })

const inferred = (screen: Json): LayoutNode =>
  inferLayout(resolveInstances(design([screen]))[0]!, { measure, assets: {} })
const evened = (screen: Json): LayoutNode =>
  evenOut(inferred(screen), createSolver(measure), measure)

const paddingOf = (root: LayoutNode, key: string): number => {
  const { arrangement } = findNode(root, key)
  if (arrangement.kind === 'free') throw new Error(`${key} has no padding`)
  return resolveSides(arrangement.padding).left
}

/** Cards under each other, with a title and a line each at a distance from their left edges. */
const cards = (lefts: readonly number[], step = 100): Json[] =>
  lefts.flatMap((left, i) => {
    const y = 20 + i * step
    return [
      layer('rectangle', `card-${i}`, { ...at(20, y, 400, 80), ...paint('#eef1ee') }),
      words(`title-${i}`, ['Kelp', 'Whelks', 'Driftwood', 'Sea glass'][i % 4]!, 20 + left, y + 12),
      words(`line-${i}`, ['Seen', 'Sold', 'Kept', 'Lost'][i % 4]!, 20 + left, y + 44, 12),
    ]
  })
const paddings = (lefts: readonly number[]): readonly number[] => {
  const tree = evened(page(cards(lefts)))
  return lefts.map((_, i) => paddingOf(tree, `card-${i}`))
}

test('fractions of a px are the whole px that is nearly meant', () => {
  expect(paddings([15.97, 16, 16.31, 15.8])).toEqual([16, 16, 16, 16])
})

test('where nothing is usual, they are their mean, in whole px', () => {
  const [first, ...others] = paddings([15.31, 16.21, 15.6])
  expect(first).toBe(16)
  expect(new Set([first, ...others]).size).toBe(1)
})

test('a whole px more is meant', () => {
  expect(paddings([16, 17, 16])).toEqual([16, 17, 16])
  expect(paddings([16, 24, 16.4])).toEqual([16, 24, 16])
})

test('a line that happens to end where the others do not begins where they begin', () => {
  const names = ['Charts', 'Notifications', 'Icons', 'Pages']
  const entries = names.map((name, i) => words(name, name, 52, 20 + i * 40))
  const wide = 52 + Number((entries[1]!['box'] as { width: number }).width)
  const heads = ['Theme', 'Extras'].map((name, i) => words(name, name, 20, 180 + i * 40))
  const tree = evened(
    page([...entries, ...heads], { box: { x: 0, y: 0, width: wide, height: 280 } }),
  )
  const stand = names.map((name) => {
    const { textAlign, sizing, self, margin } = findNode(tree, name)
    return JSON.stringify([textAlign, sizing.width, self, margin.left])
  })
  expect(new Set(stand).size).toBe(1)
})

test('texts of which some have two lines are held to one width, where all of them break as drawn', () => {
  const names = ['Ada Voss', 'Samuel Brandt-Keller', 'Mira Holm', 'Constance Appleby']
  const STYLE = { family: 'Inter', size: 16, lineHeight: 24, color: '#112233' }
  const width = (words: string): number =>
    Math.ceil(
      measure.width(words, { ...STYLE, weight: 400, letterSpacing: 0, case: 'as-typed' as const }),
    )
  const rows = names.flatMap((name, i) => {
    const y = 20 + i * 80
    const space = name.indexOf(' ')
    const isLong = name.length > 12
    const first = { start: 0, end: isLong ? space + 1 : name.length, x: 0, baseline: 18 }
    const second = { start: space + 1, end: name.length, x: 0, baseline: 42 }
    const lines = isLong ? [first, second] : [first]
    const own = Math.max(...lines.map(({ start, end }) => width(name.slice(start, end).trim())))
    return [
      layer('rectangle', `row-${i}`, { ...at(20, y, 500, 64), ...paint('#eef1ee') }),
      text(`name-${i}`, name, { ...at(36, y + 8, own, isLong ? 48 : 24), style: STYLE, lines }),
      words(`day-${i}`, `0${i} May`, 260, y + 8),
      words(`place-${i}`, 'Pier', 400, y + 8),
    ]
  })
  const tree = evened(page(rows))
  const widths = names.map((_, i) => findNode(tree, `name-${i}`).limits.maxWidth)
  expect(new Set(widths).size).toBe(1)
  expect(widths[0]).toBeGreaterThan(width('Brandt-Keller'))
  expect(widths[0]).toBeLessThan(width('Constance Appleby'))
})

test('auto layout that is stated stays as it is', () => {
  const column = (key: string, left: number, y: number): Json =>
    frame(key, [text(`${key}-a`, 'Kelp'), text(`${key}-b`, 'Sold')], {
      ...at(20, y, 200, 80),
      ...paint('#eef1ee'),
      layout: { kind: 'column', gap: 8, padding: { top: 8, right: 8, bottom: 8, left } },
    })
  const tree = evened(page([column('a', 16.3, 20), column('b', 16, 120), column('c', 15.9, 220)]))
  expect(['a', 'b', 'c'].map((key) => paddingOf(tree, key))).toEqual([16.3, 16, 15.9])
})

test('nothing on any page moves further than a hand is off', () => {
  const jitter = fc.infiniteStream(fc.double({ min: -0.6, max: 0.6, noNaN: true }))
  fc.assert(
    fc.property(arbitraryPage, jitter, (screen, by) => {
      const shaken = {
        ...screen,
        children: (screen['children'] as { box: { x: number; y: number } }[]).map((one) => ({
          ...one,
          box: {
            ...one.box,
            x: one.box.x + (by.next().value as number),
            y: one.box.y + (by.next().value as number),
          },
        })),
      }
      const tree = inferred(shaken)
      const solver = createSolver(measure)
      const boxesOf = (root: LayoutNode): ReadonlyMap<string, { x: number; y: number }> =>
        new Map(
          solver
            .place(root, 1280)
            .filter(({ node }) => node.children.length === 0 && node.layer.type !== 'text')
            .map(({ node, box }) => [node.layer.key, box]),
        )
      const after = boxesOf(evenOut(tree, solver, measure))
      for (const [key, box] of boxesOf(tree)) {
        expect(Math.abs(after.get(key)!.x - box.x)).toBeLessThanOrEqual(1.52)
        expect(Math.abs(after.get(key)!.y - box.y)).toBeLessThanOrEqual(1.52)
      }
    }),
    runs(60),
  )
})
