import { useDesk } from '../model/desk-store'
import { useFollowDrawing } from '../model/use-follow-drawing'
import { useWidths } from '../model/widths-store'
import { ArtboardsCard } from './ArtboardsCard'
import { BreakList } from './BreakList'
import { MarkList } from './MarkList'
import { LayerWidths } from './LayerWidths'
import { MatchList } from './MatchList'
import { WidthReadings } from './WidthReadings'

/** Keeps what is known of widths true to the screen as drawn. */
export const useWidthReport = (): void => {
  useFollowDrawing(
    useWidths.getState(),
    useDesk((s) => s.drawn),
    useDesk((s) => s.screen),
  )
}

/** How the shown screen is at every width: what was drawn, what was read, what breaks, and what a person says. */
export const WidthTab = () => {
  const report = useWidths((s) => s.report)
  if (!report) return <p className="p-3 text-xs text-soft">Reading how the screen gives way …</p>
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="min-h-0 flex-1 overflow-auto">
        <ArtboardsCard report={report} />
        <BreakList />
        <MarkList />
        <WidthReadings report={report} />
        <MatchList report={report} />
      </div>
      <LayerWidths report={report} />
    </div>
  )
}
