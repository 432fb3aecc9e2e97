import { convert } from '../../convert.js'
import type { EmittedFile } from '../../emit/shared/emitted-file.js'
import { TARGET_IDS } from '../../emit/index.js'
import { design, frame, text } from '../../testing/design.js'
import { checkDelivered } from './index.js'

const file = (path: string, content: string, spans: EmittedFile['spans'] = []): EmittedFile => ({
  path,
  content: { kind: 'text', text: content },
  spans,
})
const page = (body: string): string =>
  `<!doctype html>\n<html>\n<body>\n${body}\n</body>\n</html>\n`
const faultsOf = (...files: EmittedFile[]): readonly string[] =>
  checkDelivered(files).map(({ message }) => message)

test('an import of a file that is not there, with its line', () => {
  const app = file('src/App.tsx', "import { Card } from './Card'\nimport { Row } from './Row'\n")
  expect(faultsOf(app, file('src/Card.tsx', ''))).toEqual([
    'src/App.tsx, line 2: imports ./Row, which is no file of the project.',
  ])
})

test.each([
  ['src/App.vue', "import Row from './Row.vue'"],
  ['src/app.ts', "const later = () => import('./later')"],
  ['src/main.ts', "import './styles.css'"],
  ['lib/home.dart', "import 'row.dart';"],
])('%s: %s', (path, content) => {
  expect(faultsOf(file(path, content))).toHaveLength(1)
})

test('packages are not files', () => {
  expect(
    faultsOf(
      file('src/App.tsx', "import { useState } from 'react'"),
      file('lib/home.dart', "import 'package:flutter/material.dart';"),
    ),
  ).toEqual([])
})

test('an id that a page has twice, and one that it does not have', () => {
  const body = '<label for="name">Name</label>\n<input id="nam" />\n<p id="nam">Twice</p>'
  expect(faultsOf(file('index.html', page(body)))).toEqual([
    'index.html, line 6: has the id nam twice.',
    'index.html, line 4: says for="name", and no element has that id.',
  ])
})

test('text that looks like code is no code', () => {
  expect(faultsOf(file('index.html', page('<p>for="nobody"</p>')))).toEqual([])
})

test('the layer is named whose code it is', () => {
  const content = page('<label for="name">Name</label>')
  const at = content.indexOf('<label')
  const spans = [
    { layer: 'form', start: 0, end: content.length },
    { layer: 'label', start: at, end: at + 10 },
  ]
  expect(checkDelivered([file('index.html', content, spans)])[0]?.where).toEqual({
    file: 'index.html',
    layer: 'label',
  })
})

test.each(TARGET_IDS)('%s: what is delivered has no fault', (target) => {
  const made = convert(design([frame('page', [text('title', 'Low water')])]), [], { target })
  if (!made.ok) throw new Error('not converted')
  expect(checkDelivered(made.value.files)).toEqual([])
})
