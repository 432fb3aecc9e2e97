import { layerOfNode } from '@unimorph/core'
import { useDesk } from '../model/desk-store'
import { useStage } from '../model/stage-store'
import { useWidths } from '../model/widths-store'
import { Section } from './Section'
import { SeverityMark } from './SeverityMark'

/** What a designer would mark at widths that were not drawn, each leading to the layer and the width. */
export const MarkList = () => {
  const select = useDesk((s) => s.select)
  const set = useStage((s) => s.set)
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
            <li key={`${mark.kind} ${mark.layer}`}>
              <button
                type="button"
                title={mark.why}
                onClick={() => {
                  select([layerOfNode(mark.layer)])
                  set({ width: mark.atPx[0]! })
                }}
                className="flex w-full items-baseline gap-1 px-3 py-1 text-left text-xs hover:bg-tint"
              >
                <SeverityMark severity="doubt" />
                <span>
                  {mark.title}: {mark.name}, at {mark.atPx.join(', ')} px.
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </Section>
  )
}
