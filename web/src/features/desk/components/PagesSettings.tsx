import type { Grain } from '@unimorph/core'
import { useDesk } from '../model/desk-store'

const LABELS: Readonly<Record<Grain, string>> = {
  page: 'one file per page',
  sections: 'split by section',
  fine: 'split finer',
}

/** How finely long pages are cut into files, and whether there is a page of all components. */
export const PagesSettings = () => {
  const grain = useDesk((s) => s.settings.grain ?? 'sections')
  const library = useDesk((s) => s.settings.library)
  const changeSettings = useDesk((s) => s.changeSettings)
  return (
    <div className="flex shrink-0 flex-col gap-1.5 border-b border-rule px-3 py-1.5 text-xs">
      <label className="flex items-center gap-1.5">
        Long pages
        <select
          value={grain}
          onChange={(event) => changeSettings({ grain: event.target.value as Grain })}
          className="h-6 min-w-0 flex-1 rounded-sm border border-rule bg-sheet px-1 text-xs"
        >
          {Object.entries(LABELS).map(([value, label]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </select>
      </label>
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          checked={library !== undefined}
          onChange={(event) =>
            changeSettings({ library: event.target.checked ? 'page' : undefined })
          }
        />
        Add a page with every variant of every component
      </label>
    </div>
  )
}
