import type { Box } from '@unimorph/core'
import type { Distance } from '../../../engine/inspect-layer'
import { useDesk } from '../model/desk-store'
import { Figure, InkLine, Marks, scaleBox } from './Drafting'

type Props = { readonly screen: string; readonly scale: number }

// Shorter ones are read in the card below the outline; on the stage they would cover each other.
const SHORTEST_PX = 6
/** Half the length of the extension lines at both ends of a dimension line. */
const EXTENSION_PX = 8
/** Half the length of the slanted ticks where a dimension line meets them. */
const TICK_PX = 3

const round = (value: number): string => `${Math.round(value * 10) / 10}`

const tick = (x: number, y: number): string =>
  `M${x - TICK_PX} ${y + TICK_PX}l${2 * TICK_PX} ${-2 * TICK_PX}`

/** A dimension line from a layer's edge to what lies next to it on one side, with its extension lines. */
const drawDistance = ({ x, y, width, height }: Box, { side }: Distance, length: number) => {
  const isLevel = side === 'left' || side === 'right'
  if (isLevel) {
    const from = side === 'left' ? x - length : x + width
    const cy = y + height / 2
    const ends = [from, from + length]
    return {
      line: [
        `M${from} ${cy}h${length}`,
        ...ends.map((end) => `M${end} ${cy - EXTENSION_PX}v${2 * EXTENSION_PX}${tick(end, cy)}`),
      ].join(''),
      figure: { x: from + length / 2, y: cy - 5, anchor: 'middle' as const },
    }
  }
  const from = side === 'top' ? y - length : y + height
  const cx = x + width / 2
  const ends = [from, from + length]
  return {
    line: [
      `M${cx} ${from}v${length}`,
      ...ends.map((end) => `M${cx - EXTENSION_PX} ${end}h${2 * EXTENSION_PX}${tick(cx, end)}`),
    ].join(''),
    figure: { x: cx + EXTENSION_PX + 4, y: from + length / 2 + 4, anchor: 'start' as const },
  }
}

/** The distances of the selected layer to its neighbours, drawn on the design as dimension lines. */
export const Measures = ({ screen, scale }: Props) => {
  const details = useDesk((s) => s.details)
  const layer = useDesk((s) => s.drawn?.layers.find((l) => l.key === s.details?.key))
  if (!details || layer?.screen !== screen) return null
  const box = scaleBox(details.box, scale)
  return (
    <Marks testId="measures">
      {details.distances
        .filter(({ px }) => px * scale >= SHORTEST_PX)
        .map((distance) => {
          const { line, figure } = drawDistance(box, distance, distance.px * scale)
          return (
            <g key={distance.side}>
              <InkLine d={line} />
              <Figure {...figure}>{round(distance.px)}</Figure>
            </g>
          )
        })}
    </Marks>
  )
}
