import type { ReactNode } from 'react'

/** A control with its name before it. */
export const Field = ({
  label,
  children,
}: {
  readonly label: string
  readonly children: ReactNode
}) => (
  <label className="flex items-center gap-1.5">
    <span className="w-16 shrink-0 text-soft">{label}</span>
    {children}
  </label>
)

/** A number that may be left empty; it counts once it is entered. */
export const NumberField = ({
  label,
  value,
  least = 0,
  onChange,
}: {
  readonly label: string
  readonly value: number | undefined
  readonly least?: number
  readonly onChange: (value: number | undefined) => void
}) => (
  <Field label={label}>
    <input
      type="number"
      min={least}
      key={value}
      defaultValue={value}
      placeholder="unchanged"
      onBlur={(event) => {
        const next = event.target.value === '' ? undefined : event.target.valueAsNumber
        const isSound = next === undefined || (Number.isFinite(next) && next >= least)
        if (isSound && next !== value) onChange(next)
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      className="h-6 min-w-0 flex-1 rounded-sm border border-rule bg-sheet px-1.5 tabular-nums"
    />
  </Field>
)
