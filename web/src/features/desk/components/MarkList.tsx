import { useWidths } from '../model/widths-store'
import { FaultRow } from './FaultRow'
import { Section } from './Section'

/** What a designer would mark at widths that were not drawn, each leading to the layer and the width. */
export const MarkList = () => {
  const marks = useWidths((s) => s.faults?.marks)
  return (
    <Section
      title="Looks"
      count={marks?.length}
      hint="What a designer would mark at 360, 390, 768, 1024 and 1536 px"
    >
      {!marks ? (
        <p className="px-3 text-xs text-soft">Looking at the usual widths …</p>
      ) : marks.length === 0 ? (
        <p className="px-3 text-xs text-soft">
          Nothing is stretched, cramped, left alone or parted from its title at the usual widths.
        </p>
      ) : (
        <ul>
          {marks.map((mark) => (
            <FaultRow
              key={`${mark.kind} ${mark.layer}`}
              severity="doubt"
              layer={mark.layer}
              fromPx={mark.atPx[0]!}
              hint={mark.why}
            >
              {mark.title}: {mark.name}, at {mark.atPx.join(', ')} px.
            </FaultRow>
          ))}
        </ul>
      )}
    </Section>
  )
}
