import { Cancelled } from '../../../engine/engine'
import { messageOf } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { useDesk } from './desk-store'

/** Work on the design as drawn, of which only the newest counts. */
export type Latest = {
  /** Waits until the design is settled, then works; `isNewest` tells whether the result is still wanted. */
  run(work: (isNewest: () => boolean) => Promise<void>): Promise<void>
  /** What is under way is no longer wanted. */
  drop(): void
}

export const createLatest = (): Latest => {
  let turn = 0
  return {
    async run(work) {
      const own = ++turn
      const isNewest = (): boolean => own === turn
      try {
        await useDesk.getState().settled()
        if (isNewest()) await work(isNewest)
      } catch (error) {
        if (isNewest() && !(error instanceof Cancelled)) showProblem(messageOf(error))
      }
    },
    drop() {
      turn++
    },
  }
}
