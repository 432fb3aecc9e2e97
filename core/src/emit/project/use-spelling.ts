import type { UseSpelling } from './build-use.js'
import { code, text, type Attribute } from '../shared/markup.js'
import { quoteString } from '../script/quote-string.js'

/** Values as attributes of components that are given code: texts in quotes, all else as it stands. */
const literal: UseSpelling['literal'] = ({ name }, value) => [
  typeof value === 'string' ? text(name, value) : code(name, String(value)),
]

/** `"solid" | "quiet"` */
const typeOf: UseSpelling['typeOf'] = (type) => {
  switch (type.kind) {
    case 'choice':
      return type.options
        .map((one) => (typeof one === 'string' ? quoteString(one) : String(one)))
        .join(' | ')
    case 'number':
    case 'boolean':
      return type.kind
    default:
      return undefined
  }
}

/** What is heard by `click` on a plain button is heard by `own(event)`; the rest is said as it is. */
const hearing =
  (click: string, own: (event: string) => string): UseSpelling['hear'] =>
  (event, press) =>
    press.map((one): Attribute =>
      one.kind === 'code' && one.name === click ? code(own(event), one.code) : one,
    )

/** How targets in TypeScript give components of the codebase what they are given. */
export const scriptUse = (
  click: string,
  own: (event: string) => string,
  slot: UseSpelling['slot'],
): Omit<UseSpelling, 'tag' | 'address'> => ({ literal, typeOf, hear: hearing(click, own), slot })
