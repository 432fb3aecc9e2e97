import {
  concat,
  either,
  fill,
  group,
  hardline,
  ifBreak,
  indent,
  join,
  line,
  settledSoftline,
  softline,
  span,
  type Doc,
} from './document.js'
import { printDocument } from './print-document.js'

const print = (doc: Doc, width = 20): string => printDocument(doc, width).text

const call = (...args: string[]): Doc =>
  group(concat(['f(', indent(concat([softline, join(concat([',', line]), args)])), softline, ')']))

describe('groups', () => {
  test('stay on one line when they fit', () => {
    expect(print(call('a', 'b'))).toBe('f(a, b)')
  })

  test('break all their own lines when they do not', () => {
    expect(print(call('aaaaaaaa', 'bbbbbbbbbb'))).toBe('f(\n  aaaaaaaa,\n  bbbbbbbbbb\n)')
  })

  test('inside a broken group are judged for themselves', () => {
    const inner = call('a', 'b')
    expect(
      print(
        group(
          concat([
            'outer(',
            indent(concat([softline, inner, ',', line, 'cccccccccccc'])),
            softline,
            ')',
          ]),
        ),
      ),
    ).toBe('outer(\n  f(a, b),\n  cccccccccccc\n)')
  })

  test('count what follows up to the next possible break', () => {
    expect(print(concat([call('aaaaaa', 'bbbbbb'), ' + tail']))).toBe(
      'f(\n  aaaaaa,\n  bbbbbb\n) + tail',
    )
  })

  test('are broken by a hard line inside', () => {
    expect(print(group(concat(['a', line, 'b', hardline, 'c'])))).toBe('a\nb\nc')
  })

  test('can be asked for by name', () => {
    const id = { name: 'g' }
    const doc = (word: string): Doc =>
      concat([group(concat([word, line, 'x']), { id }), ifBreak('!', '?', id)])
    expect(print(doc('short'))).toBe('short x?')
    expect(print(doc('a-very-very-long-word'))).toBe('a-very-very-long-word\nx!')
  })
})

test('fill puts as much on a line as fits', () => {
  const words = 'one two three four five six'.split(' ')
  expect(print(fill(words.flatMap((w, i) => (i === 0 ? [w] : [line, w]))), 12)).toBe(
    'one two\nthree four\nfive six',
  )
})

test('either takes the second when the first does not fit', () => {
  const doc = either('short form', concat(['long', hardline, 'form']))
  expect(print(doc, 20)).toBe('short form')
  expect(print(doc, 8)).toBe('long\nform')
})

test('no space is left at the end of a line', () => {
  expect(print(concat(['a ', hardline, 'b']))).toBe('a\nb')
})

test('after a settled break the next group is measured with what follows it', () => {
  const word = either('<b>bold</b>', concat(['<b>', hardline, 'bold', hardline, '</b>']))
  const parts = (separator: Doc): Doc =>
    fill(['words', separator, word, ifBreak(concat(['{space}', softline]), ' '), 'and more'])
  expect(print(parts(softline), 15)).toBe('words\n<b>bold</b>{space}\nand more')
  expect(print(parts(settledSoftline), 15)).toBe('words\n<b>\nbold\n</b>{space}\nand more')
})

test('spans say where each layer ended up', () => {
  const { text, spans } = printDocument(
    span(
      'outer',
      group(concat(['<a>', indent(concat([hardline, span('inner', 'text')])), hardline, '</a>'])),
    ),
    20,
  )
  expect(text).toBe('<a>\n  text\n</a>')
  expect(spans.map(({ layer, start, end }) => [layer, text.slice(start, end)])).toEqual([
    ['inner', 'text'],
    ['outer', '<a>\n  text\n</a>'],
  ])
})

test('wide characters take two columns', () => {
  expect(print(group(concat(['漢字漢字', line, 'x'])), 9)).toBe('漢字漢字\nx')
  expect(print(group(concat(['éééé', line, 'x'])), 9)).toBe('éééé x')
})
