import type { TokenType } from '../design/token.js'
import type { ThemeToken } from '../ui/theme.js'
import { nameDartTokens } from './flutter/theme.js'
import { NAMESPACE, nameTokens } from './styling/tailwind/token-names.js'

/** The classes that a token is written as, by its type; `*` stands for its name. */
const CLASSES: Readonly<Record<TokenType, readonly string[]>> = {
  border: [],
  color: ['bg-*', 'text-*', 'border-*'],
  space: ['p-*', 'gap-*', 'm-*'],
  radius: ['rounded-*'],
  shadow: ['shadow-*'],
  type: ['text-*'],
}

/** How a token is written in code that uses the theme. */
export type TokenCode = {
  /** As a value of CSS. */
  readonly variable: string
  /** As classes of Tailwind. */
  readonly classes: readonly string[]
  /** As Dart; undefined for what Flutter has no place for. */
  readonly dart: string | undefined
}

/** How the tokens of a design are written, by their names. */
export const codeOfTokens = (
  tokens: readonly Pick<ThemeToken, 'name' | 'type'>[],
): ReadonlyMap<string, TokenCode> => {
  const names = nameTokens(tokens)
  const dart = nameDartTokens(tokens)
  return new Map(
    tokens.map(({ name, type }) => {
      const slug = names.get(name)!
      const classes = CLASSES[type].map((one) => one.replace('*', slug))
      const variable = `var(--${NAMESPACE[type]}-${slug})`
      return [name, { variable, classes, dart: dart.get(name) }]
    }),
  )
}
