import { convert } from '../../convert.js'
import { design, frame, layer, text } from '../../testing/design.js'
import type { TargetId } from '../index.js'

type Json = Record<string, unknown>
const column = { kind: 'column', gap: 8, padding: 16 }
const paint = (color: string): Json => ({ fills: [{ kind: 'solid', color }] })

/** A line of a plan: a dot, and what is in the plan. */
const line = (key: string, words: string): Json =>
  frame(
    key,
    [
      layer('ellipse', `${key}-dot`, {
        box: { x: 0, y: 0, width: 8, height: 8 },
        ...paint('#8fb3b0'),
      }),
      text(`${key}-text`, words),
    ],
    { name: 'Line', layout: { kind: 'row', gap: 8, padding: 0 } },
  )

/** A line with what it costs by itself. */
const priced = (key: string, words: string): Json => {
  const [what = '', price = ''] = words.split(': ')
  return frame(
    key,
    [
      layer('ellipse', `${key}-dot`, {
        box: { x: 0, y: 0, width: 8, height: 8 },
        ...paint('#8fb3b0'),
      }),
      text(`${key}-what`, what, { name: 'What' }),
      text(`${key}-price`, price, {
        name: 'Price',
        style: { family: 'Inter', size: 12, lineHeight: 18, color: '#446677' },
      }),
    ],
    { name: 'Line', layout: { kind: 'row', gap: 8, padding: 0 } },
  )
}

/** A plan: how it is called, what is in it, what it costs. */
const plan = (i: number, contents: readonly string[]): Json =>
  frame(
    `plan-${i}`,
    [
      text(`title-${i}`, ['Harbour', 'Coast', 'Ocean'][i]!, {
        style: { family: 'Inter', size: 20, lineHeight: 30, weight: 700, color: '#112233' },
      }),
      frame(
        `lines-${i}`,
        contents.map((words, at) =>
          (words.includes(': ') ? priced : line)(`line-${i}-${at}`, words),
        ),
        { name: 'Lines', layout: { ...column, padding: 0 } },
      ),
      text(`price-${i}`, `€ ${i + 4}`),
    ],
    { name: 'Plan', layout: column, ...paint('#eef1ee') },
  )

const PLANS = [
  ['Tide tables', 'One harbour', 'Mail'],
  ['Tide tables', 'All harbours', 'Mail', 'Storm warnings'],
  ['Tide tables', 'All harbours', 'Mail', 'Storm warnings', 'A pilot', 'Charts'],
]

const emit = (plans: readonly (readonly string[])[], target: TargetId) => {
  const page = frame(
    'page',
    plans.map((contents, i) => plan(i, contents)),
    { name: 'Plans', layout: column, ...paint('#ffffff') },
  )
  const result = convert(design([page]), [], { target })
  if (!result.ok) throw new Error(result.notes.map(({ message }) => message).join('\n'))
  const { files, components } = result.value
  return {
    components,
    code: files.map(({ content }) => (content.kind === 'text' ? content.text : '')).join('\n'),
  }
}

test('lines of which some things have more are a list of what they say', () => {
  const { components } = emit(PLANS, 'react')
  const whole = components.find(({ uses }) => uses.length === PLANS.length)!
  const at = whole.props.findIndex(({ kind }) => kind === 'list')
  expect(whole.uses.map(({ values }) => values[at])).toEqual(PLANS.map((own) => own.join('\n')))
})

test.each([
  ['react', /items: .*\[\];/, /items=\{\[\s*"Tide tables",\s*"One harbour",\s*"Mail",?\s*\]\}/],
  ['vue', /items: .*\[\];/, /:items="\[\s*'Tide tables',\s*'One harbour',\s*'Mail',?\s*\]"/],
  [
    'angular',
    /items = input.required<.*\[\]>/,
    /\[items\]="\[\s*'Tide tables',\s*'One harbour',\s*'Mail',?\s*\]"/,
  ],
  [
    'flutter',
    /List<String> items;/,
    /items: (const )?\[\s*'Tide tables',\s*'One harbour',\s*'Mail',?\s*\]/,
  ],
] as const)('%s writes one line and is given what the lines say', (target, type, use) => {
  const { code } = emit(PLANS, target)
  expect(code).toMatch(type)
  expect(code).toMatch(use)
})

test('where all have as many lines, each is a prop of its own', () => {
  const { components } = emit(
    PLANS.map((own) => own.slice(0, 3)),
    'react',
  )
  expect(components.flatMap(({ props }) => props.map(({ kind }) => kind))).not.toContain('list')
})

const PRICED = PLANS.map((own, i) => own.map((words, at) => `${words}: € ${i + at + 1}`))

test('lines that say several things are a list of things', () => {
  const { components } = emit(PRICED, 'react')
  const whole = components.find(({ uses }) => uses.length === PRICED.length)!
  const at = whole.props.findIndex(({ kind }) => kind === 'list')
  expect(whole.props[at]!.fields!.map(({ name }) => name)).toEqual(['what', 'price'])
  expect(whole.uses.map(({ values }) => values[at])).toEqual(
    PRICED.map((own) => own.map((words) => words.replace(': ', '\t')).join('\n')),
  )
})

const USE = {
  double: /\{\s*what: "Tide tables",\s*price: "€ 1",?\s*\},\s*\{\s*what: "One harbour"/,
  single: /\{\s*what: 'Tide tables',\s*price: '€ 1',?\s*\},\s*\{\s*what: 'One harbour'/,
}

test.each([
  ['react', /items: \{ what: .*; price: .* \}\[\];/, USE.double],
  ['vue', /items: \{ what: .*; price: .* \}\[\];/, USE.single],
  ['angular', /items = input\.required<PlanItem\[\]>\(\)/, USE.single],
  [
    'flutter',
    /List<\(\{String what, String price\}\)> items;/,
    /\(\s*what: 'Tide tables',\s*price: '€ 1',?\s*\)/,
  ],
] as const)('%s has a type for them, and is given them', (target, type, use) => {
  const { code } = emit(PRICED, target)
  expect(code).toMatch(type)
  expect(code).toMatch(use)
})
