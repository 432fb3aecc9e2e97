import { TARGETS, type TargetId } from '@unimorph/core'
import { useDesk } from '../model/desk-store'

/** Which other target's code is shown beside the code that is run. */
export const BesideSelect = () => {
  const target = useDesk((s) => s.settings.target)
  const beside = useDesk((s) => s.beside)
  const showBeside = useDesk((s) => s.showBeside)
  const others = Object.values(TARGETS).filter(({ id }) => id !== target)
  return (
    <label className="flex items-center gap-1.5 text-soft">
      beside
      <select
        value={beside === target ? '' : (beside ?? '')}
        onChange={(event) => showBeside((event.target.value || undefined) as TargetId | undefined)}
        className="h-6 rounded-sm border border-rule bg-sheet px-1 text-xs text-ink"
      >
        <option value="">nothing</option>
        {others.map(({ id, label }) => (
          <option key={id} value={id}>
            {label}
          </option>
        ))}
      </select>
    </label>
  )
}
