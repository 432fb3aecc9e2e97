import {
  concat,
  group,
  hardline,
  ifBreak,
  indent,
  join,
  line,
  softline,
  type Doc,
} from './document.js'
import { printBraces } from './print-braces.js'

/** Things as a list of objects, each on a line where it fits; more than one are never on one line. Values are code. */
export const printRecords = (
  fields: readonly string[],
  rows: readonly (readonly string[])[],
): Doc => {
  if (rows.length === 0) return '[]'
  const objects = rows.map((values) =>
    group(printBraces(fields.map((name, i) => `${name}: ${values[i]!}`))),
  )
  const [only] = objects
  if (rows.length === 1) {
    return group(concat(['[', indent(concat([softline, only!])), ifBreak(',', ''), softline, ']']))
  }
  return concat([
    '[',
    indent(concat([hardline, join(concat([',', hardline]), objects), ','])),
    hardline,
    ']',
  ])
}

/** Values, as code has them, as a list: on one line where they fit, else each on its own. */
export const printTexts = (texts: readonly string[]): Doc =>
  texts.length === 0
    ? '[]'
    : group(
        concat([
          '[',
          indent(concat([softline, join(concat([',', line]), texts)])),
          ifBreak(',', ''),
          softline,
          ']',
        ]),
      )
