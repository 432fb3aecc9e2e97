import { concat, group, indent, line, type Doc } from '../shared/document.js'

/** Behind a name of so few characters a line break would win too little; Prettier leaves such values where they are. */
const SHORT_NAME = 4

/** A property of an object, `place: "…",`, with a long string on a line of its own. */
export const printProperty = (name: string, value: Doc): Doc => {
  const isString = typeof value === 'string' && /^["']/.test(value)
  if (!isString || name.length <= SHORT_NAME) return concat([`${name}: `, value, ','])
  return group(concat([`${name}:`, indent(concat([line, value])), ',']))
}
