import {
  Combobox,
  ComboboxButton,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
} from '@headlessui/react'
import type { CodeComponent } from '@unimorph/core'
import { useState } from 'react'

type Props = {
  readonly components: readonly CodeComponent[]
  readonly value: string | undefined
  readonly onChange: (component: CodeComponent) => void
}

const MOST_SHOWN = 60

/** One of the components of the codebase, found by typing. */
export const ComponentSelect = ({ components, value, onChange }: Props) => {
  const [query, setQuery] = useState('')
  const wanted = query.trim().toLowerCase()
  const shown = components
    .filter(({ name, id }) => `${name} ${id}`.toLowerCase().includes(wanted))
    .slice(0, MOST_SHOWN)
  const current = components.find(({ id }) => id === value) ?? null
  return (
    <Combobox
      value={current}
      onChange={(component: CodeComponent | null) => component && onChange(component)}
      onClose={() => setQuery('')}
    >
      <div className="relative inline-flex">
        <ComboboxInput
          aria-label="Component of the codebase"
          placeholder="Choose a component"
          displayValue={(one: CodeComponent | null) => one?.name ?? ''}
          onChange={(event) => setQuery(event.target.value)}
          className="h-7 w-44 rounded-sm border border-rule bg-sheet px-2 pr-6 font-medium hover:border-ink"
        />
        <ComboboxButton
          className="absolute inset-y-0 right-1 text-soft"
          aria-label="All components"
        >
          ▾
        </ComboboxButton>
      </div>
      <ComboboxOptions
        anchor="bottom start"
        className="z-40 mt-1 max-h-72 w-72 overflow-auto rounded-sm border border-ink bg-sheet py-1 text-xs shadow-md empty:hidden"
      >
        {shown.map((one) => (
          <ComboboxOption
            key={one.id}
            value={one}
            className="px-3 py-1 data-focus:bg-tint data-selected:font-semibold"
          >
            <span className="block">
              {one.name}
              {one.isDeprecated && <span className="ml-2 text-doubt">deprecated</span>}
            </span>
            <span className="block truncate font-mono text-soft">{one.specifier ?? one.path}</span>
          </ComboboxOption>
        ))}
      </ComboboxOptions>
    </Combobox>
  )
}
