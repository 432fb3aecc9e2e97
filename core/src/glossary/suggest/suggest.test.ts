import { prepare } from '../../convert.js'
import {
  codebase,
  component,
  HANDLER,
  NODE,
  oneOf,
  prop,
  STRING,
  BOOLEAN,
} from '../../testing/codebase.js'
import { design, frame } from '../../testing/design.js'
import { at, words } from '../../testing/page.js'
import { inColor, solid } from '../../testing/roles.js'
import type { Design } from '../../design/design.js'
import type { Edit } from '../../edits/edit.js'
import type { Codebase } from '../../codebase/codebase.js'
import { EMPTY_GLOSSARY, type Glossary } from '../glossary.js'
import { suggestGlossary } from './index.js'

type Json = Record<string, unknown>

const set = (key: string, name: string, properties: Json[], texts: string[]): Json => ({
  key,
  name,
  properties,
  variants: [
    {
      type: 'component',
      key: `${key}-v`,
      name,
      variant: Object.fromEntries(
        properties.filter((p) => p['kind'] === 'variant').map((p) => [p['name'], p['default']]),
      ),
      ...at(0, 0, 200, 30 * texts.length + 20),
      ...solid('#1b3a2f'),
      layout: { kind: 'column', padding: 10, gap: 8 },
      sizing: { width: 'fit', height: 'fit' },
      children: texts.map((text, i) => ({
        ...inColor('#ffffff', `${key}-${i}`, text, 10, 10 + i * 30),
        bind: { text },
      })),
    },
  ],
})

const word = (name: string): Json => ({ kind: 'text', name, default: name })

const SETS = [
  set(
    'push',
    'Button',
    [
      { kind: 'variant', name: 'Tone', values: ['Primary', 'Plain'], default: 'Primary' },
      { kind: 'variant', name: 'State', values: ['Rest', 'Disabled'], default: 'Rest' },
      word('Label'),
    ],
    ['Label'],
  ),
  set('sum', 'Metric', [word('Label'), word('Value'), word('Hint')], ['Label', 'Value', 'Hint']),
]

const DRAWN = design(
  [
    frame(
      'page',
      [
        words('title', 'Harbour', 40, 40, 32),
        { type: 'instance', key: 'a', name: 'Button', component: 'push', ...at(40, 100, 200, 50) },
        { type: 'instance', key: 'b', name: 'Metric', component: 'sum', ...at(40, 200, 200, 110) },
      ],
      { ...at(0, 0, 640, 500), ...solid('#ffffff') },
    ),
  ],
  {
    components: SETS,
    modes: ['light'],
    tokens: [
      { type: 'color', name: 'color.sea', values: { light: '#1b3a2f' } },
      { type: 'space', name: 'space.m', values: { light: 16 } },
    ],
  },
)

const THEIRS = codebase(
  [
    component('PressMe', [prop('onClick', HANDLER)]),
    component('MainAction', [
      prop('emphasis', oneOf('solid', 'ghost'), { standard: 'solid' }),
      prop('inactive', BOOLEAN),
      prop('children', NODE, { isRequired: true }),
    ]),
    component('KpiTile', [
      prop('title', STRING, { isRequired: true }),
      prop('amount', STRING, { isRequired: true }),
      prop('footnote', STRING),
    ]),
    component('Avatar', [prop('src', STRING, { isRequired: true })]),
  ],
  {
    tokens: [
      { name: '--sea', type: 'color', value: 'rgb(27 58 47)', path: 'a.css' },
      { name: '--step', type: 'length', value: '1rem', path: 'a.css' },
    ],
  },
)

const suggest = (
  theirs: Codebase = THEIRS,
  known: Glossary = EMPTY_GLOSSARY,
  drawn: Design = DRAWN,
  edits: readonly Edit[] = [],
) => {
  const project = prepare(drawn, edits)
  if (!project.ok) throw new Error('not prepared')
  return suggestGlossary(project.value, drawn, theirs, 'react', known)
}

/** A page with a button and a link that stand in no component. */
const LOOSE = design([
  frame(
    'page',
    [
      words('title', 'Harbour', 40, 40, 32),
      frame('go', [inColor('#ffffff', 'go-text', 'Book a berth', 24, 12)], {
        ...at(40, 120, 160, 48),
        ...solid('#1b3a2f'),
        radius: 8,
      }),
      words('rules', 'Read the rules', 40, 200, 16),
    ],
    { ...at(0, 0, 640, 500), ...solid('#ffffff') },
  ),
])
const ROLES: readonly Edit[] = [
  { kind: 'set-role', layers: ['go'], role: 'button' },
  { kind: 'set-role', layers: ['rules'], role: 'link' },
]
const suggestForLoose = (theirs: Codebase) =>
  suggest(theirs, EMPTY_GLOSSARY, LOOSE, ROLES).components

test('components are found under other names, with their props and values', () => {
  const { components } = suggest()
  const byCode = new Map(components.map(({ entry }) => [entry.code, entry]))
  expect(byCode.get('src/ui/MainAction.tsx#MainAction')).toMatchObject({
    design: { component: 'Button' },
    props: {
      emphasis: { property: 'Tone', values: { Primary: 'solid', Plain: 'ghost' } },
      inactive: { when: 'State', is: 'Disabled', then: { constant: true } },
      children: { property: 'Label' },
    },
  })
  expect(byCode.get('src/ui/KpiTile.tsx#KpiTile')?.props).toEqual({
    title: { property: 'Label' },
    amount: { property: 'Value' },
    footnote: { property: 'Hint' },
  })
})

test('nothing that is proposed is confirmed, and reasons are given', () => {
  const { components } = suggest()
  expect(components.length).toBeGreaterThan(0)
  for (const { entry, confidence, evidence } of components) {
    expect(entry.status).toBe('proposed')
    expect(confidence).toBeGreaterThan(0)
    expect(evidence.length).toBeGreaterThan(0)
  }
})

test('what is alike in nothing is not proposed', () => {
  const { components } = suggest(
    codebase([component('Avatar', [prop('src', STRING, { isRequired: true })])]),
  )
  expect(components).toEqual([])
})

test('what the glossary has is not proposed again', () => {
  const { components } = suggest(THEIRS, {
    version: 1,
    components: [{ design: { component: 'Button' }, code: 'x', props: {} }],
  })
  expect(components.map(({ entry }) => entry.design)).toEqual([{ component: 'Metric' }])
})

test('what stands in no component is proposed one by what it is, but never surely', () => {
  const [button, ...others] = suggestForLoose(THEIRS)
  expect(button!.entry).toMatchObject({
    design: { role: 'button' },
    code: 'src/ui/MainAction.tsx#MainAction',
    props: { children: { text: '' } },
    status: 'proposed',
  })
  expect(button!.confidence).toBeLessThanOrEqual(0.8)
  expect(others).toEqual([])
})

test('links in texts are no buttons that lead somewhere', () => {
  const link = [prop('href', STRING, { isRequired: true }), prop('children', NODE)]
  const designs = (name: string): unknown =>
    suggestForLoose(codebase([component(name, link)])).map(({ entry }) => entry.design)
  expect(designs('PushLink')).toEqual([])
  expect(designs('TextLink')).toEqual([{ role: 'link' }])
})

test('headings are proposed the component for headings, with their level', () => {
  const text = prop('children', NODE, { isRequired: true })
  const number = { kind: 'number', text: 'number' } as const
  const own = (level: ReturnType<typeof prop>) =>
    suggestForLoose(codebase([component('Heading', [level, text])])).find(
      ({ entry }) => 'role' in entry.design && entry.design.role === 'heading',
    )?.entry.props
  expect(own(prop('level', number, { isRequired: true }))).toEqual({
    level: { level: 'number' },
    children: { text: '' },
  })
  expect(own(prop('as', oneOf('h1', 'h2', 'h3')))).toMatchObject({ as: { level: 'tag' } })
  // An entry of texts is a field.
  expect(
    suggestForLoose(codebase([component('TextEntry', [text])])).map(({ entry }) => entry.design),
  ).toEqual([])
})

test('tokens are paired by what they are, however it is written', () => {
  expect(suggest().tokens).toEqual({ 'color.sea': '--sea', 'space.m': '--step' })
})

test('the order of the components in the codebase changes nothing', () => {
  const turned = codebase([...THEIRS.components].reverse(), { tokens: THEIRS.tokens })
  const codes = (all: ReturnType<typeof suggest>): unknown =>
    all.components.map(({ entry }) => [entry.design, entry.code])
  expect(codes(suggest(turned))).toEqual(codes(suggest()))
})
