import type { ScreenSummary } from '@unimorph/core'
import { useObjectAddress } from '../../../shared/lib/use-object-address'

type Props = {
  readonly screen: ScreenSummary
  readonly svg: string
  readonly isTaken: boolean
  /** The screen it is another width of. */
  readonly sameAs: string | undefined
  readonly others: readonly ScreenSummary[]
  readonly onToggle: () => void
  readonly onSameAs: (other: string | undefined) => void
}

/** A screen that was found, with whether it is taken and whether it is one of several widths. */
export const ScreenCard = (props: Props) => {
  const { screen, svg, isTaken, sameAs, others, onToggle, onSameAs } = props
  const address = useObjectAddress(svg)
  return (
    <li
      className={`flex flex-col rounded border bg-paper ${isTaken ? 'border-ink' : 'border-rule'}`}
    >
      <label className="block">
        <span className="block h-28 overflow-hidden rounded-t border-b border-rule bg-white">
          {address && (
            <img src={address} alt="" className={`w-full ${isTaken ? '' : 'opacity-30'}`} />
          )}
        </span>
        <span className="flex items-start gap-2 px-2.5 pt-2">
          <input type="checkbox" checked={isTaken} onChange={onToggle} className="mt-1" />
          <span className="min-w-0">
            <span className="block truncate font-medium" title={screen.name}>
              {screen.name}
            </span>
            <span className="block text-xs text-soft">
              {Math.round(screen.width)} × {Math.round(screen.height)} · {screen.layerCount} layers
            </span>
          </span>
        </span>
      </label>
      <div className="px-2.5 pt-1 pb-2.5">
        {others.length > 0 && (
          <select
            aria-label={`${screen.name}: a screen of its own, or a width of another`}
            value={sameAs ?? ''}
            disabled={!isTaken}
            onChange={(event) => onSameAs(event.target.value || undefined)}
            className="h-6 w-full rounded-sm border border-rule bg-sheet px-1 text-xs"
          >
            <option value="">A screen of its own</option>
            {others.map((other) => (
              <option key={other.key} value={other.key}>
                Another width of {other.name}
              </option>
            ))}
          </select>
        )}
      </div>
    </li>
  )
}
