import { differenceCiede2000, parse } from 'culori'
import type { CodeToken } from '../../codebase/codebase.js'
import type { Design } from '../../design/design.js'
import type { Token } from '../../design/token.js'
import type { Glossary } from '../glossary.js'
import { assignMost } from '../../math/assign.js'
import { compareNames } from './words.js'

/** So far apart no eye tells two colours apart (CIEDE2000). */
const SAME_COLOR = 0.5

const ROOT_PX = 16

const toPx = (value: string): number | undefined => {
  const [, number, unit] = /^(-?[\d.]+)(px|rem|em)?$/.exec(value) ?? []
  if (number === undefined) return undefined
  return Number(number) * (unit === 'rem' || unit === 'em' ? ROOT_PX : 1)
}

const difference = differenceCiede2000()

/** The value of a token in the first of its modes, names of other tokens followed. */
const valueOf = (token: Token, byName: ReadonlyMap<string, Token>): unknown => {
  const seen = new Set<string>()
  let value: unknown = Object.values(token.values)[0]
  for (;;) {
    const name = typeof value === 'string' ? /^\{(.+)\}$/.exec(value)?.[1] : undefined
    if (name === undefined || seen.has(name)) return value
    seen.add(name)
    const next = byName.get(name)
    value = next && Object.values(next.values)[0]
  }
}

const isSameValue = (value: unknown, token: CodeToken): boolean => {
  if (token.type === 'color' && typeof value === 'string') {
    const [a, b] = [parse(value), parse(token.value)]
    return (
      a !== undefined &&
      b !== undefined &&
      (a.alpha ?? 1) === (b.alpha ?? 1) &&
      difference(a, b) < SAME_COLOR
    )
  }
  return token.type === 'length' && typeof value === 'number' && toPx(token.value) === value
}

/** What the theme of a codebase calls the tokens of a design: those of the same value, by name where several have it. */
export const matchTokens = (
  { tokens }: Design,
  theme: readonly CodeToken[],
  { tokens: said = {} }: Glossary,
): Readonly<Record<string, string>> => {
  const byName = new Map(tokens.map((token) => [token.name, token]))
  const open = tokens.filter(({ name }) => !Object.hasOwn(said, name))
  const taken = new Set(Object.values(said))
  const free = theme.filter(({ name }) => !taken.has(name))
  const worth = open.map((token) => {
    const value = valueOf(token, byName)
    return free.map((one) => (isSameValue(value, one) ? 1 + compareNames(token.name, one.name) : 0))
  })
  const pairs = assignMost(worth)
  return Object.fromEntries(
    open.flatMap((token, i) => {
      const at = pairs[i]
      return at === undefined ? [] : [[token.name, free[at]!.name]]
    }),
  )
}
