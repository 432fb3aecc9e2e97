import { layerOfNode, type Finding } from '@unimorph/core'
import type { ReactNode } from 'react'
import { useDesk } from '../model/desk-store'
import { useStage } from '../model/stage-store'
import { SeverityMark } from './SeverityMark'

type Props = {
  readonly severity: Finding['severity']
  /** Key of the node at fault. */
  readonly layer: string
  /** The first width of the window it is seen at, in px. */
  readonly fromPx: number
  readonly hint?: string
  readonly children: ReactNode
}

/** Something wrong at some widths, leading to its layer and the first of them. */
export const FaultRow = ({ severity, layer, fromPx, hint, children }: Props) => {
  const select = useDesk((s) => s.select)
  const set = useStage((s) => s.set)
  return (
    <li>
      <button
        type="button"
        title={hint}
        onClick={() => {
          select([layerOfNode(layer)])
          set({ width: fromPx })
        }}
        className="flex w-full items-baseline gap-1 px-3 py-1 text-left text-xs hover:bg-tint"
      >
        <SeverityMark severity={severity} />
        <span>{children}</span>
      </button>
    </li>
  )
}
