import { quoteString } from '../script/quote-string.js'
import { escapeText } from '../shared/html-escape.js'

const codeOf = (character: string): string =>
  `\\u${character.charCodeAt(0).toString(16).padStart(4, '0')}`

/** Braces would end or begin code and signs of markup a tag, in quotes or not, so they are written as numbers. */
const withoutSigns = (quoted: string): string => quoted.replace(/[<>&{}@]/g, codeOf)

/** A text in the code of an attribute, whose own quotes are double. */
export const quoteInAttribute = (text: string): string =>
  withoutSigns(
    `'${JSON.stringify(text).slice(1, -1).replaceAll('\\"', '"').replaceAll("'", "\\'")}'`,
  )

/** A text in code between tags. */
export const quoteInWords = (text: string): string => withoutSigns(quoteString(text))

/** Whether a text would be read as code, even when its braces are written as entities. */
export const holdsCode = (text: string): boolean => text.includes('{{')

/** Words between tags: a brace or an @ would begin or end a block. */
export const escapeWords = (text: string): string =>
  escapeText(text).replace(/[{}@]/g, (sign) => `&#${sign.charCodeAt(0)};`)
