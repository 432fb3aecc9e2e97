import { convert } from '../../convert.js'
import type { EmittedFile } from '../../emit/shared/emitted-file.js'
import { TARGET_IDS } from '../../emit/index.js'
import { design, frame, text } from '../../testing/design.js'
import { layerOfLine } from '../../emit/shared/layer-at.js'
import { checkDelivered, faultNotes } from './index.js'

const file = (path: string, content: string, spans: EmittedFile['spans'] = []): EmittedFile => ({
  path,
  content: { kind: 'text', text: content },
  spans,
})
const page = (body: string): string =>
  `<!doctype html>\n<html>\n<body>\n${body}\n</body>\n</html>\n`
const faultsOf = async (...files: EmittedFile[]): Promise<readonly string[]> =>
  faultNotes(await checkDelivered(files)).map(({ message }) => message)

test('an import of a file that is not there, with its line', async () => {
  const app = file('src/App.tsx', "import { Card } from './Card'\nimport { Row } from './Row'\n")
  expect(await faultsOf(app, file('src/Card.tsx', ''))).toEqual([
    'src/App.tsx, line 2: imports ./Row, which is no file of the project.',
  ])
})

test('a file of the codebase may be imported', async () => {
  const app = file('src/App.tsx', "import { Row } from './house/Row'\n")
  const inCodebase = (path: string): boolean => path === 'src/house/Row.tsx'
  expect(await checkDelivered([app], inCodebase)).toEqual([])
  expect(await checkDelivered([app])).toHaveLength(1)
})

test.each([
  ['src/App.vue', "import Row from './Row.vue'"],
  ['src/app.ts', "const later = () => import('./later')"],
  ['src/main.ts', "import './styles.css'"],
  ['lib/home.dart', "import 'row.dart';"],
])('%s: %s', async (path, content) => {
  expect(await faultsOf(file(path, content))).toHaveLength(1)
})

test('packages are not files', async () => {
  expect(
    await faultsOf(
      file('src/App.tsx', "import { useState } from 'react'"),
      file('lib/home.dart', "import 'package:flutter/material.dart';"),
    ),
  ).toEqual([])
})

test('an id that a page has twice, and one that it does not have', async () => {
  const body = '<label for="name">Name</label>\n<input id="nam" />\n<p id="nam">Twice</p>'
  expect(await faultsOf(file('index.html', page(body)))).toEqual([
    'index.html, line 6: has the id nam twice.',
    'index.html, line 4: says for="name", and no element has that id.',
  ])
})

test.each([
  ['src/App.tsx', 'export const App = () => <p>{</p>;\n', 1, 'cannot be parsed'],
  ['src/list.ts', 'export const list = [\n  1,\n  2;\n', 3, 'cannot be parsed'],
  ['package.json', '{ "name": }', 1, 'is no JSON'],
  ['styles.css', 'p { color: red }\na { } }', 2, 'closes a block, and none is open'],
  ['src/index.scss', '@media (width > 40rem) {\n  a {', 1, 'opens a block and never closes it'],
  ['src/Row.vue', '<script setup>\nconst a = ;\n</script>', 2, 'cannot be parsed'],
  ['src/Row.vue', '<template>\n  <p>Tide\n</template>', 3, 'closes template, and p is open'],
  ['src/app/row.html', '@if (a > b) {\n<li>Low</li></ul>\n}', 2, 'closes ul, and nothing is open'],
  ['index.html', page('<div><p>Low</p>'), 5, 'closes body, and div is open'],
])('%s that cannot be parsed, with its line', async (path, content, line, what) => {
  const [first] = await checkDelivered([file(path, content)])
  expect(first).toMatchObject({ path, line, what: expect.stringContaining(what) as string })
})

test.each([
  ['src/a.vue', '<template>\n  <Row v-if="a > b" :on="() => c" />\n</template>'],
  ['src/a.html', '<!-- <p> -->\n<br /><img alt="a > b" />\n<script>\n  1 < 2\n</script>'],
  ['src/a.tsx', 'export const A = <T,>(x: T) => <p title="<b>">{x as string}</p>;'],
  ['src/styles.css', '@theme { --color-sea: #123456 }\n@utility row { @apply flex }'],
  ['src/a.css', '/* } */ a { content: "}"; &:hover { color: red } }'],
])('%s: signs that look like tags are none', async (path, content) => {
  expect(await checkDelivered([file(path, content)])).toEqual([])
})

test('the layer of a line', () => {
  const content = '<main>\n  <p>Tide</p>\n</main>\n'
  const spans = [{ layer: 'tide', start: 9, end: 20 }]
  expect(layerOfLine(file('index.html', content, spans), 2)).toBe('tide')
  expect(layerOfLine(file('index.html', content, spans), 3)).toBeUndefined()
})

test('text that looks like code is no code', async () => {
  expect(await faultsOf(file('index.html', page('<p>for="nobody"</p>')))).toEqual([])
})

test('the layer is named whose code it is', async () => {
  const content = page('<label for="name">Name</label>')
  const at = content.indexOf('<label')
  const spans = [
    { layer: 'form', start: 0, end: content.length },
    { layer: 'label', start: at, end: at + 10 },
  ]
  expect(await checkDelivered([file('index.html', content, spans)])).toMatchObject([
    { path: 'index.html', line: 4, layer: 'label' },
  ])
})

test.each(TARGET_IDS)('%s: what is delivered has no fault', async (target) => {
  const made = convert(design([frame('page', [text('title', 'Low water')])]), [], { target })
  if (!made.ok) throw new Error('not converted')
  expect(await checkDelivered(made.value.files)).toEqual([])
})
