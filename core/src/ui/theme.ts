import type { Design } from '../design/design.js'
import type { Token } from '../design/token.js'
import { resolveTokenValue } from '../tokens/resolve.js'

/** A token with its value in the design's first mode, aliases followed. */
export type ThemeToken = {
  readonly name: string
  readonly type: Token['type']
  readonly value: unknown
}
export type UiTheme = ReadonlyMap<string, ThemeToken>

/** The tokens of a design by name. Takes a checked design: every alias leads somewhere. */
export const buildTheme = (design: Design): UiTheme => {
  const byName = new Map(design.tokens.map((token) => [token.name, token]))
  const mode = design.modes[0]!
  return new Map(
    design.tokens.map((token) => [
      token.name,
      { name: token.name, type: token.type, value: resolveTokenValue(byName, token, mode) },
    ]),
  )
}
