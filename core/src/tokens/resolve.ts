import type { Token } from '../design/token.js'

/** A token's value in a mode with aliases followed; undefined when it has none. */
export const resolveTokenValue = (
  tokens: ReadonlyMap<string, Token>,
  token: Token,
  mode: string,
): unknown => {
  const seen = new Set<string>()
  let current = token
  for (;;) {
    if (seen.has(current.name)) return undefined
    seen.add(current.name)
    const values = current.values as Readonly<Record<string, unknown>>
    const value = values[mode] ?? Object.values(values)[0]
    if (typeof value !== 'string' || !value.startsWith('{')) return value
    const next = tokens.get(value.slice(1, -1))
    if (!next) return undefined
    current = next
  }
}

/** A token whose values of one mode are those of another name. */
export const renameMode = (token: Token, from: string, to: string): Token =>
  ({
    ...token,
    values: Object.fromEntries(
      Object.entries(token.values).map(([mode, value]) => [mode === from ? to : mode, value]),
    ),
  }) as Token
