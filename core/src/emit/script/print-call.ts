import {
  concat,
  group,
  ifBreak,
  indent,
  join,
  line,
  softline,
  type Doc,
} from '../shared/document.js'

/** `usePage("Today", "Low water");`, with what is given on lines of its own where it is too long for one. */
export const printCall = (head: string, given: readonly Doc[]): Doc =>
  group(
    concat([
      `${head}(`,
      indent(concat([softline, join(concat([',', line]), given), ifBreak(',', '')])),
      softline,
      ');',
    ]),
  )

/** The same with a list as the last that is given, which breaks its lines by itself: `setInput("items", [`. */
export const printCallWithList = (head: string, given: readonly Doc[], list: Doc): Doc =>
  concat([`${head}(`, ...given.flatMap((one) => [one, ', ']), list, ');'])
