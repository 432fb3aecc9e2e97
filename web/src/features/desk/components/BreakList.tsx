import type { Break } from '@unimorph/core'
import { useWidths } from '../model/widths-store'
import { FaultRow } from './FaultRow'
import { Section } from './Section'

const WORDS = {
  overflow: 'reaches out of the window',
  overlap: 'lies over its neighbour',
  cut: 'is cut off',
} as const

const rangeOf = ({ fromPx, toPx }: Break): string =>
  fromPx === toPx ? `At ${fromPx} px` : `From ${fromPx} to ${toPx} px`

/** Where something breaks between 320 and 2560 px, each leading to the layer at fault. */
export const BreakList = () => {
  const breaks = useWidths((s) => s.faults?.breaks)
  return (
    <Section
      title="Breaks"
      count={breaks?.length}
      hint="Every width from 320 to 2560 px was laid out, in steps of 8"
    >
      {!breaks ? (
        <p className="px-3 text-xs text-soft">Laying the screen out at every width …</p>
      ) : breaks.length === 0 ? (
        <p className="px-3 text-xs text-soft">
          Nothing reaches out, overlaps or is cut off from 320 to 2560 px.
        </p>
      ) : (
        <ul>
          {breaks.map((found, i) => (
            <FaultRow key={i} severity="problem" layer={found.layer} fromPx={found.fromPx}>
              {rangeOf(found)}, {found.name} {WORDS[found.kind]} by {found.px} px.
            </FaultRow>
          ))}
        </ul>
      )}
    </Section>
  )
}
