import type { Doc } from '../shared/document.js'
import type { Attribute } from '../shared/markup.js'
import { printRecords, printTexts } from '../shared/print-texts.js'
import { quoteString } from './quote-string.js'

/** What a component is given, as a value in code. */
export const printValue = (given: Attribute): Doc => {
  switch (given.kind) {
    case 'text':
      return quoteString(given.text)
    case 'list':
      return printTexts(given.texts.map(quoteString))
    case 'records':
      return printRecords(
        given.fields,
        given.rows.map((values) => values.map(quoteString)),
      )
    case 'markup':
      return quoteString(given.nodes.map((one) => (one.kind === 'text' ? one.text : '')).join(''))
    case 'classes':
      return quoteString(given.base)
    case 'code':
    case 'spread':
      return given.code
  }
}
