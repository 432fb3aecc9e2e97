type Props = {
  readonly label: string
  readonly values: readonly string[]
  readonly value: string
  /** What chooses none of them; absent where one has to be chosen. */
  readonly none?: string
  readonly onChange: (value: string) => void
}

/** One value of a variant or a switch; what the design no longer has stays, as long as it is chosen. */
export const VariantSelect = ({ label, values, value, none, onChange }: Props) => (
  <select
    aria-label={label}
    className="h-6 max-w-40 rounded-sm border border-rule bg-sheet px-1"
    value={value}
    onChange={({ target }) => onChange(target.value)}
  >
    {[...new Set([...values, value])].map((one) => (
      <option key={one} value={one}>
        {one === 'true' ? 'on' : one === 'false' ? 'off' : one}
      </option>
    ))}
    {none !== undefined && <option value="">{none}</option>}
  </select>
)
