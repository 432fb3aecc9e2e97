import type { Said } from './boxes.js'
import { saidWithin, type Windows } from './values-of.js'

/** Widths of the window at which something is so; in px. */
export type Stretch<Is> = { readonly windows: Required<Windows>; readonly is: Is }

/** What a box is at the widths of the window, from the narrowest on: cut where some of its slots change. */
export const stretchesOf = <Is>(
  said: Said,
  slots: readonly string[],
  { atLeast = 0, below = Infinity }: Windows,
  isIn: (own: Said, windows: Required<Windows>) => Is,
): readonly Stretch<Is>[] => {
  const changes = slots.flatMap((slot) => {
    const value = said.get(slot)
    return value?.kind === 'stepped' ? value.steps.map(({ fromPx }) => fromPx) : []
  })
  const inside = [...new Set(changes)].filter((px) => px > atLeast && px < below)
  const starts = [atLeast, ...inside.sort((a, b) => a - b)]
  const stretches = starts.map((start, i): Stretch<Is> => {
    const windows = { atLeast: start, below: starts[i + 1] ?? below }
    return { windows, is: isIn(saidWithin(said, windows), windows) }
  })
  return stretches.reduce<readonly Stretch<Is>[]>((merged, { windows, is }) => {
    const last = merged.at(-1)
    if (!last || last.is !== is) return [...merged, { windows, is }]
    const joined = { atLeast: last.windows.atLeast, below: windows.below }
    return [...merged.slice(0, -1), { windows: joined, is }]
  }, [])
}
