import { design, frame, layer } from '../testing/design.js'
import type { Edit } from './edit.js'
import { applyEdits } from './index.js'

const made = () =>
  design([
    frame('home', [frame('card', [layer('rectangle', 'bar')])], { name: 'Home' }),
    frame('home-phone', [layer('rectangle', 'bar-phone')], {
      name: 'Home / Phone',
      box: { x: 0, y: 0, width: 390, height: 300 },
    }),
    frame('rota', []),
  ])
const apply = (...edits: Edit[]) => applyEdits(made(), edits)

test('how a container gives way, and leaving it to the program again', () => {
  const said = apply({ kind: 'give-way', layer: 'card', as: 'stack' })
  expect(said.design.widths).toEqual({ card: { giveWay: 'stack' } })
  const back = apply(
    { kind: 'give-way', layer: 'card', as: 'stack' },
    { kind: 'give-way', layer: 'card', as: null },
  )
  expect([back.design.widths, back.adrift]).toEqual([{}, []])
})

test('a container that was made up is known by its first layer', () => {
  expect(apply({ kind: 'give-way', layer: 'bar~', as: 'wrap' }).adrift).toEqual([])
  expect(apply({ kind: 'give-way', layer: 'gone~', as: 'wrap' }).adrift).toHaveLength(1)
})

test('content is held to a width, or never', () => {
  const hold = (px: number | null): Edit => ({ kind: 'hold-content', layer: 'home', px })
  expect(apply(hold(960)).design.widths).toEqual({ home: { contentMax: 960 } })
  expect(apply(hold(null)).design.widths).toEqual({ home: { contentMax: null } })
  expect(apply(hold(960), { kind: 'hold-content', layer: 'home' }).design.widths).toEqual({})
})

test('differences at the same widths are joined, and stand from narrow to wide', () => {
  const at = (from: number, set: (Edit & { kind: 'set-at' })['set'], below?: number): Edit => ({
    kind: 'set-at',
    layer: 'bar',
    from,
    ...(below === undefined ? {} : { below }),
    set,
  })
  const { design: after } = apply(
    at(1024, { gap: 8 }),
    at(0, { hidden: true }, 640),
    at(1024, { columns: 3 }),
  )
  expect(after.widths?.['bar']?.at).toEqual([
    { from: 0, below: 640, hidden: true },
    { from: 1024, gap: 8, columns: 3 },
  ])
  expect(apply(at(0, { gap: 4 }), at(0, null)).design.widths).toEqual({})
})

test('breakpoints are sorted and said once', () => {
  const { design: after } = apply({ kind: 'set-breakpoints', px: [900, 600, 900] })
  expect(after.breakpoints).toEqual([600, 900])
  const usual = apply({ kind: 'set-breakpoints', px: [600] }, { kind: 'set-breakpoints', px: null })
  expect(usual.design.breakpoints).toBeUndefined()
})

test('screens are grouped by hand; one that is in two groups, or gone, is no grouping', () => {
  const group = (...groups: string[][]): Edit => ({ kind: 'set-artboards', groups })
  expect(apply(group(['home', 'home-phone'])).design.artboards).toEqual([
    { screens: ['home', 'home-phone'] },
  ])
  expect(apply(group(['home', 'gone'])).adrift).toHaveLength(1)
  expect(apply(group(['home', 'rota'], ['rota', 'home-phone'])).adrift).toHaveLength(1)
  // That nothing belongs together is a word too.
  expect(apply(group()).design.artboards).toEqual([{ screens: ['home'] }])
})

test('a match is said, refused, and left to the program again', () => {
  const screens = ['home', 'home-phone']
  const match = (to?: string | null): Edit => ({
    kind: 'match',
    layer: 'bar-phone',
    screens,
    ...(to === undefined ? {} : { to }),
  })
  expect(apply(match('bar')).design.artboards).toEqual([
    { screens, matches: { 'bar-phone': 'bar' } },
  ])
  expect(apply(match(null)).design.artboards).toEqual([{ screens, matches: { 'bar-phone': null } }])
  expect(apply(match('bar'), match()).design.artboards).toEqual([{ screens }])
  expect(apply(match('gone')).adrift).toHaveLength(1)
})

test('a regrouping keeps the matches of its screens', () => {
  const screens = ['home', 'home-phone']
  const { design: after } = apply(
    { kind: 'match', layer: 'bar-phone', to: 'bar', screens },
    { kind: 'set-artboards', groups: [['home-phone', 'home']] },
  )
  expect(after.artboards).toEqual([
    { screens: ['home-phone', 'home'], matches: { 'bar-phone': 'bar' } },
  ])
})

test('limits are set and taken away one by one', () => {
  const limits = (set: (Edit & { kind: 'set-limits' })['limits']): Edit => ({
    kind: 'set-limits',
    layer: 'card',
    limits: set,
  })
  const find = (...edits: Edit[]) => apply(...edits).design.screens[0]!.children[0]!.limits
  expect(find(limits({ minWidth: 100, maxWidth: 300 }))).toEqual({ minWidth: 100, maxWidth: 300 })
  expect(find(limits({ minWidth: 100, maxWidth: 300 }), limits({ minWidth: null }))).toEqual({
    maxWidth: 300,
  })
  expect(find(limits({ minWidth: 100 }), limits({ minWidth: null }))).toBeUndefined()
})
