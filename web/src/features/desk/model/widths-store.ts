import { NARROWEST_PX } from '@unimorph/core'
import { create } from 'zustand'
import type { WidthAnswer, WidthFaults } from '../../../engine/widths'
import { useDesk } from './desk-store'
import { createLatest } from './latest'

type WidthsStore = {
  /** Of the screen that is shown. */
  readonly report: WidthAnswer | undefined
  /** Where it breaks or looks wrong; absent while that is looked for. */
  readonly faults: WidthFaults | undefined
  load(): Promise<void>
  clear(): void
}

/** How the shown screen is at every width. */
export const useWidths = create<WidthsStore>((set) => {
  const latest = createLatest()
  return {
    report: undefined,
    faults: undefined,
    load: () =>
      latest.run(async (isNewest) => {
        const { screen, widths, faults } = useDesk.getState()
        if (screen === undefined) return
        const report = await widths(screen)
        if (!isNewest()) return
        set({ report })
        const found = await faults()
        if (isNewest() && found) set({ faults: found })
      }),
    clear() {
      latest.drop()
      set({ report: undefined, faults: undefined })
    },
  }
})

/** Layers of the shown artboard under the keys the code has: those of the widest. */
export const toCodeKeys = (
  report: WidthAnswer | undefined,
  keys: readonly string[],
): readonly string[] => {
  if (!report) return keys
  const base = new Map(
    Object.values(report.matches).flatMap((list) => list.map((m) => [m.other, m.base] as const)),
  )
  return keys.map((key) => base.get(key) ?? key)
}

/** A key of the code as the layer of the artboard that is shown, where that has it. */
export const toShownKey = (
  report: WidthAnswer | undefined,
  screen: string | undefined,
  key: string,
): string => report?.matches[screen ?? '']?.find((match) => match.base === key)?.other ?? key

/** Widths worth looking at: where the screen was drawn, and where it changes. */
export const stripWidths = ({ artboards, steps }: WidthAnswer): number[] => {
  const drawn = artboards.map((artboard) => artboard.widthPx)
  const changes = steps.filter((px) => px >= NARROWEST_PX)
  const all = [...new Set([NARROWEST_PX, ...drawn, ...changes])].sort((a, b) => a - b)
  // Two that are nearly the same show nothing new.
  return all.filter((px, i) => i === 0 || drawn.includes(px) || px - all[i - 1]! >= 64)
}
