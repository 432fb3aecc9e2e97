import type { LayerType } from '@unimorph/core'
import { Button } from '../../../shared/ui/Button'
import type { Filter } from '../model/outline-rows'

type Props = {
  readonly filter: Filter
  /** Kinds of layers there are. */
  readonly kinds: readonly LayerType[]
  readonly onChange: (filter: Filter) => void
  readonly onUnfold: () => void
  readonly onFold: () => void
}

/** What narrows the outline down: words, a kind, only what is hidden. */
export const OutlineFilter = ({ filter, kinds, onChange, onUnfold, onFold }: Props) => (
  <div className="space-y-1.5 border-b border-rule p-2">
    <input
      type="search"
      aria-label="Find layers by name, kind or text"
      placeholder="Find by name, kind or text"
      value={filter.query}
      onChange={(event) => onChange({ ...filter, query: event.target.value })}
      className="h-7 w-full rounded-sm border border-rule bg-sheet px-2 placeholder:text-soft"
    />
    <div className="flex items-center gap-1.5">
      <select
        aria-label="Kind of layers"
        value={filter.kind}
        onChange={(event) => onChange({ ...filter, kind: event.target.value as Filter['kind'] })}
        className="h-6 min-w-0 flex-1 rounded-sm border border-rule bg-sheet px-1 text-xs"
      >
        <option value="all">All kinds</option>
        {kinds.map((kind) => (
          <option key={kind}>{kind}</option>
        ))}
      </select>
      <Button
        className="h-6! px-1.5! text-xs"
        aria-pressed={filter.onlyHidden}
        onClick={() => onChange({ ...filter, onlyHidden: !filter.onlyHidden })}
      >
        Hidden
      </Button>
      <Button className="h-6! px-1.5! text-xs" onClick={onUnfold} title="Unfold every layer">
        Unfold
      </Button>
      <Button className="h-6! px-1.5! text-xs" onClick={onFold} title="Fold to the main parts">
        Fold
      </Button>
    </div>
  </div>
)
