import fc from 'fast-check'
import { convert, readDesign } from '@unimorph/core'
import type { Box } from './box.js'
import { layOutScreen } from './lay-out-app.js'
import { readProgram } from './program.js'
import type { Syntax } from './syntax.js'
import { createDartParser } from './testing.js'

// Whatever a text of a design says, the app shows it, and runs nothing of it.

let parse: (code: string) => Syntax
beforeAll(async () => {
  parse = await createDartParser()
})

/** The texts of the app that a design with these texts becomes. */
const shownOf = (texts: readonly string[]): readonly string[] => {
  const read = readDesign({
    format: 'unimorph-design',
    version: 1,
    name: texts[0],
    screens: [
      {
        type: 'frame',
        key: 'home',
        name: 'Home',
        box: { x: 0, y: 0, width: 400, height: 40 * texts.length },
        layout: { kind: 'column' },
        children: texts.map((text, i) => ({
          type: 'text',
          key: `t${String(i)}`,
          name: text,
          box: { x: 0, y: 40 * i, width: 400, height: 24 },
          style: { family: 'Inter', size: 16, lineHeight: 24, color: '#112233' },
          runs: [{ text }],
        })),
      },
    ],
  })
  if (!read.ok) throw new Error(JSON.stringify(read.notes))
  const result = convert(read.value, [], { target: 'flutter' })
  if (!result.ok) throw new Error(JSON.stringify(result.notes))
  const files = result.value.files.flatMap(({ path, content }) =>
    /^lib\/(?!shared).*\.dart$/.test(path) && content.kind === 'text' ? [parse(content.text)] : [],
  )
  const shown: string[] = []
  const look = ({ paint, children }: Box): void => {
    const words = paint?.lines?.flatMap(({ pieces }) => pieces.map(({ text }) => text))
    if (words) shown.push(words.join(''))
    for (const { box } of children) look(box)
  }
  look(layOutScreen(readProgram(files), 'Home', 400))
  return shown
}

/** Without what lines are broken at, and without what no font draws. */
const plain = (text: string): string => text.replace(/[\s\p{C}]/gu, '')

const HOSTILE = [
  '${1 + 1}',
  '$name and $$',
  "it's 'quoted'",
  '"double" and `ticks`',
  '\'\'\' three """ each',
  'back\\slash \\n \\u0041 \\',
  "'); exit(0); //",
  '/* comment */ // and another',
  '{{ 1+1 }} {x}',
  '<script>alert(1)</script>',
  '&amp; &lt;b&gt; &#x41;',
  ']]> --> */',
  '日本語 עברית 👩‍👩‍👧 é',
  '__proto__ constructor',
  '#{ruby} %s %d',
]

test.each(HOSTILE.map((text) => [text]))('%j is shown as it is', (text) => {
  expect(shownOf([text]).map(plain)).toEqual([plain(text)])
})

test('any texts are shown as they are, in their order (seed 8)', () => {
  const text = fc
    .oneof(fc.string({ unit: 'binary' }), fc.string(), fc.constantFrom(...HOSTILE))
    .filter((one) => plain(one) !== '')
  const seed = Number(process.env['TEST_SEED'] ?? 8)
  fc.assert(
    fc.property(fc.array(text, { minLength: 1, maxLength: 4 }), (texts) => {
      expect(shownOf(texts).map(plain).join('')).toBe(texts.map(plain).join(''))
    }),
    { seed, numRuns: process.env['TEST_DEEP'] ? 2000 : 100 },
  )
})
