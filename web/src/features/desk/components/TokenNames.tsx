import { Button } from '../../../shared/ui/Button'
import { useDesk } from '../model/desk-store'
import { useGlossary } from '../model/glossary-store'
import { Section } from './Section'

type Props = { readonly suggested: Readonly<Record<string, string>> }

/** What the theme of the codebase calls the tokens of the design. */
export const TokenNames = ({ suggested }: Props) => {
  const codebase = useDesk((s) => s.codebase)
  const save = useGlossary((s) => s.save)
  if (!codebase) return null
  const said = codebase.glossary.tokens ?? {}
  const open = Object.entries(suggested)
  const rows = Object.entries(said)
  const theme = codebase.codebase.tokens
  const change = (token: string, name: string | undefined): void =>
    void save((glossary) => {
      const { [token]: _before, ...rest } = glossary.tokens ?? {}
      return { ...glossary, tokens: name === undefined ? rest : { ...rest, [token]: name } }
    })
  return (
    <Section title="Tokens" count={rows.length}>
      {open.length > 0 && (
        <div className="flex items-baseline gap-2 px-3 pb-1 text-xs">
          <span className="min-w-0 flex-1 text-doubt">
            {open.length} have the value of one in the theme
          </span>
          <Button
            className="h-6! text-xs"
            onClick={() =>
              void save((glossary) => ({
                ...glossary,
                tokens: { ...glossary.tokens, ...suggested },
              }))
            }
          >
            Use {open.length === 1 ? 'it' : `all ${open.length}`}
          </Button>
        </div>
      )}
      {rows.length === 0 && open.length === 0 && (
        <p className="px-3 text-xs text-soft">
          No token of the design has the value of one in the theme of the codebase.
        </p>
      )}
      <ul>
        {rows.map(([token, name]) => (
          <li key={token} className="flex items-center gap-2 px-3 py-0.5 text-xs">
            <span className="min-w-0 flex-1 truncate font-mono">{token}</span>
            <select
              aria-label={`${token} in the theme`}
              className="h-6 w-36 rounded-sm border border-rule bg-sheet px-1 font-mono"
              value={name}
              onChange={({ target }) =>
                change(token, target.value === '' ? undefined : target.value)
              }
            >
              <option value="">of its own</option>
              {!theme.some((one) => one.name === name) && (
                <option value={name}>{name}, gone</option>
              )}
              {theme.map((one) => (
                <option key={one.name} value={one.name}>
                  {one.name}
                </option>
              ))}
            </select>
          </li>
        ))}
      </ul>
    </Section>
  )
}
