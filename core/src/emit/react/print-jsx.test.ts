import { code, text, type MarkupElement } from '../shared/markup.js'
import { printDocument } from '../shared/print-document.js'
import { printReturnedJsx } from './print-jsx.js'

const print = (attributes: MarkupElement['attributes']): string => {
  const element: MarkupElement = {
    kind: 'element',
    tag: 'div',
    content: 'blocks',
    attributes,
    children: [],
  }
  return printDocument(printReturnedJsx(element), 80).text
}

test('attributes that are numbers are written as numbers, all others as texts', () => {
  expect(print([text('aria-valuenow', '20'), text('width', '20')])).toBe(
    '<div aria-valuenow={20} width="20" />',
  )
  expect(print([text('aria-level', '2'), code('tabIndex', '-1')])).toBe(
    '<div aria-level={2} tabIndex={-1} />',
  )
})
