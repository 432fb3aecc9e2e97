import { useStage } from '../model/stage-store'
import { stripWidths, useWidths } from '../model/widths-store'
import { ResultPane } from './ResultPane'

type Props = {
  readonly html: string
  readonly scripts: readonly string[]
  readonly isStale: boolean
  readonly height: number
  readonly laneHeight: number
}

const CAPTION = 40

/** The running result at every width it was drawn for or changes at, at one scale. */
export const WidthStrip = ({ html, scripts, isStale, height, laneHeight }: Props) => {
  const report = useWidths((s) => s.report)
  const set = useStage((s) => s.set)
  if (!report) return <p className="p-4 text-soft">Finding the widths at which it changes …</p>
  const scale = Math.min(0.5, Math.max(0.18, (laneHeight - 2 * CAPTION) / Math.max(height, 900)))
  const drawn = new Set(report.artboards.map((artboard) => artboard.widthPx))
  return (
    <ol aria-label="All widths" className="flex w-max items-start gap-6 p-6">
      {stripWidths(report).map((px) => (
        <li key={px}>
          <button
            type="button"
            title="Look at this width alone"
            onClick={() => set({ width: px, view: 'result' })}
            className="mb-1.5 block rounded-sm px-1 text-xs text-soft tabular-nums hover:bg-tint hover:text-ink"
          >
            {px} px{drawn.has(px) ? ', drawn' : ''}
          </button>
          <ResultPane
            html={html}
            scripts={scripts}
            width={px}
            height={Math.round(Math.min(height, 900))}
            scale={scale}
            picks
            isStale={isStale}
          />
        </li>
      ))}
    </ol>
  )
}
