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
