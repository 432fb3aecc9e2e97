import {
  readGlossary,
  type CodeProp,
  type Covered,
  type Entry,
  type Glossary,
  type Source,
  type Suggestion,
} from '@unimorph/core'
import {
  idOfSource,
  listConditions,
  listFunctions,
  listSources,
  readConstant,
  unwrap,
  wrap,
} from './sources'
import { withEntry, withSource, withSuggestions, withVariant } from './glossary-edits'

const entry: Entry = { design: { component: 'Push' }, code: 'a#A', props: { a: { constant: 1 } } }
const glossary: Glossary = {
  version: 1,
  components: [entry, { ...entry, design: { component: 'Field' }, status: 'proposed' }],
}

test('a proposal that is confirmed takes the place of what waited for the same', () => {
  const suggestion: Suggestion = {
    entry: { design: { component: 'Field' }, code: 'b#B', props: {}, status: 'proposed' },
    confidence: 1,
    evidence: [],
    others: [],
  }
  const { components } = withSuggestions(glossary, [suggestion])
  expect(components).toEqual([entry, { design: { component: 'Field' }, code: 'b#B', props: {} }])
})

test('an entry is replaced in its place, or taken out', () => {
  expect(withEntry(glossary, 0, { ...entry, code: 'c#C' }).components[0]!.code).toBe('c#C')
  expect(withEntry(glossary, 0, undefined).components).toEqual([glossary.components[1]])
})

test('a prop keeps its place when what it is given changes, and what is changed is confirmed', () => {
  const two: Entry = {
    ...entry,
    props: { a: { constant: 1 }, b: { link: true } },
    status: 'proposed',
  }
  const changed = withSource(two, 'a', { press: true })
  expect(Object.keys(changed.props)).toEqual(['a', 'b'])
  expect(changed.status).toBeUndefined()
  expect(withSource(two, 'a', undefined).props).toEqual({ b: { link: true } })
})

const thing: Covered = {
  design: { component: 'Push' },
  name: 'Push',
  properties: [
    { name: 'Tone', kind: 'variant', values: ['calm', 'Loud'], source: { property: 'Tone' } },
    { name: 'Label', kind: 'text', values: [], source: { property: 'Label' } },
  ],
  layers: ['a'],
  role: 'button',
  leads: true,
  isMixed: false,
  acts: false,
  hasControl: false,
  controlRole: undefined,
  entries: [],
  mapped: 0,
}
const prop = (type: CodeProp['type'], rest: Partial<CodeProp> = {}): CodeProp => ({
  name: 'p',
  type,
  as: 'prop',
  isRequired: false,
  ...rest,
})
const labels = (type: CodeProp['type']): readonly string[] =>
  listSources(thing, prop(type), undefined).map(({ label }) => label)

test('only what fits a prop is offered for it', () => {
  expect(labels({ kind: 'choice', text: '', options: ['calm', 'loud'] })).toEqual(
    expect.arrayContaining(['Tone', 'Label']),
  )
  expect(labels({ kind: 'boolean', text: '' })).toEqual(
    expect.arrayContaining(['where Tone is calm', 'where Tone is Loud']),
  )
  expect(labels({ kind: 'handler', text: '' })).toEqual([
    'nothing',
    'what pressing it does',
    'one or the other …',
    'not drawn: leave a placeholder',
  ])
  expect(labels({ kind: 'string', text: '' })).toContain('where it leads')
})

test('values of the same name are paired at once', () => {
  const choice = prop({ kind: 'choice', text: '', options: ['calm', 'loud'] })
  const tone = listSources(thing, choice, undefined).find(({ label }) => label === 'Tone')
  expect(tone!.source).toEqual({ property: 'Tone', values: { calm: 'calm', Loud: 'loud' } })
})

test('what a file says and the list does not is kept and can be chosen again', () => {
  const odd = { text: 'Legend' } as const
  const listed = listSources(thing, prop({ kind: 'string', text: '' }), odd)
  expect(listed.find(({ id }) => id === idOfSource(odd))!.source).toBe(odd)
})

test('functions around a source are taken off and put back, and the source is chosen by itself', () => {
  const source: Source = {
    compute: 'upper-case',
    of: { compute: 'trim', of: { property: 'Label' } },
  }
  const { inner, functions } = unwrap(source)
  expect([inner, functions]).toEqual([{ property: 'Label' }, ['trim', 'upper-case']])
  expect(wrap(inner!, functions)).toEqual(source)
  expect(idOfSource(source)).toBe('property Label')
})

test('only functions that give what a prop takes are offered', () => {
  const of = (type: CodeProp['type'], inner: Source): readonly string[] =>
    listFunctions(prop(type), inner)
  expect(of({ kind: 'boolean', text: '' }, { field: 'required' })).toEqual(['not'])
  expect(of({ kind: 'number', text: '' }, { text: '' })).toContain('to-number')
  expect(of({ kind: 'string', text: '' }, { property: 'Label' })).toContain('kebab-case')
  expect(of({ kind: 'string', text: '' }, { constant: 'x' })).toEqual([])
})

test('one or the other begins with what the design tells instances apart by, and is a glossary', () => {
  expect(listConditions(thing)).toEqual([{ name: 'Tone', values: ['calm', 'Loud'] }])
  expect(listConditions({ ...thing, design: { role: 'button' } })).toEqual([])
  const string = prop({ kind: 'string', text: '' })
  const either = listSources(thing, string, undefined).find(({ id }) => id === 'condition')!
  expect(either.source).toEqual({ when: 'Tone', is: 'calm', then: { property: 'Tone' } })
  const written = withSource(entry, 'p', either.source)
  expect(readGlossary({ version: 1, components: [written] }).ok).toBe(true)
  // What is true in one case only is said in one line.
  const yes = { when: 'Tone', is: 'Loud', then: { constant: true } } as const
  expect(idOfSource(yes)).toBe('when Tone Loud')
  expect(idOfSource({ ...yes, otherwise: { constant: false } })).toBe('condition')
})

test('a variant gets a component of its own, before that of all others', () => {
  const { components } = withVariant(glossary, 0, { Tone: 'Loud' })
  expect(components.slice(0, 2)).toEqual([{ ...entry, when: { Tone: 'Loud' } }, entry])
})

test.each([
  [{ kind: 'boolean', text: '' }, 'true', true],
  [{ kind: 'number', text: '' }, '12', 12],
  [{ kind: 'number', text: '' }, 'many', 'many'],
  [{ kind: 'choice', text: '', options: [1, 'b'] }, '1', 1],
  [{ kind: 'string', text: '' }, '12', '12'],
] as const)('a value of %o that is typed as %s', (type, text, value) => {
  expect(readConstant(prop(type as unknown as CodeProp['type']), text)).toBe(value)
})
