import { inPieces } from './in-pieces'

const slow = (ms: number): void => {
  const until = performance.now() + ms
  while (performance.now() < until);
}

function* count(to: number): Generator<void, number> {
  for (let i = 0; i < to; i++) {
    slow(5)
    yield
  }
  return to
}

describe('work in pieces', () => {
  it('is done in the end', async () => {
    expect(
      await inPieces(
        count(7),
        async () => undefined,
        () => true,
      ),
    ).toBe(7)
  })

  it('lets others go first', async () => {
    const log: string[] = []
    let others: Promise<unknown> = Promise.resolve()
    const work = inPieces(
      count(20),
      () => others,
      () => true,
    ).then(() => log.push('work'))
    others = new Promise((resolve) => setTimeout(resolve, 5)).then(() => log.push('other'))
    await work
    expect(log).toEqual(['other', 'work'])
  })

  it('is given up when nobody wants it any more', async () => {
    let steps = 0
    function* endless(): Generator<void, never> {
      for (;;) {
        steps++
        slow(5)
        yield
      }
    }
    expect(
      await inPieces(
        endless(),
        async () => undefined,
        () => steps < 5,
      ),
    ).toBeUndefined()
    expect(steps).toBeLessThan(10)
  })
})
