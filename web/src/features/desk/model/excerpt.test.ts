import { excerpt } from './excerpt'

const of = (code: string): string => excerpt(code, { start: 0, end: code.length })

test('code that was set in stands by itself', () => {
  const text = '    <Action>\n      Log a sighting\n    </Action>\n'
  const at = { start: 4, end: text.length - 1 }
  expect(excerpt(text, at)).toBe('<Action>\n  Log a sighting\n</Action>')
})

test('empty lines have no room to lose', () => {
  expect(of('a {\n\n    b\n  }')).toBe('a {\n\n  b\n}')
})

test('what is long ends early, and says so', () => {
  const lines = of(Array.from({ length: 40 }, (_, i) => `line ${i}`).join('\n')).split('\n')
  expect(lines).toHaveLength(15)
  expect(lines.slice(-2)).toEqual(['line 13', '…'])
})
