import type { CSSProperties } from 'react'
import type { Box } from '@unimorph/core'
import type { Distance } from '../../../engine/inspect-layer'
import { useDesk } from '../model/desk-store'

type Props = { readonly screen: string; readonly scale: number }

// Shorter ones are read in the card below the outline; on the stage they would cover each other.
const SHORTEST_PX = 6

const LABEL =
  'absolute rounded-sm bg-[#9a3a20] px-1 text-[11px] leading-4 whitespace-nowrap text-white'

/** The line from a layer's edge to what lies next to it on one side. */
const lineOf = ({ x, y, width, height }: Box, { side, px }: Distance, scale: number) => {
  const [cx, cy] = [(x + width / 2) * scale, (y + height / 2) * scale]
  const length = px * scale
  switch (side) {
    case 'left':
      return { left: x * scale - length, top: cy, width: length, height: 1 }
    case 'right':
      return { left: (x + width) * scale, top: cy, width: length, height: 1 }
    case 'top':
      return { left: cx, top: y * scale - length, width: 1, height: length }
    case 'bottom':
      return { left: cx, top: (y + height) * scale, width: 1, height: length }
  }
}

const round = (value: number): string => `${Math.round(value * 10) / 10}`

/** The size of the selected layer and its distances to its neighbours, drawn on the design. */
export const Measures = ({ screen, scale }: Props) => {
  const details = useDesk((s) => s.details)
  const layer = useDesk((s) => s.drawn?.layers.find((l) => l.key === s.details?.key))
  if (!details || layer?.screen !== screen) return null
  const { box } = details
  const size: CSSProperties = {
    left: (box.x + box.width / 2) * scale,
    top: (box.y + box.height) * scale + 4,
    transform: 'translateX(-50%)',
  }
  return (
    <div aria-hidden data-testid="measures" className="pointer-events-none absolute inset-0">
      {details.distances
        .filter(({ px }) => px * scale >= SHORTEST_PX)
        .map((distance) => {
          const line = lineOf(box, distance, scale)
          return (
            <div key={distance.side}>
              <div className="absolute bg-[#9a3a20]" style={line} />
              <span
                className={LABEL}
                style={{
                  left: line.left + line.width / 2,
                  top: line.top + line.height / 2,
                  transform: 'translate(-50%, -50%)',
                }}
              >
                {round(distance.px)}
              </span>
            </div>
          )
        })}
      <span className={`${LABEL} bg-[#2a6340]!`} style={size}>
        {round(box.width)} × {round(box.height)}
      </span>
    </div>
  )
}
