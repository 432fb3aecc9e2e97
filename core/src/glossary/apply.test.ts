import type { CodeComponent, Codebase } from '../codebase/codebase.js'
import { convert, type Settings } from '../convert.js'
import {
  codebase,
  component,
  HANDLER,
  NODE,
  oneOf,
  prop,
  STRING,
  BOOLEAN,
} from '../testing/codebase.js'
import { design, frame } from '../testing/design.js'
import { at, words } from '../testing/page.js'
import { inColor, solid } from '../testing/roles.js'
import type { Entry, Source } from './glossary.js'

type Json = Record<string, unknown>

const variant = (tone: string, fill: string): Json => ({
  type: 'component',
  key: `v-${tone}`,
  name: 'Push',
  variant: { Tone: tone },
  ...at(0, 0, 160, 44),
  ...solid(fill),
  layout: { kind: 'row', padding: 10, gap: 8, align: 'centre' },
  sizing: { width: 'fit', height: 'fit' },
  children: [{ ...inColor('#ffffff', `label-${tone}`, 'Label', 10, 10), bind: { text: 'Label' } }],
})

const PUSH: Json = {
  key: 'push',
  name: 'Push',
  properties: [
    { kind: 'variant', name: 'Tone', values: ['Calm', 'Loud'], default: 'Calm' },
    { kind: 'text', name: 'Label', default: 'Label' },
  ],
  variants: [variant('Calm', '#1b3a2f'), variant('Loud', '#6b2a10')],
}

const instance = (key: string, y: number, tone: string, label: string, rest: Json = {}): Json => ({
  type: 'instance',
  key,
  name: 'Push',
  component: 'push',
  variant: { Tone: tone },
  props: { Label: label },
  ...at(40, y, 160, 44),
  ...rest,
})

const page = (...children: Json[]): Json =>
  frame('page', [words('title', 'Harbour', 40, 40, 32), ...children], {
    ...at(0, 0, 640, 500),
    ...solid('#ffffff'),
    name: 'Harbour',
  })

const ACTION = component('Action', [
  prop('emphasis', oneOf('soft', 'strong'), { standard: 'soft' }),
  prop('isOff', BOOLEAN),
  prop('onPress', HANDLER),
  prop('className', STRING),
  prop('children', NODE, { isRequired: true }),
])

const entry = (props: Readonly<Record<string, Source>>, rest: Partial<Entry> = {}): Entry => ({
  design: { component: 'Push' },
  code: ACTION.id,
  props,
  ...rest,
})

const TONES: Source = { property: 'Tone', values: { Calm: 'soft', Loud: 'strong' } }

type Written = { readonly code: string; readonly notes: readonly string[] }

const write = (
  screens: Json[],
  entries: readonly Entry[],
  theirs: Codebase = codebase([{ ...ACTION, placedBy: 'className' }]),
  settings: Partial<Settings> & { readonly tokens?: Record<string, string> } = {},
  rest: Json = {},
): Written => {
  const { tokens, ...more } = settings
  const result = convert(design(screens, { components: [PUSH], ...rest }), [], {
    target: 'react',
    ...more,
    glossary: {
      entries: { version: 1, components: [...entries], ...(tokens ? { tokens } : {}) },
      codebase: theirs,
    },
  })
  if (!result.ok) throw new Error(result.notes.map(({ message }) => message).join('\n'))
  const code = result.value.files
    .flatMap(({ path, content }) =>
      content.kind === 'text' ? [`// ${path}\n${content.text}`] : [],
    )
    .join('\n')
  return { code, notes: result.notes.map((note) => note.code) }
}

const withComponent = (one: CodeComponent): Codebase => codebase([one])

test('instances are written as the component, with what differs from its standard', () => {
  const { code } = write(
    [page(instance('a', 120, 'Calm', 'Log it'), instance('b', 200, 'Loud', 'Call out'))],
    [entry({ emphasis: TONES, children: { property: 'Label' } })],
  )
  expect(code).toContain('import { Action } from "../ui/Action";')
  expect(code).toMatch(
    /<Action className="[^"]*">\s*Log it\s*<\/Action>|<Action>\s*Log it\s*<\/Action>/,
  )
  expect(code).toMatch(/<Action[^>]*emphasis="strong"[^>]*>\s*Call out\s*<\/Action>/)
  expect(code).not.toContain('emphasis="soft"')
  // Nothing of what the component does itself is written again.
  expect(code).not.toContain('#6b2a10')
  expect(code).not.toContain('components/Push')
})

test('an alias, a default export and another name are imported as the codebase does it', () => {
  const { code } = write(
    [page(instance('a', 120, 'Calm', 'Log it'))],
    [{ ...entry({ children: { property: 'Label' } }), code: 'src/ui/Push.tsx#default' }],
    withComponent({
      ...ACTION,
      id: 'src/ui/Push.tsx#default',
      name: 'PushButton',
      exported: 'default',
      specifier: '@/ui/Push',
    }),
  )
  expect(code).toContain('import PushButton from "@/ui/Push";')
})

test('what is proposed, of another framework or unknown is not used', () => {
  const screens = [page(instance('a', 120, 'Calm', 'Log it'))]
  const proposed = write(screens, [entry({}, { status: 'proposed' })])
  expect(proposed.code).not.toContain('ui/Action')
  const vue = write(screens, [entry({})], withComponent({ ...ACTION, framework: 'vue' }))
  expect(vue.code).not.toContain('ui/Action')
  const unknown = write(screens, [entry({}, { code: 'src/ui/Gone.tsx#Gone' })])
  expect(unknown.code).not.toContain('ui/Gone')
  expect(unknown.notes).toContain('glossary/unknown-component')
})

test('one component of the design may be several in the codebase, by its variants', () => {
  const loud = component('Alarm', [prop('children', NODE)])
  const { code } = write(
    [page(instance('a', 120, 'Calm', 'Log it'), instance('b', 200, 'Loud', 'Call out'))],
    [
      entry({ children: { property: 'Label' } }, { when: { Tone: 'Loud' }, code: loud.id }),
      entry({ children: { property: 'Label' } }),
    ],
    codebase([ACTION, loud]),
  )
  expect(code).toMatch(/<Alarm>\s*Call out/)
  expect(code).toMatch(/<Action>\s*Log it/)
})

test('a value the type does not have is told, and not written', () => {
  const { code, notes } = write(
    [page(instance('a', 120, 'Loud', 'Call out'))],
    [entry({ emphasis: { property: 'Tone' }, children: { property: 'Label' } })],
  )
  expect(notes).toContain('glossary/refused-value')
  expect(code).not.toContain('emphasis')
})

test('what must be given and is not drawn is marked, in its type', () => {
  const { code, notes } = write(
    [page(instance('a', 120, 'Calm', 'Log it'))],
    [entry({ children: { property: 'Label' }, label: { hole: 'what it is for' } })],
    withComponent({
      ...ACTION,
      props: [
        ...ACTION.props,
        prop('label', STRING, { isRequired: true }),
        prop('kind', oneOf('a', 'b'), { isRequired: true }),
      ],
    }),
  )
  expect(code).toContain('label="TODO: what it is for"')
  expect(code).toContain('kind="a"')
  expect(notes.filter((one) => one === 'glossary/hole')).toHaveLength(2)
})

test.each([
  ['upper-case', 'LOG IT'],
  ['kebab-case', 'log-it'],
  ['first-word', 'Log'],
] as const)('a value is changed by %s', (compute, written) => {
  const { code } = write(
    [page(instance('a', 120, 'Calm', 'Log it'))],
    [entry({ className: { compute, of: { property: 'Label' } }, children: { text: '' } })],
    withComponent(ACTION),
  )
  expect(code).toContain(`className="${written}"`)
})

test('things that are alike go through a list, with what the component asks for', () => {
  const row = ['Log it', 'Call out', 'Walk on', 'Go home'].map((label, i) =>
    instance(`p${i}`, 100 + i * 60, i % 2 === 0 ? 'Calm' : 'Loud', label),
  )
  const list = frame('list', row, {
    ...at(40, 100, 300, 260),
    layout: { kind: 'column', gap: 16 },
  })
  const { code } = write(
    [page(list)],
    [entry({ emphasis: TONES, children: { property: 'Label' } })],
  )
  expect(code).toMatch(/emphasis: "soft" \| "strong";/)
  expect(code).toMatch(/\.map\(\(\w+\) => \(\s*<Action/)
})

test('a component that is called as a screen is keeps its name', () => {
  const { code } = write(
    [page(instance('a', 120, 'Calm', 'Log it'))],
    [{ ...entry({ children: { property: 'Label' } }), code: 'src/ui/Harbour.tsx#Harbour' }],
    withComponent({
      ...ACTION,
      id: 'src/ui/Harbour.tsx#Harbour',
      name: 'Harbour',
      exported: 'Harbour',
    }),
  )
  expect(code).toContain('import { Harbour } from')
  expect(code).toContain('export function Harbour2()')
})

test('tokens are those of the theme, where they are the same thing', () => {
  const { code } = write(
    [
      frame('page', [words('title', 'Harbour', 40, 40, 32)], {
        ...at(0, 0, 640, 500),
        ...solid('#1b3a2f'),
        tokens: { 'fills.0.color': 'color.sea' },
      }),
    ],
    [],
    codebase([], {
      tokens: [{ name: '--deep', type: 'color', value: '#1b3a2f', path: 'theme.css' }],
    }),
    { tokens: { 'color.sea': '--deep' } },
    {
      modes: ['light'],
      tokens: [{ type: 'color', name: 'color.sea', values: { light: '#1b3a2f' } }],
    },
  )
  expect(code).toContain('--color-sea: var(--deep, #1b3a2f);')
})

test('the same input gives the same bytes', () => {
  const once = (): string =>
    write(
      [page(instance('a', 120, 'Calm', 'Log it'), instance('b', 200, 'Loud', 'Call out'))],
      [entry({ emphasis: TONES, children: { property: 'Label' } })],
    ).code
  expect(once()).toBe(once())
})

test('hostile words stay words', () => {
  const label = '</Action>{alert(1)}"\'`${x}'
  const { code } = write(
    [page(instance('a', 120, 'Calm', label))],
    [entry({ className: { property: 'Label' }, children: { property: 'Label' } })],
    withComponent(ACTION),
  )
  // In quotes braces are no code, and between tags they are written out.
  expect(code).toContain('className="&lt;/Action>{alert(1)}&quot;')
  expect(code).toContain('&lt;/Action&gt;&#123;alert(1)&#125;')
})

test('any text field may be one of the codebase, which writes its label itself', () => {
  const field = (key: string, y: number, label: string): Json[] => [
    words(`${key}-label`, label, 40, y, 14),
    {
      ...frame(key, [words(`${key}-words`, 'Gannet Spit', 12, 10, 14)], {
        ...at(40, y + 24, 240, 40),
        ...solid('#ffffff'),
        strokes: [{ paint: { kind: 'solid', color: '#778899' }, width: 1, align: 'inside' }],
        name: label,
      }),
    },
  ]
  const entryField = component('Entry', [
    prop('caption', STRING, { isRequired: true }),
    prop('name', STRING, { isRequired: true }),
    prop('placeholder', STRING),
  ])
  const { code, notes } = write(
    [page(...field('where', 120, 'Stretch'))],
    [
      {
        design: { role: 'textbox' },
        code: entryField.id,
        props: {
          caption: { field: 'label' },
          name: { field: 'name' },
          placeholder: { field: 'hint' },
        },
      },
    ],
    codebase([entryField]),
    {},
    { roles: { where: { role: 'textbox' } } },
  )
  expect(notes).not.toContain('glossary/hole')
  expect(code).toContain('<Entry caption="Stretch" name="stretch" />')
  expect(code).not.toContain('<label')
  expect(code).not.toContain('<input')
})

test('an address is not given to what hears of being pressed, nor something shown to what takes words', () => {
  const screens = [page(instance('a', 120, 'Calm', 'Log it'))]
  const { code } = write(
    screens,
    [
      entry({
        onPress: { link: true },
        className: { content: '' },
        children: { property: 'Label' },
      }),
    ],
    withComponent(ACTION),
  )
  expect(code).toMatch(/<Action>\s*Log it\s*<\/Action>/)
})

test('every heading becomes the component for headings, as deep as it stands', () => {
  const Title = component('Title', [
    prop('level', { kind: 'number', text: 'number' }, { isRequired: true }),
    prop('as', oneOf('h1', 'h2')),
    prop('children', NODE, { isRequired: true }),
  ])
  const { code } = write(
    [page(words('part', 'Berths', 40, 200, 24), words('line', 'Two are free', 40, 260, 16))],
    [
      {
        design: { role: 'heading' },
        code: Title.id,
        props: { level: { level: 'number' }, as: { level: 'tag' }, children: { text: '' } },
      },
    ],
    withComponent(Title),
  )
  expect(code).toMatch(/<Title[^>]*level=\{1\}[^>]*as="h1"[^>]*>\s*Harbour\s*<\/Title>/)
  expect(code).toMatch(/<Title[^>]*level=\{2\}[^>]*as="h2"[^>]*>\s*Berths\s*<\/Title>/)
})
