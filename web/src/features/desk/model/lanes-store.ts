import { create } from 'zustand'
import { persist } from 'zustand/middleware'

type LaneName = 'outline' | 'stage' | 'source'

type Lanes = {
  readonly outline: number
  readonly source: number
  readonly outlineFolded: boolean
  readonly stageFolded: boolean
  readonly sourceFolded: boolean
  resize(lane: 'outline' | 'source', width: number): void
  fold(lane: LaneName): void
}

/** Widths of the lanes in px and which are folded; kept in this browser. */
export const useLanes = create<Lanes>()(
  persist(
    (set) => ({
      outline: 330,
      source: 392,
      outlineFolded: false,
      stageFolded: false,
      sourceFolded: false,
      resize: (lane, width) => set({ [lane]: width }),
      fold: (lane) =>
        set((lanes) => {
          const key = `${lane}Folded` as const
          return { [key]: !lanes[key] }
        }),
    }),
    { name: 'unimorph.lanes' },
  ),
)
