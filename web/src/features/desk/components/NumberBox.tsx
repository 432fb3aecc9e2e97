type Props = {
  /** Said to those who cannot see what stands beside it. */
  readonly label: string
  readonly value: number
  readonly unit?: string
  readonly least?: number
  readonly most?: number
  readonly step?: number
  readonly onChange: (value: number) => void
}

/** A figure within limits; it counts once it is entered, and an unsound one is put back. */
export const NumberBox = ({
  label,
  value,
  unit,
  least = 0,
  most = Infinity,
  step = 1,
  onChange,
}: Props) => (
  <span className="flex items-center gap-1">
    <input
      type="number"
      aria-label={unit === undefined ? label : `${label}, ${unit}`}
      key={value}
      defaultValue={value}
      min={least}
      {...(Number.isFinite(most) ? { max: most } : {})}
      step={step}
      onBlur={({ target }) => {
        const next = target.valueAsNumber
        if (!Number.isFinite(next) || next < least || next > most) target.value = String(value)
        else if (next !== value) onChange(next)
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      className="h-6 w-16 rounded-sm border border-rule bg-sheet px-1.5 tabular-nums"
    />
    {unit !== undefined && <span className="text-soft">{unit}</span>}
  </span>
)
