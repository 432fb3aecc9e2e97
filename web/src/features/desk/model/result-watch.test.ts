import { createResultWatch, type Shows } from './result-watch'

beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())

const watched = (mostMs: number, shows: Shows | undefined) => {
  const watch = createResultWatch()
  watch.say(shows)
  const seen = jest.fn()
  void watch.seen(mostMs).then(seen)
  return { watch, seen }
}

test('nobody waits where nothing is on its way', async () => {
  const { seen } = watched(1000, 'newest')
  await jest.advanceTimersByTimeAsync(60)
  expect(seen).toHaveBeenCalled()
})

test('nobody waits where nothing is shown, and nobody who did where what shows it goes', async () => {
  const none = watched(1000, undefined)
  await jest.advanceTimersByTimeAsync(0)
  expect(none.seen).toHaveBeenCalled()
  const gone = watched(1000, 'older')
  await jest.advanceTimersByTimeAsync(100)
  expect(gone.seen).not.toHaveBeenCalled()
  gone.watch.say(undefined)
  await jest.advanceTimersByTimeAsync(0)
  expect(gone.seen).toHaveBeenCalled()
})

test('waits for what is on its way, also where the pane hears of it a moment later', async () => {
  const { watch, seen } = watched(1000, 'newest')
  await jest.advanceTimersByTimeAsync(5)
  watch.say('older')
  await jest.advanceTimersByTimeAsync(300)
  expect(seen).not.toHaveBeenCalled()
  watch.say('newest')
  await jest.advanceTimersByTimeAsync(0)
  expect(seen).toHaveBeenCalled()
})

test('waits no longer than it is told', async () => {
  const { watch, seen } = watched(250, 'newest')
  watch.say('older')
  await jest.advanceTimersByTimeAsync(309)
  expect(seen).not.toHaveBeenCalled()
  await jest.advanceTimersByTimeAsync(1)
  expect(seen).toHaveBeenCalled()
})
