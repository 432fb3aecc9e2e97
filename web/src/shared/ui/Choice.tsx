import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react'

type Option<T> = { readonly value: T; readonly label: string; readonly hint?: string }

type Props<T extends string> = {
  readonly label: string
  readonly value: T
  readonly options: readonly Option<T>[]
  readonly onChange: (value: T) => void
  /** Where room is scarce and the value says enough. */
  readonly isLabelHidden?: boolean
}

/** One of a few things, with its name before it. */
export const Choice = <T extends string>({
  label,
  value,
  options,
  onChange,
  isLabelHidden = false,
}: Props<T>) => (
  <Listbox value={value} onChange={onChange}>
    <ListboxButton className="inline-flex h-7 max-w-52 min-w-0 items-center gap-2 rounded-sm border border-rule bg-sheet px-2.5 whitespace-nowrap hover:border-ink">
      <span className={isLabelHidden ? 'sr-only' : 'text-soft'}>{label}</span>
      <span className="truncate font-medium">
        {options.find((o) => o.value === value)?.label ?? value}
      </span>
      <span aria-hidden className="text-soft">
        ▾
      </span>
    </ListboxButton>
    <ListboxOptions
      anchor="bottom start"
      className="z-40 mt-1 min-w-(--button-width) rounded-sm border border-ink bg-sheet py-1 shadow-md focus:outline-none"
    >
      {options.map((option) => (
        <ListboxOption
          key={option.value}
          value={option.value}
          className="flex items-baseline gap-3 px-3 py-1 data-focus:bg-tint data-selected:font-semibold"
        >
          <span className="flex-1">{option.label}</span>
          {option.hint && <span className="text-xs text-soft">{option.hint}</span>}
        </ListboxOption>
      ))}
    </ListboxOptions>
  </Listbox>
)
