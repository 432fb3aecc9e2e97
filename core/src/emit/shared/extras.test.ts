import { format } from 'prettier'
import { convert } from '../../convert.js'
import { design, frame, text } from '../../testing/design.js'
import type { TargetId } from '../index.js'
import type { Extra } from '../target.js'
import { withLineBefore } from './with-comment.js'

type Json = Record<string, unknown>
const column = { kind: 'column', gap: 8, padding: 16 }
const paint = (color: string): Json => ({ fills: [{ kind: 'solid', color }] })

const NAMES = ['Gull', 'Whelk */ -- > ``` {{x}}', 'Rope']
const CARDS = NAMES.map((name, i) =>
  frame(
    `card-${i}`,
    [
      text(`title-${i}`, name, {
        style: { family: 'Inter', size: 20, lineHeight: 30, weight: 700, color: '#112233' },
      }),
      text(`line-${i}`, ['Low', 'High', 'Mid'][i]!),
      text(`foot-${i}`, `Seen at ${i + 6}`, {
        style: { family: 'Inter', size: 12, lineHeight: 18, color: '#112233' },
      }),
    ],
    { name: 'Find card */ -->', layout: column, ...paint('#eef1ee') },
  ),
)
const DRAWN = design([frame('page', CARDS, { name: 'Finds', layout: column, ...paint('#ffffff') })])

const emit = (target: TargetId, extras: readonly Extra[]) => {
  const result = convert(DRAWN, [], { target, extras })
  if (!result.ok) throw new Error('not converted')
  return result.value.files
}
const textAt = (files: ReturnType<typeof emit>, end: string): string => {
  const found = files.find(({ path }) => path.endsWith(end))?.content
  return found?.kind === 'text' ? found.text : ''
}

test.each([
  ['react', 'FindCard.tsx', /^\/\*\* .*: in the design 3 times\. \*\/\nexport function FindCard/m],
  ['vue', 'FindCard.vue', /^<!-- .*: in the design 3 times\. -->\n<script setup/],
  ['angular', 'find-card.ts', /^\/\*\* .*: in the design 3 times\. \*\/\n@Component\(/m],
] as const)(
  '%s says at a component what of the design it is, and layers stay found',
  (target, file, comment) => {
    const [plain, commented] = [emit(target, []), emit(target, ['comments'])]
    expect(textAt(plain, file)).not.toMatch(comment)
    expect(textAt(commented, file)).toMatch(comment)
    // Nothing in a name ends the comment.
    expect(textAt(commented, file).match(/\*\/|-->/g)).toHaveLength(1)
    const marked = (files: typeof plain): readonly string[] =>
      files.flatMap(({ content, spans }) =>
        content.kind === 'text'
          ? spans.map(({ start, end }) => content.text.slice(start, end))
          : [],
      )
    expect(marked(commented)).toEqual(marked(plain))
  },
)

test.each([
  ['react', '<FindCard title="Gull" text="Low" foot="Seen at 6" />'],
  ['vue', '<FindCard title="Gull" text="Low" foot="Seen at 6" />'],
  ['flutter', "const FindCard(title: 'Gull', text: 'Low', foot: 'Seen at 6')"],
] as const)('%s shows how a component is used', async (target, example) => {
  expect(textAt(emit(target, []), 'COMPONENTS.md')).toBe('')
  const page = textAt(emit(target, ['examples']), 'COMPONENTS.md')
  expect(page).toContain('the design has 3 of it')
  expect(page.replace(/\s+/g, ' ')).toContain(example)
  expect(page).toBe(await format(page, { parser: 'markdown' }))
})

test.each([
  ['react', 'FindCard.test.tsx', '<FindCard title="Gull" text="Low" foot="Seen at 6" />'],
  [
    'vue',
    'FindCard.test.ts',
    'mount(FindCard, { props: { title: "Gull", text: "Low", foot: "Seen at 6", }, })',
  ],
  ['angular', 'find-card.spec.ts', 'setInput("foot", "Seen at 6")'],
] as const)('%s tests that a component shows what it is given', async (target, file, shows) => {
  expect(textAt(emit(target, []), file)).toBe('')
  const files = emit(target, ['tests'])
  const code = textAt(files, file)
  expect(code.replace(/\s+/g, ' ')).toContain(shows)
  for (const words of ['Gull', 'Low', 'Seen at 6']) expect(code).toContain(`toContain("${words}")`)
  expect(code).toBe(await format(code, { parser: 'typescript' }))
  expect(JSON.parse(textAt(files, 'package.json'))).toMatchObject({
    scripts: { test: expect.any(String) },
    devDependencies: { vitest: expect.any(String) },
  })
})

test.each(['html', 'flutter'] as const)('%s has nothing that could be tested so', (target) => {
  expect(emit(target, ['tests'])).toEqual(emit(target, []))
})

test('a line is put before a place that is there, and nowhere else', () => {
  const file = {
    path: 'a.ts',
    content: { kind: 'text', text: 'one\ntwo\n' },
    spans: [{ layer: 'x', start: 4, end: 7 }],
  } as const
  const changed = withLineBefore(file, 'two', '// of')
  expect(changed.content).toEqual({ kind: 'text', text: 'one\n// of\ntwo\n' })
  expect(changed.spans).toEqual([{ layer: 'x', start: 10, end: 13 }])
  expect(withLineBefore(file, 'three', '// of')).toBe(file)
  expect(withLineBefore(file, 'one', '// of').content).toMatchObject({ text: '// of\none\ntwo\n' })
})
