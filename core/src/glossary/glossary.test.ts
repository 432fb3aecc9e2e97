import fc from 'fast-check'
import {
  FUNCTIONS,
  readGlossary,
  writeGlossary,
  type Entry,
  type Glossary,
  type Source,
} from './glossary.js'
import { runs } from '../testing/runs.js'

const word = fc.string({ minLength: 1, maxLength: 8 })
const value = fc.oneof(fc.string(), fc.boolean(), fc.integer())

const { source } = fc.letrec<{ source: Source }>((tie) => ({
  source: fc.oneof(
    { maxDepth: 3 },
    value.map((constant) => ({ constant })),
    word.map((property) => ({ property })),
    fc.dictionary(word, value).map((values) => ({ property: 'Tone', values })),
    fc.string().map((text) => ({ text })),
    fc.constant({ link: true } as const),
    fc.constant({ press: true } as const),
    word.map((hole) => ({ hole })),
    fc.record({ when: word, is: fc.string(), then: tie('source') }),
    fc.record({ compute: fc.constantFrom(...FUNCTIONS), of: tie('source') }),
  ),
}))

const entry: fc.Arbitrary<Entry> = fc
  .record({
    design: fc.oneof(
      word.map((component) => ({ component })),
      word.map((part) => ({ part })),
      word.map((role) => ({ role })),
    ),
    code: word,
    props: fc.dictionary(word, source),
  })
  .map((one) => one)

const glossary: fc.Arbitrary<Glossary> = fc.record({
  version: fc.constant(1 as const),
  components: fc.array(entry, { maxLength: 4 }),
  tokens: fc.dictionary(word, word),
})

test('what is written is read back as it was', () => {
  fc.assert(
    fc.property(glossary, (given) => {
      expect(readGlossary(JSON.parse(writeGlossary(given)))).toEqual({
        ok: true,
        value: given,
        notes: [],
      })
    }),
    runs(60),
  )
})

test.each([
  ['no object', [], 'the document'],
  ['another version', { version: 2, components: [] }, 'version'],
  [
    'an entry without code',
    { version: 1, components: [{ design: { part: 'a' }, props: {} }] },
    'code',
  ],
  [
    'a source nobody knows',
    {
      version: 1,
      components: [{ design: { part: 'a' }, code: 'x', props: { a: { eval: '1' } } }],
    },
    'components[0].props.a',
  ],
])('%s is refused, and the field is named', (_what, document, field) => {
  const read = readGlossary(document, 'shop.json')
  expect(read.ok).toBe(false)
  expect(read.notes[0]!.code).toBe('glossary/invalid')
  expect(read.notes[0]!.message).toContain('shop.json')
  expect(read.notes[0]!.message).toContain(field)
})
