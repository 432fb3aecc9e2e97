import { useState } from 'react'
import type { WidthDifference } from '@unimorph/core'
import type { WidthAnswer } from '../../../engine/widths'
import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { Field, NumberField } from '../../../shared/ui/NumberField'
import { useDesk } from '../model/desk-store'
import { useStage } from '../model/stage-store'
import { toCodeKeys } from '../model/widths-store'
import { LayerLimits } from './LayerLimits'

type Range = { readonly from: number; readonly below?: number }
type Difference = Partial<Omit<WidthDifference, 'from' | 'below'>>

const idOf = ({ from, below }: Range): string => `${from}-${below ?? ''}`

const labelOf = ({ from, below }: Range): string => {
  if (below === undefined) return from === 0 ? 'every width' : `${from} px and wider`
  return from === 0 ? `below ${below} px` : `${from} to ${below - 1} px`
}

/** All widths, those between two changes, and those a person has named already. */
export const rangesOf = (steps: readonly number[], said: readonly Range[]): Range[] => {
  const between = steps.map((from, i): Range => {
    const below = steps[i + 1]
    return below === undefined ? { from } : { from, below }
  })
  const all = [{ from: 0 }, ...between, ...said]
  return [
    ...new Map(
      all.map(({ from, below }) => {
        const range: Range = below === undefined ? { from } : { from, below }
        return [idOf(range), range] as const
      }),
    ).values(),
  ]
}

const numberOf = (value: unknown): number | undefined =>
  typeof value === 'number' ? value : undefined

/** What is different about the selected layer at some widths, or at all of them. */
export const LayerWidths = ({ report }: { readonly report: WidthAnswer }) => {
  const selection = useDesk((s) => s.selection)
  const details = useDesk((s) => s.details)
  const edit = useDesk((s) => s.edit)
  const screen = useDesk((s) => s.drawn?.screens.find((one) => one.key === s.screen))
  const stageWidth = useStage((s) => s.width)
  const [picked, setPicked] = useState<string>()
  const layer = toCodeKeys(report, selection).at(-1)
  if (!details || layer === undefined) {
    return (
      <p className="border-t border-rule p-3 text-xs text-soft">
        Select a layer to change it at one width or at all widths.
      </p>
    )
  }
  const said = report.said[layer]
  const ranges = rangesOf(report.steps, said?.at ?? [])
  const width = stageWidth ?? screen?.width ?? 1280
  const here = ranges.findLast(
    ({ from, below }) => from <= width && (below === undefined || width < below),
  )
  const range = ranges.find((r) => idOf(r) === picked) ?? here ?? ranges[0]!
  const own: Difference =
    said?.at?.find(({ from, below }) => from === range.from && below === range.below) ?? {}
  const change = (set: Difference): void => void edit({ kind: 'set-at', layer, ...range, set })
  const isText = details.type === 'text'
  return (
    <section
      aria-label="Selected layer at widths"
      className="max-h-[48%] shrink-0 overflow-auto border-t border-ink p-3 text-xs"
    >
      <h3 className="mb-1.5 truncate text-sm font-semibold">{details.name}</h3>
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <Choice
          label="At"
          value={idOf(range)}
          options={ranges.map((r) => ({ value: idOf(r), label: labelOf(r) }))}
          onChange={setPicked}
        />
        {Object.keys(own).length > 0 && (
          <Button
            className="h-6! text-xs"
            onClick={() => void edit({ kind: 'set-at', layer, ...range, set: null })}
          >
            Reset
          </Button>
        )}
      </div>
      <div className="grid grid-cols-2 gap-x-3 gap-y-1">
        <Field label="Shown">
          <input
            type="checkbox"
            checked={own.hidden !== true}
            onChange={(event) => change({ hidden: !event.target.checked })}
            className="accent-settled"
          />
        </Field>
        {!isText && (
          <>
            <Choice
              label="As"
              value={own.direction ?? 'auto'}
              options={[
                { value: 'auto', label: 'unchanged' },
                { value: 'row', label: 'row' },
                { value: 'column', label: 'column' },
              ]}
              onChange={(value) => value !== 'auto' && change({ direction: value })}
            />
            <NumberField
              label="Columns"
              least={1}
              value={own.columns}
              onChange={(columns) => columns !== undefined && change({ columns })}
            />
            <NumberField
              label="Gap"
              value={own.gap}
              onChange={(gap) => gap !== undefined && change({ gap })}
            />
            <NumberField
              label="Padding"
              value={numberOf(own.padding)}
              onChange={(padding) => padding !== undefined && change({ padding })}
            />
          </>
        )}
        {isText && (
          <NumberField
            label="Type size"
            least={1}
            value={own.fontSize}
            onChange={(fontSize) => fontSize !== undefined && change({ fontSize })}
          />
        )}
        <NumberField
          label="Width"
          value={numberOf(own.width)}
          onChange={(px) => px !== undefined && change({ width: px })}
        />
        <NumberField
          label="Height"
          value={numberOf(own.height)}
          onChange={(px) => px !== undefined && change({ height: px })}
        />
        <NumberField
          label="Order"
          value={own.order}
          onChange={(order) => order !== undefined && change({ order })}
        />
      </div>
      <LayerLimits details={details} codeKey={layer} contentMax={said?.contentMax ?? undefined} />
    </section>
  )
}
