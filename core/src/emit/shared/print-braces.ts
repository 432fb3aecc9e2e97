import { concat, ifBreak, indent, join, line, type Doc } from './document.js'

/** `{ a, b }`, or each on a line of its own, where the group around it breaks; `sign` stands between them. */
export const printBraces = (things: readonly Doc[], sign = ','): Doc =>
  concat([
    '{',
    indent(concat([line, join(concat([sign, line]), things)])),
    ifBreak(sign, ''),
    line,
    '}',
  ])
