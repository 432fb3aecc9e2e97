import { NO_SIDES } from '../../design/geometry.js'
import type { LayoutNode } from '../../layout/index.js'
import { canWrap } from './navigation.js'

const link = (top: number, rest: Partial<LayoutNode> = {}): LayoutNode =>
  ({ margin: { ...NO_SIDES, top }, isPushed: false, ...rest }) as LayoutNode

test('links that are drawn a px off the middle of their row are one run', () => {
  expect(canWrap([link(9), link(10), link(9.4)])).toBe(true)
  expect(canWrap([link(9), link(12)])).toBe(false)
})

test('links that are all held at the top are one run; some of them are not', () => {
  const self = 'start'
  expect(canWrap([link(9, { self }), link(9, { self })])).toBe(true)
  expect(canWrap([link(9, { self }), link(9)])).toBe(false)
})

test('free room parts a run', () => {
  expect(canWrap([link(0), link(0, { isPushed: true })])).toBe(false)
})
