import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'
import { useStage } from '../model/stage-store'

const VIEWS = [
  { value: 'both', label: 'Both' },
  { value: 'design', label: 'Design' },
  { value: 'result', label: 'Result' },
  { value: 'strip', label: 'All widths' },
] as const
const ZOOMS = [
  { value: 'fit', label: 'Fit width' },
  { value: 'whole', label: 'Fit all' },
  ...[0.25, 0.5, 1, 2, 4].map((zoom) => ({ value: `${zoom}`, label: `${zoom * 100} %` })),
]

export const StageTools = () => {
  const screens = useDesk((s) => s.drawn?.screens)
  const screen = useDesk((s) => s.screen)
  const showScreen = useDesk((s) => s.showScreen)
  const { view, zoom, pointer, picks, set } = useStage()
  const current = `${zoom}`
  const zooms = ZOOMS.some((z) => z.value === current)
    ? ZOOMS
    : [...ZOOMS, { value: current, label: `${Math.round(Number(zoom) * 100)} %` }]
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
      <Choice
        label="Show"
        isLabelHidden
        value={view}
        options={VIEWS}
        onChange={(next) => set({ view: next })}
      />
      <Choice
        label="Zoom"
        isLabelHidden
        value={current}
        options={zooms}
        onChange={(next) => set({ zoom: next === 'fit' || next === 'whole' ? next : Number(next) })}
      />
      <Button
        aria-pressed={pointer === 'text'}
        onClick={() => set({ pointer: pointer === 'text' ? 'layers' : 'text' })}
        title="Select and copy text of the design instead of layers (T)"
      >
        Text
      </Button>
      <Button
        aria-pressed={!picks}
        onClick={() => set({ picks: !picks })}
        title="Use the page: clicks follow links instead of selecting"
      >
        Use
      </Button>
    </>
  )
}
