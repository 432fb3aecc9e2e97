import { layerOfNode, NARROWEST_PX, type Way, type WidthReading } from '@unimorph/core'
import type { KindOfReading, WidthAnswer } from '../../../engine/widths'
import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'
import { useStage } from '../model/stage-store'
import { Section } from './Section'

const WAYS: readonly { readonly value: Way | 'auto'; readonly label: string }[] = [
  { value: 'auto', label: 'Automatic' },
  { value: 'keep', label: 'Stay in a row' },
  { value: 'wrap', label: 'Wrap' },
  { value: 'columns', label: 'Fewer columns' },
  { value: 'stack', label: 'Stack' },
  { value: 'scroll', label: 'Scroll sideways' },
  { value: 'fold', label: 'Fold behind a menu button' },
]
const HAS_WAY = new Set<WidthReading['kind']>(['columns', 'fold', 'scroll', 'stack', 'wrap'])

const Confidence = ({ reading }: { readonly reading: WidthReading }) =>
  reading.isRuling ? (
    <span className="text-settled">yours</span>
  ) : (
    <span className={reading.confidence < 0.8 ? 'text-doubt' : 'text-soft'}>
      {Math.round(reading.confidence * 100)} % sure
    </span>
  )

const Overrule = ({ reading, report }: { reading: WidthReading; report: WidthAnswer }) => {
  const edit = useDesk((s) => s.edit)
  const said = report.said[reading.layer]
  if (reading.kind === 'hold') {
    return said?.contentMax === undefined ? (
      <Button
        className="h-6! text-xs"
        onClick={() => void edit({ kind: 'hold-content', layer: reading.layer, px: null })}
      >
        Remove max width
      </Button>
    ) : (
      <Button
        className="h-6! text-xs"
        onClick={() => void edit({ kind: 'hold-content', layer: reading.layer })}
      >
        Reset
      </Button>
    )
  }
  if (!HAS_WAY.has(reading.kind)) return null
  return (
    <Choice
      label="Instead"
      value={said?.giveWay ?? 'auto'}
      options={WAYS}
      onChange={(way) =>
        void edit({ kind: 'give-way', layer: reading.layer, as: way === 'auto' ? null : way })
      }
    />
  )
}

const ReadingRow = ({ reading, report }: { reading: WidthReading; report: WidthAnswer }) => {
  const selection = useDesk((s) => s.selection)
  const select = useDesk((s) => s.select)
  const set = useStage((s) => s.set)
  const own = layerOfNode(reading.layer)
  const isChosen = selection.includes(own)
  return (
    <li className={`border-l-2 ${isChosen ? 'border-settled bg-tint' : 'border-transparent'}`}>
      <button
        type="button"
        onClick={() => {
          select([own])
          if (reading.belowPx !== undefined)
            set({ width: Math.max(NARROWEST_PX, reading.belowPx - 8) })
        }}
        className="block w-full px-3 py-1 text-left text-xs hover:bg-tint"
      >
        <span className="font-medium">{report.names[reading.layer] ?? own}</span>
        <span className="text-soft">
          {reading.belowPx === undefined ? ': ' : ` below ${reading.belowPx} px: `}
        </span>
        {reading.value}
      </button>
      {isChosen && (
        <div className="flex flex-wrap items-center gap-2 px-3 pb-1.5 text-xs">
          <span className="min-w-0 flex-1 text-soft">
            {reading.isRuling ? 'Set by you' : `Because ${reading.evidence}`};{' '}
            <Confidence reading={reading} />
          </span>
          <Overrule reading={reading} report={report} />
        </div>
      )}
    </li>
  )
}

const KindGroup = ({ kind, report }: { kind: KindOfReading; report: WidthAnswer }) => {
  const readings = report.readings.filter((reading) => reading.kind === kind.kind)
  if (readings.length === 0) return null
  return (
    <Section title={kind.title} count={readings.length} hint={kind.why}>
      <ul>
        {readings.map((reading) => (
          <ReadingRow
            key={`${reading.kind} ${reading.layer} ${reading.belowPx}`}
            reading={reading}
            report={report}
          />
        ))}
      </ul>
    </Section>
  )
}

/** What the program does between and beyond the drawn widths; each can be overruled. */
export const WidthReadings = ({ report }: { readonly report: WidthAnswer }) => {
  if (report.readings.length === 0) {
    return (
      <p className="border-b border-rule p-3 text-xs text-soft">
        The layout as drawn fits every width.
      </p>
    )
  }
  return report.kinds.map((kind) => <KindGroup key={kind.kind} kind={kind} report={report} />)
}
