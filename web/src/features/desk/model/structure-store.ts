import { create } from 'zustand'
import type { Finding } from '@unimorph/core'
import type { MendChoice, StructureReport } from '../../../engine/structure'
import { messageOf } from '../../../shared/lib/api'
import { showProblem, useToasts } from '../../../shared/lib/toast-store'
import { useDesk } from './desk-store'
import { createLatest } from './latest'

type StructureStore = {
  readonly report: StructureReport | undefined
  /** The finding a person looks at: its evidence is on the stage. */
  readonly chosen: Finding | undefined
  readonly isMending: boolean
  /** Whether the stage shows rows, columns, gaps and padding. */
  readonly showsArranged: boolean
  load(): Promise<void>
  /** When another design is opened, or none. */
  clear(): void
  choose(finding: Finding | undefined): void
  mend(choice: MendChoice): Promise<void>
  setArranged(shows: boolean): void
}

/** What makes worse code in the open design, and mending it. */
export const useStructure = create<StructureStore>((set, get) => {
  const latest = createLatest()
  return {
    report: undefined,
    chosen: undefined,
    isMending: false,
    showsArranged: false,
    load: () =>
      latest.run(async (isNewest) => {
        const report = await useDesk.getState().report()
        if (!isNewest()) return
        const id = get().chosen?.id
        set({ report, chosen: report.findings.find((finding) => finding.id === id) })
      }),
    clear() {
      latest.drop()
      set({ report: undefined, chosen: undefined })
    },
    choose(chosen) {
      set({ chosen })
      if (chosen) useDesk.getState().select([...chosen.layers].reverse())
    },
    async mend(choice) {
      set({ isMending: true })
      try {
        const { edits, refused } = await useDesk.getState().mend(choice)
        if (edits) await useDesk.getState().edit(edits)
        const { show } = useToasts.getState()
        if (refused > 0) {
          const what = refused === 1 ? 'One remedy was' : `${refused} remedies were`
          show({ text: `${what} left out: the design would look different.`, tone: 'plain' })
        } else if (!edits) show({ text: 'There was nothing to mend.', tone: 'plain' })
      } catch (error) {
        showProblem(messageOf(error))
      } finally {
        set({ isMending: false })
      }
    },
    setArranged: (showsArranged) => set({ showsArranged }),
  }
})

const GRAVITY = { hint: 0, doubt: 1, problem: 2 } as const

/** The gravest finding of each layer. */
export const markLayers = (
  findings: readonly Finding[],
): ReadonlyMap<string, Finding['severity']> => {
  const marks = new Map<string, Finding['severity']>()
  for (const { layers, severity } of findings) {
    const [first] = layers
    if (first === undefined) continue
    const known = marks.get(first)
    if (!known || GRAVITY[severity] > GRAVITY[known]) marks.set(first, severity)
  }
  return marks
}
