import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'
import type { StageView } from './Stage'

export type Zoom = 'fit' | '0.25' | '0.5' | '1'

const VIEWS = [
  { value: 'both', label: 'Both' },
  { value: 'design', label: 'Design' },
  { value: 'result', label: 'Result' },
] as const
const ZOOMS = [
  { value: 'fit', label: 'Fit width' },
  { value: '0.25', label: '25 %' },
  { value: '0.5', label: '50 %' },
  { value: '1', label: '100 %' },
] as const

type Props = {
  readonly view: StageView
  readonly onView: (view: StageView) => void
  readonly zoom: Zoom
  readonly onZoom: (zoom: Zoom) => void
  readonly picks: boolean
  readonly onPicks: (picks: boolean) => void
}

export const StageTools = ({ view, onView, zoom, onZoom, picks, onPicks }: Props) => {
  const screens = useDesk((s) => s.drawn?.screens)
  const screen = useDesk((s) => s.screen)
  const showScreen = useDesk((s) => s.showScreen)
  return (
    <>
      {screens && screens.length > 1 && screen && (
        <Choice
          label="Screen"
          isLabelHidden
          value={screen}
          options={screens.map((s) => ({
            value: s.key,
            label: s.name,
            hint: `${Math.round(s.width)}`,
          }))}
          onChange={showScreen}
        />
      )}
      <Choice label="Show" isLabelHidden value={view} options={VIEWS} onChange={onView} />
      <Choice label="Zoom" isLabelHidden value={zoom} options={ZOOMS} onChange={onZoom} />
      <Button
        aria-pressed={!picks}
        onClick={() => onPicks(!picks)}
        title="Use the page: follow its links in place of selecting"
      >
        Use
      </Button>
    </>
  )
}
