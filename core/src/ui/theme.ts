import type { Design } from '../design/design.js'
import type { Token } from '../design/token.js'
import { resolveTokenValue } from '../tokens/resolve.js'
import { isSameValue } from './same-value.js'

/** A token with its value in the design's first mode, aliases followed. */
export type ThemeToken = {
  readonly name: string
  readonly type: Token['type']
  readonly value: unknown
  /** Its values in the other modes that have one of their own. */
  readonly modes?: Readonly<Record<string, unknown>>
  /** The design does not name it: it stands in several places, and whatever has its value refers to it. */
  readonly isFound?: boolean
  /** What the theme of the codebase calls it, and the file that has it: that then says what it is in which mode. */
  readonly code?: { readonly name: string; readonly path: string }
}
export type UiTheme = ReadonlyMap<string, ThemeToken>

/** The tokens of a design by name. Takes a checked design: every alias leads somewhere. */
export const buildTheme = (design: Design): UiTheme => {
  const byName = new Map(design.tokens.map((token) => [token.name, token]))
  const [mode, ...others] = design.modes
  return new Map(
    design.tokens.map((token) => {
      const value = resolveTokenValue(byName, token, mode!)
      const modes = others.flatMap((other) => {
        const own = resolveTokenValue(byName, token, other)
        return isSameValue(own, value) ? [] : [[other, own] as const]
      })
      const more = modes.length > 0 ? { modes: Object.fromEntries(modes) } : {}
      return [token.name, { name: token.name, type: token.type, value, ...more }]
    }),
  )
}
