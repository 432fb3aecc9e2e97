import type { EmittedFile } from '@unimorph/core'
import { dedent, snippetOf } from './snippet'

const file = (path: string, text: string): EmittedFile => ({
  path,
  content: { kind: 'text', text },
  spans: [],
})

const CARD =
  '    <div className="card card--rust">\n      <b className="card__title">Kelp</b>\n    </div>'
const SHEET = [
  'body {\n  margin: 0;\n}',
  '.card {\n  padding: 1rem;\n\n  &:hover {\n    opacity: 0.5;\n  }\n}',
  '.card__title {\n  font-weight: 700;\n}',
  '.card__other {\n  color: red;\n}',
].join('\n\n')

const whole = (text: string) => ({ start: text.search(/\S/), end: text.length })

test('code that was set in stands by itself', () => {
  expect(dedent('<a>\n\n      b\n    </a>')).toBe('<a>\n\n  b\n</a>')
})

test('a layer is copied with the rules of its classes, and no others', () => {
  const files = [file('src/Card.tsx', CARD), file('src/index.css', `${SHEET}\n`)]
  const text = snippetOf(files, 'src/Card.tsx', whole(CARD))
  expect(text).toBe(
    [
      '<div className="card card--rust">\n  <b className="card__title">Kelp</b>\n</div>',
      '/* CSS */',
      '.card {\n  padding: 1rem;\n\n  &:hover {\n    opacity: 0.5;\n  }\n}',
      '.card__title {\n  font-weight: 700;\n}\n',
    ].join('\n\n'),
  )
})

test('a component that has a sheet of its own is read with that one', () => {
  const code = '<b className={styles.title}>Kelp</b>'
  const files = [
    file('src/Card.tsx', code),
    file('src/index.css', '.title {\n  color: red;\n}\n'),
    file('src/Card.module.css', '.title {\n  color: green;\n}\n'),
  ]
  expect(snippetOf(files, 'src/Card.tsx', whole(code))).toBe(
    `${code}\n\n/* CSS */\n\n.title {\n  color: green;\n}\n`,
  )
})

test('so is one of Vue, in whose file the sheet is', () => {
  const code = '<b :class="$style.title">Kelp</b>'
  const text = `<template>\n  ${code}\n</template>\n\n<style module>\n.title {\n  color: green;\n}\n</style>\n`
  const start = text.indexOf('<b')
  expect(snippetOf([file('A.vue', text)], 'A.vue', { start, end: start + code.length })).toContain(
    '\n.title {\n  color: green;\n}\n',
  )
})

test('utilities have no rules of the project', () => {
  const code = '<b class="font-bold">Kelp</b>'
  const files = [file('index.html', code), file('src/styles.css', '@import "tailwindcss";\n')]
  expect(snippetOf(files, 'index.html', whole(code))).toBe(`${code}\n`)
})
