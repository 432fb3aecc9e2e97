import { inkOf } from './paint.js'
import { saidBy, type View } from './view.js'

/** Running text is no larger, in px, unless most words are. */
const LARGEST_BODY_PX = 20

/** The colour most words are set in, and how large they are. */
export const findBody = (root: View): { readonly color: string; readonly size: number } => {
  const colors = new Map<string, number>()
  const sizes = new Map<number, number>()
  let total = 0
  for (const text of root.texts) {
    const { layer } = text.node
    if (layer.type !== 'text') continue
    const { length } = saidBy(text)
    const { color } = inkOf(text)
    total += length
    colors.set(color, (colors.get(color) ?? 0) + length)
    sizes.set(layer.style.size, (sizes.get(layer.style.size) ?? 0) + length)
  }
  const most = <T>(counts: ReadonlyMap<T, number>): T | undefined =>
    [...counts].sort((a, b) => b[1] - a[1])[0]?.[0]
  let passed = 0
  const median = [...sizes]
    .sort((a, b) => a[0] - b[0])
    .find(([, count]) => (passed += count) >= total / 2)?.[0]
  const limit = Math.max(LARGEST_BODY_PX, median ?? 0)
  const running = new Map([...sizes].filter(([size]) => size <= limit))
  return { color: most(colors) ?? '#000000', size: most(running) ?? 16 }
}
