import type { TokenRow } from '../../../engine/protocol'

type Props = {
  readonly label: string
  /** What holds without a token. */
  readonly none: string
  readonly tokens: readonly TokenRow[]
  readonly value: string | undefined
  readonly onChange: (token: TokenRow | undefined) => void
}

/** One of the design's tokens, or none. */
export const TokenSelect = ({ label, none, tokens, value, onChange }: Props) => (
  <select
    aria-label={label}
    value={value ?? ''}
    onChange={({ target }) => onChange(tokens.find(({ name }) => name === target.value))}
    className="h-6 min-w-0 flex-1 rounded-sm border border-rule bg-sheet px-1"
  >
    <option value="">{none}</option>
    {tokens.map(({ name }) => (
      <option key={name} value={name}>
        {name}
      </option>
    ))}
  </select>
)
