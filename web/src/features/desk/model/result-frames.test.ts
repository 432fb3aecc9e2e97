import { beginWith, changeFrames, type FrameEvent, type Frames } from './result-frames'

const after = (state: Frames, ...events: readonly FrameEvent[]): Frames =>
  events.reduce(changeFrames, state)
const pages = ({ frames }: Frames): (string | undefined)[] => frames.map(({ html }) => html)

test('the first page is shown, and a frame waits for the next', () => {
  const state = after(
    beginWith('ebb'),
    { kind: 'ready', id: 0 },
    { kind: 'shown', id: 0, keepsSpare: true },
  )
  expect(state.shown).toBe(0)
  expect(pages(state)).toEqual(['ebb', undefined])
})

test('the page before is seen until the next one is there, and is gone then', () => {
  const state = after(
    beginWith('ebb'),
    { kind: 'shown', id: 0, keepsSpare: true },
    { kind: 'ready', id: 1 },
    { kind: 'want', html: 'flood' },
  )
  expect(state.shown).toBe(0)
  expect(state.frames).toEqual([
    { id: 0, html: 'ebb', isReady: false },
    { id: 1, html: 'flood', isReady: true },
  ])
  const shown = after(state, { kind: 'shown', id: 1, keepsSpare: false })
  expect(shown.shown).toBe(1)
  expect(pages(shown)).toEqual(['flood'])
})

test('a page that is overtaken is never shown', () => {
  const state = after(
    beginWith('ebb'),
    { kind: 'shown', id: 0, keepsSpare: false },
    { kind: 'want', html: 'flood' },
    { kind: 'want', html: 'slack' },
    { kind: 'shown', id: 1, keepsSpare: false },
  )
  expect(state.shown).toBe(0)
  expect(pages(state)).toEqual(['ebb', 'slack'])
})

test('a frame never gets a second page', () => {
  const state = after(
    beginWith('ebb'),
    { kind: 'shown', id: 0, keepsSpare: true },
    { kind: 'want', html: 'flood' },
    { kind: 'want', html: 'slack' },
  )
  expect(state.frames.map(({ id, html }) => [id, html])).toEqual([
    [0, 'ebb'],
    [2, 'slack'],
  ])
})

test('going back to what is seen gives up the page that was on its way', () => {
  const state = after(
    beginWith('ebb'),
    { kind: 'shown', id: 0, keepsSpare: false },
    { kind: 'want', html: 'flood' },
    { kind: 'want', html: 'ebb' },
  )
  expect(pages(state)).toEqual(['ebb'])
})
