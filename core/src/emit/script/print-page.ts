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
import { quoteString } from './quote-string.js'

/** `usePage("Today", "Low water is at 14:32.");` */
export const printPage = (title: string, about: string | undefined): Doc => {
  const given = [title, ...(about === undefined ? [] : [about])].map(quoteString)
  return group(
    concat([
      'usePage(',
      indent(concat([softline, join(concat([',', line]), given), ifBreak(',', '')])),
      softline,
      ');',
    ]),
  )
}
