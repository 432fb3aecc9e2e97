import { threadPaths, type Rect } from './thread-path'

const rect = (left: number, top: number, right: number, bottom: number): Rect => ({
  left,
  top,
  right,
  bottom,
})
const outline = rect(0, 100, 200, 700)
const stage = rect(206, 100, 906, 700)
const source = rect(912, 100, 1280, 700)
const row = { rect: rect(0, 200, 200, 226), lane: outline }
const design = { rect: rect(300, 300, 500, 340), lane: stage }
const result = { rect: rect(600, 310, 800, 350), lane: stage }
const code = { rect: rect(950, 400, 1100, 418), lane: source }

test('joins row, design, result and code from left to right', () => {
  expect(threadPaths({ row, design, result, code })).toEqual([
    'M200 213.5H215V300.5H300',
    'M500 300.5H550.5V310.5H600',
    'M800 310.5H897V409.5H912',
  ])
})

test('leads from the design to the code where the result lies below it', () => {
  const below = { ...result, rect: rect(300, 500, 500, 540) }
  expect(threadPaths({ row, design, result: below, code })).toEqual([
    'M200 213.5H215V300.5H300',
    'M500 300.5H897V409.5H912',
  ])
})

test('begins at the result where no design is shown', () => {
  expect(threadPaths({ row, result })).toEqual(['M200 213.5H215V310.5H600'])
})

test('leaves out what is scrolled out of its lane', () => {
  const gone = { ...row, rect: rect(0, 20, 200, 46) }
  expect(threadPaths({ row: gone, design, code })).toEqual(['M500 300.5H897V409.5H912'])
  expect(threadPaths({ row, design: { ...design, rect: rect(300, 900, 500, 940) } })).toEqual([])
})

test('meets a box that is partly scrolled away where it is seen', () => {
  const cut = { ...design, rect: rect(300, 680, 500, 900) }
  expect(threadPaths({ row, design: cut })).toEqual(['M200 213.5H215V680.5H300'])
})

test('says nothing while nothing is found', () => {
  expect(threadPaths({})).toEqual([])
})
