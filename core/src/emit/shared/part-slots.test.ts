import { convert } from '../../convert.js'
import type { Edit } from '../../edits/edit.js'
import { design, frame, layer, text } from '../../testing/design.js'
import type { TargetId } from '../index.js'
import { text as attribute, type MarkupElement } from './markup.js'
import { extractParts } from './parts.js'

type Json = Record<string, unknown>
const column = { kind: 'column', gap: 8, padding: 16 }
const paint = (color: string): Json => ({ fills: [{ kind: 'solid', color }] })

/** A card with a title, a line, and something of its own between them. */
const card = (i: number, content: Json): Json =>
  frame(
    `card-${i}`,
    [
      text(`title-${i}`, ['Kelp', 'Whelks', 'Rope'][i]!, {
        style: { family: 'Inter', size: 20, lineHeight: 30, weight: 700, color: '#112233' },
      }),
      text(`line-${i}`, ['Low', 'High', 'Low'][i]!),
      content,
      text(`foot-${i}`, `Seen at ${i + 6}`, {
        style: { family: 'Inter', size: 12, lineHeight: 18, color: '#112233' },
      }),
    ],
    { name: 'Find card', layout: column, ...paint('#eef1ee') },
  )
const box = (i: number, children: Json[]): Json =>
  frame(`content-${i}`, children, { name: 'Content', layout: { ...column, padding: 0 } })
const picture = layer('rectangle', 'picture', paint('#8fb3b0'))
const DIFFERENT = [
  box(0, [text('a', 'Fresh'), text('b', 'On the fender')]),
  box(1, [
    picture,
    text('c', 'At noon', { style: { family: 'Inter', size: 10, color: '#112233' } }),
  ]),
  box(2, [text('d', 'Found'), text('e', 'At the pier')]),
]
const ALIKE = [0, 1, 2].map((i) => box(i, [text(`n-${i}`, `${i}`), text(`m-${i}`, 'finds')]))

const emit = (contents: Json[], target: TargetId, edits: Edit[] = []) => {
  const page = frame(
    'page',
    contents.map((content, i) => card(i, content)),
    {
      name: 'Finds',
      layout: column,
      ...paint('#ffffff'),
    },
  )
  const result = convert(design([page]), edits, { target })
  if (!result.ok) throw new Error(result.notes.map(({ message }) => message).join('\n'))
  const { files, components } = result.value
  const code = files.map(({ content }) => (content.kind === 'text' ? content.text : '')).join('\n')
  return { components, code }
}
const slotsOf = ({ components }: ReturnType<typeof emit>): readonly string[] =>
  components.flatMap(({ props }) =>
    props.flatMap(({ kind, name }) => (kind === 'slot' ? [name] : [])),
  )

test('what things have nothing in common in is given to their component', () => {
  const made = emit(DIFFERENT, 'react')
  expect(made.components).toHaveLength(1)
  expect(made.components[0]!.uses).toHaveLength(3)
  expect(slotsOf(made)).toEqual(['content'])
  expect(made.code).toContain('content: ReactNode;')
  expect(made.code).toMatch(/content=\{\s*<div/)
})

test.each([
  ['vue', '<slot name="content"></slot>', '<template #content>'],
  ['angular', '<ng-content select="content" />', '<ng-container ngProjectAs="content">'],
  ['flutter', 'final Widget content;', 'content: '],
] as const)('%s has its own words for it', (target, own, use) => {
  const { code } = emit(DIFFERENT, target)
  expect(code).toContain(own)
  expect(code.split(use).length - 1).toBeGreaterThanOrEqual(3)
})

test('a person makes a slot of what is alike, and takes it back', () => {
  expect(slotsOf(emit(ALIKE, 'react'))).toEqual([])
  const slot: Edit = { kind: 'set-part', layers: ['content-0'], as: 'slot' }
  expect(slotsOf(emit(ALIKE, 'react', [slot]))).toEqual(['content'])
  const back: Edit = { kind: 'set-part', layers: ['content-0'], as: null }
  expect(slotsOf(emit(ALIKE, 'react', [slot, back]))).toEqual([])
})

test('of words a person says that only those used may be given', () => {
  const [found] = emit(ALIKE, 'react').components
  const line = found!.props.find((_, i) =>
    found!.uses.every(({ values }) => ['Low', 'High'].includes(String(values[i]))),
  )!
  const said: Edit = {
    kind: 'set-part',
    layers: ['card-0'],
    props: { [line.id]: { type: 'choice' } },
  }
  expect(emit(ALIKE, 'react', [said]).code).toContain(`${line.name}: "Low" | "High";`)
  expect(emit(ALIKE, 'vue', [said]).code).toContain(`${line.name}: "Low" | "High";`)
  expect(emit(ALIKE, 'angular', [said]).code).toContain(`input.required<"Low" | "High">()`)
})

test.each([
  ['react', /count: number;/, /count: 1\b/, /\{count\}/],
  ['vue', /count: number;/, /count: 1\b/, /\{\{ count \}\}/],
  ['angular', /count = input\.required<number>\(\)/, /count: 1\b/, /\{\{ count\(\) \}\}/],
  ['flutter', /final num count;/, /count: 1\b/, /'\$count'/],
] as const)(
  'words that are numbers are given as such where a person says so: %s',
  (target, ...code) => {
    const [found] = emit(ALIKE, target).components
    const number = found!.props.find((_, i) =>
      found!.uses.every(({ values }, at) => values[i] === `${at}`),
    )!
    const said: Edit = {
      kind: 'set-part',
      layers: ['card-0'],
      props: { [number.id]: { type: 'number', name: 'count' } },
    }
    const made = emit(ALIKE, target, [said])
    for (const line of code) expect(made.code).toMatch(line)
  },
)

test('words of which some are no numbers stay words', () => {
  const [found] = emit(ALIKE, 'react').components
  const props = Object.fromEntries(found!.props.map(({ id }) => [id, { type: 'number' } as const]))
  const said: Edit = { kind: 'set-part', layers: ['card-0'], props }
  const typed = emit(ALIKE, 'react', [said]).components[0]!
  const numbers = typed.props.flatMap(({ kind }, i) =>
    kind === 'number' ? typed.uses.map(({ values }) => values[i]) : [],
  )
  expect(numbers).toEqual(['0', '1', '2'])
})

test('classes of what is shown in a slot have rules of their own in plain style sheets', () => {
  const page = frame(
    'page',
    DIFFERENT.map((content, i) => card(i, content)),
    { layout: column },
  )
  const result = convert(design([page]), [], { target: 'react', styling: 'css' })
  if (!result.ok) throw new Error('not converted')
  const textOf = (end: string): string =>
    result.value.files
      .flatMap(({ path, content }) =>
        path.endsWith(end) && content.kind === 'text' ? [content.text] : [],
      )
      .join('\n')
  const used = [...textOf('.tsx').matchAll(/className="([^"]+)"/g)].flatMap(([, names]) =>
    names!.split(' '),
  )
  const sheet = textOf('.css')
  expect(used.filter((name) => !sheet.includes(`.${name}`))).toEqual([])
})

test('what a button does is one of the words that buttons know', () => {
  const row = (type: string, i: number): MarkupElement => ({
    kind: 'element',
    tag: 'div',
    content: 'blocks',
    part: 'row',
    layer: `row-${i}`,
    attributes: [],
    children: [
      {
        kind: 'element',
        tag: 'button',
        content: 'text',
        attributes: [attribute('type', type)],
        children: [{ kind: 'text', text: 'Go' }],
      },
    ],
  })
  const root: MarkupElement = {
    kind: 'element',
    tag: 'main',
    content: 'blocks',
    attributes: [],
    children: ['submit', 'button', 'submit'].map(row),
  }
  const part = {
    id: 'row',
    name: 'Row',
    origin: { kind: 'found' },
    instances: [],
    confidence: 1,
    evidence: [],
    saved: 1,
  } as const
  const { components } = extractParts([root], [part], {
    propertyOf: () => undefined,
    switchOf: () => undefined,
    isSlot: () => false,
    nameOf: () => undefined,
    variantOf: () => ({}),
    isPlacing: () => false,
    colorIn: () => undefined,
    likenessOf: (classes) => classes,
    tagOf: () => 'Row',
    classAttribute: 'className',
  })
  expect(components[0]!.props).toMatchObject([{ name: 'type', only: ['submit', 'button'] }])
})
