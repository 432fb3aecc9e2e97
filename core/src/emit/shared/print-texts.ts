import { concat, group, ifBreak, indent, join, line, softline, type Doc } from './document.js'

/** Texts, in quotes already, as a list: on one line where they fit, else each on its own. */
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
