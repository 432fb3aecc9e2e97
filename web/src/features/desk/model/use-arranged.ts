import { useEffect, useState } from 'react'
import type { ArrangedBox } from '../../../engine/structure'
import { messageOf } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { useDesk } from './desk-store'

const NONE: readonly ArrangedBox[] = []

/** How everything on a screen is arranged, read again after each edit once its result is shown; nothing while not `wanted`. */
export const useArranged = (screen: string, wanted: boolean): readonly ArrangedBox[] => {
  const drawn = useDesk((s) => s.drawn)
  const [boxes, setBoxes] = useState(NONE)
  useEffect(() => {
    if (!wanted) return setBoxes(NONE)
    let isCurrent = true
    const { settled, listArranged } = useDesk.getState()
    settled()
      .then(() => (isCurrent ? listArranged(screen) : NONE))
      .then((list) => isCurrent && setBoxes(list))
      .catch((error: unknown) => showProblem(messageOf(error)))
    return () => {
      isCurrent = false
    }
  }, [wanted, drawn, screen])
  return boxes
}
