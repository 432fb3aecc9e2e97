import type { Box } from '@unimorph/core'
import type { ArrangedBox } from '../../../engine/structure'
import { useDesk } from '../model/desk-store'
import { useArranged } from '../model/use-arranged'
import { useStructure } from '../model/structure-store'
import { Hatching, InkLine, Marks, scaleBox } from './Drafting'

type Props = { readonly screen: string; readonly scale: number }

const outline = ({ x, y, width, height }: Box): string => `M${x} ${y}h${width}v${height}h${-width}z`

/** The places that show the finding a person looks at. */
export const Evidence = ({ screen, scale }: Props) => {
  const chosen = useStructure((s) => s.chosen)
  if (chosen?.screen !== screen) return null
  return chosen.evidence.map((box, i) => {
    const { x, y, width, height } = scaleBox(box, scale)
    return (
      <div
        key={i}
        aria-hidden
        data-testid="evidence"
        className="pointer-events-none absolute border-2 border-dashed border-problem bg-problem/10"
        style={{ left: x, top: y, width: Math.max(1, width), height: Math.max(1, height) }}
      />
    )
  })
}

/** So many boxes can be told apart on a screen. */
const MOST_SHOWN = 400
/** Length of the arrow that tells the direction; a smaller box has no room for it. */
const ARROW_PX = 9

const RIGHT = `h${ARROW_PX}m-3 -3l3 3l-3 3`
const DOWN = `v${ARROW_PX}m-3 -3l3 3l3 -3`

/** Which way the children follow each other, as arrows in the corner of the box; none in an overlay. */
const directionOf = (kind: ArrangedBox['kind'], { x, y }: Box): string => {
  const start = `M${x + 4} ${y + 4}`
  switch (kind) {
    case 'row':
      return start + RIGHT
    case 'column':
      return start + DOWN
    case 'grid':
      return start + RIGHT + start + DOWN
    case 'overlay':
      return ''
  }
}

/** Padding and gaps as hatching: of everything on the screen, or of the selected layer. */
export const Arranged = ({ screen, scale }: Props) => {
  const showsAll = useStructure((s) => s.showsArranged)
  const selected = useDesk((s) => s.selection.at(-1))
  const all = useArranged(screen, showsAll || selected !== undefined)
  const boxes = showsAll ? all.slice(0, MOST_SHOWN) : all.filter(({ layer }) => layer === selected)
  if (boxes.length === 0) return null
  const scaled = (list: (typeof boxes)[number]['gaps']) => list.map((box) => scaleBox(box, scale))
  return (
    <Marks testId="arranged">
      <Hatching slant="padding" areas={boxes.flatMap(({ padding }) => scaled(padding))} />
      <Hatching slant="gap" areas={boxes.flatMap(({ gaps }) => scaled(gaps))} />
      {showsAll &&
        boxes.map(({ kind, box }, i) => {
          const place = scaleBox(box, scale)
          const hasRoom = Math.min(place.width, place.height) >= ARROW_PX + 8
          return (
            <g key={i} data-testid="arranged-box">
              <InkLine d={outline(place)} />
              {hasRoom && <InkLine d={directionOf(kind, place)} />}
            </g>
          )
        })}
    </Marks>
  )
}
