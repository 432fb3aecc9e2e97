import {
  codeOfTokens,
  drawingsOf,
  proposeTokens,
  resolveTokenValue,
  walkLayers,
  type Design,
} from '@unimorph/core'
import type { TokenList, TokenRow } from './protocol'

/** The tokens of a design with their values and how often each is used, and those it could have. */
export const listTokens = (design: Design): TokenList => {
  const byName = new Map(design.tokens.map((token) => [token.name, token]))
  const uses = new Map<string, number>()
  const count = (name: string): void => void uses.set(name, (uses.get(name) ?? 0) + 1)
  for (const root of drawingsOf(design)) {
    walkLayers(root, (layer) => Object.values(layer.tokens ?? {}).forEach(count))
  }
  const first = design.modes[0]!
  const codes = codeOfTokens(design.tokens)
  const tokens = design.tokens.map((token): TokenRow => {
    const values = token.values as Readonly<Record<string, unknown>>
    const alias = values[first] ?? Object.values(values)[0]
    const isAlias = typeof alias === 'string' && alias.startsWith('{')
    return {
      name: token.name,
      type: token.type,
      values: Object.fromEntries(
        design.modes
          .filter((mode, i) => i === 0 || mode in values)
          .map((mode) => [mode, resolveTokenValue(byName, token, mode)]),
      ),
      ...(isAlias ? { alias: alias.slice(1, -1) } : {}),
      useCount: uses.get(token.name) ?? 0,
      code: codes.get(token.name)!,
    }
  })
  return {
    modes: design.modes,
    tokens,
    proposals: proposeTokens(design),
  }
}
