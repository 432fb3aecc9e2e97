import { codebase, component, NODE, oneOf, prop, STRING } from '../testing/codebase.js'
import { design, frame, text } from '../testing/design.js'
import { checkGlossary } from './check.js'
import type { Entry, Source } from './glossary.js'

const ACTION = component('Action', [
  prop('emphasis', oneOf('soft', 'strong')),
  prop('label', STRING, { isRequired: true }),
  prop('children', NODE),
])

const entry = (props: Readonly<Record<string, Source>>, rest: Partial<Entry> = {}): Entry => ({
  design: { component: 'Push' },
  code: ACTION.id,
  props: { label: { property: 'Label' }, ...props },
  ...rest,
})

const DRAWN = design([frame('page', [text('t', 'Hello')])], {
  components: [
    {
      key: 'push',
      name: 'Push',
      properties: [
        { kind: 'variant', name: 'Tone', values: ['Calm', 'Loud'], default: 'Calm' },
        { kind: 'text', name: 'Label', default: 'Label' },
      ],
      variants: [
        {
          type: 'component',
          key: 'v',
          name: 'Push',
          variant: { Tone: 'Calm' },
          box: { x: 0, y: 0, width: 100, height: 40 },
          children: [],
        },
      ],
    },
  ],
})

const check = (one: Entry, theirs = codebase([ACTION])) =>
  checkGlossary({ version: 1, components: [one] }, theirs, DRAWN)

test('what fits has no problems', () => {
  const fine = entry({ emphasis: { property: 'Tone', values: { Calm: 'soft', Loud: 'strong' } } })
  expect(check(fine)).toEqual([])
})

test.each<[string, Entry, string, string | undefined]>([
  [
    'a prop that is not there',
    entry({ emphasys: { constant: 'soft' } }),
    'no prop emphasys',
    'emphasys',
  ],
  ['a value outside of the type', entry({ emphasis: { constant: 'loud' } }), '"loud"', 'emphasis'],
  [
    'words for a node',
    entry({ label: { content: '' } }),
    'does not take what it is given',
    'label',
  ],
  [
    'a property that is not drawn',
    entry({ emphasis: { property: 'Tones' } }),
    'Tone is alike',
    'emphasis',
  ],
  [
    'a value that is never drawn',
    entry({
      emphasis: { property: 'Tone', values: { Calm: 'soft', Loud: 'strong', Wild: 'soft' } },
    }),
    'never Wild',
    'emphasis',
  ],
  [
    'a variant without a value',
    entry({ emphasis: { property: 'Tone', values: { Calm: 'soft' } } }),
    'not told what Loud is',
    'emphasis',
  ],
  [
    'a component that is gone',
    entry({}, { code: 'src/ui/Gone.tsx#Gone' }),
    'no src/ui/Gone.tsx#Gone',
    undefined,
  ],
])('%s is told at its row', (_what, wrong, message, at) => {
  const problems = check(wrong)
  const found = problems.find((one) => `${one.message} ${one.help}`.includes(message))
  expect(found).toBeDefined()
  expect(found!.entry).toBe(0)
  expect(found!.prop).toBe(at)
})

test('what must be given and is not has a remedy that fits', () => {
  const { label: _left, ...props } = entry({}).props
  const [problem] = check({ ...entry({}), props })
  expect(problem!.message).toContain('must be given label')
  expect(check(problem!.remedy!)).toEqual([])
})

test('a component that moved, and a prop that was renamed, are found again', () => {
  const moved = { ...ACTION, id: 'src/kit/Action.tsx#Action', path: 'src/kit/Action.tsx' }
  const [gone] = check(entry({}), codebase([moved]))
  expect(gone!.remedy!.code).toBe(moved.id)
  const renamed = component('Action', [
    prop('emphases', oneOf('soft', 'strong')),
    prop('label', STRING, { isRequired: true }),
  ])
  const [lost] = check(entry({ emphasis: { constant: 'soft' } }), codebase([renamed]))
  expect(lost!.remedy!.props['emphases']).toEqual({ constant: 'soft' })
})
