import { useEffect, useState } from 'react'
import type { Box } from '@unimorph/core'
import type { ArrangedBox } from '../../../engine/structure'
import { messageOf } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { useDesk } from '../model/desk-store'
import { useStructure } from '../model/structure-store'

type Props = { readonly screen: string; readonly scale: number }

const placed = (box: Box, scale: number) => ({
  left: box.x * scale,
  top: box.y * scale,
  width: Math.max(1, box.width * scale),
  height: Math.max(1, box.height * scale),
})

/** The places that show the finding a person looks at. */
export const Evidence = ({ screen, scale }: Props) => {
  const chosen = useStructure((s) => s.chosen)
  if (chosen?.screen !== screen) return null
  return chosen.evidence.map((box, i) => (
    <div
      key={i}
      aria-hidden
      data-testid="evidence"
      className="pointer-events-none absolute border-2 border-dashed border-[#b3541e] bg-[#b3541e]/15"
      style={placed(box, scale)}
    />
  ))
}

const SIGNS = { row: '→', column: '↓', grid: '⊞', overlay: '⧉' } as const

/** So many boxes can be told apart on a screen. */
const MOST_SHOWN = 400

/** Rows, columns and grids with their gaps and padding. */
export const Arranged = ({ screen, scale }: Props) => {
  const shows = useStructure((s) => s.showsArranged)
  const drawn = useDesk((s) => s.drawn)
  const listArranged = useDesk((s) => s.listArranged)
  const [boxes, setBoxes] = useState<readonly ArrangedBox[]>([])
  useEffect(() => {
    if (!shows) return setBoxes([])
    let isCurrent = true
    listArranged(screen)
      .then((list) => isCurrent && setBoxes(list.slice(0, MOST_SHOWN)))
      .catch((error: unknown) => showProblem(messageOf(error)))
    return () => {
      isCurrent = false
    }
  }, [shows, drawn, screen, listArranged])
  return boxes.map(({ kind, box, gaps, padding }, i) => (
    <div key={i} aria-hidden data-testid="arranged" className="pointer-events-none">
      <div className="absolute border border-[#2b5f8a]/70" style={placed(box, scale)}>
        <span className="absolute bottom-full left-0 bg-[#2b5f8a] px-0.5 text-[9px] leading-3 text-white">
          {SIGNS[kind]}
        </span>
      </div>
      {padding.map((side, j) => (
        <div key={j} className="absolute bg-[#2b5f8a]/10" style={placed(side, scale)} />
      ))}
      {gaps.map((gap, j) => (
        <div
          key={j}
          className="absolute bg-[repeating-linear-gradient(45deg,#8a6d1f55_0_2px,transparent_2px_5px)]"
          style={placed(gap, scale)}
        />
      ))}
    </div>
  ))
}
