import type { PointerEvent } from 'react'

/** Follows the pointer that was pressed on a bar until it is let go, wherever it goes. */
export const followPointer = (
  { currentTarget: bar, pointerId }: PointerEvent<HTMLElement>,
  move: (event: globalThis.PointerEvent) => void,
): void => {
  bar.setPointerCapture(pointerId)
  const following = new AbortController()
  const { signal } = following
  bar.addEventListener('pointermove', move, { signal })
  for (const end of ['pointerup', 'pointercancel'] as const) {
    bar.addEventListener(end, () => following.abort(), { signal })
  }
}
