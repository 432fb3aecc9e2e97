import type { Entry, Glossary } from '@unimorph/core'
import { api, ApiError, type ProjectCodebase, type ProjectDetail } from '../../../shared/lib/api'
import { useConflicts } from '../../../shared/lib/conflicts-store'
import { useToasts } from '../../../shared/lib/toast-store'
import { fakeEngine } from '../../../testing/fake-engine'
import { useDesk } from './desk-store'
import { useGlossary } from './glossary-store'

jest.mock('../../../engine/engine', () =>
  jest
    .requireActual<typeof import('../../../testing/fake-engine')>('../../../testing/fake-engine')
    .engineModule(),
)
jest.mock('../../../shared/lib/fonts-store', () => ({ loadFonts: () => Promise.resolve([]) }))

const entry = (component: string, code: string): Entry => ({
  design: { component },
  code,
  props: {},
})
const glossaryOf = (...components: Entry[]): Glossary => ({ version: 1, components })
const START = glossaryOf(entry('Push', 'a#A'))
const withEntryOf = (one: Entry) => (glossary: Glossary) => ({
  ...glossary,
  components: [...glossary.components.filter((old) => old.design !== one.design), one],
})

const codesOf = (): readonly string[] =>
  useDesk.getState().codebase!.glossary.components.map(({ code }) => code)

beforeEach(() => {
  fakeEngine.reset()
  Object.assign(fakeEngine.handlers, { useCodebase: () => undefined, glossary: () => undefined })
  // Messages that go by themselves would outlive the tests.
  useToasts.setState({ show: () => undefined })
  useGlossary.setState({ past: [] })
  useDesk.setState({
    project: { id: 'p1' } as ProjectDetail,
    codebase: { glossary: START, glossaryVersion: 'first' } as ProjectCodebase,
    setCodebase: async (codebase) => useDesk.setState({ codebase }),
  })
  jest
    .spyOn(api, 'saveGlossary')
    .mockImplementation((_id, glossary) => Promise.resolve({ glossary, version: 'next' }))
})
afterEach(() => jest.restoreAllMocks())

test('a change is written over the version it was made of, and can be taken back', async () => {
  await useGlossary.getState().save(withEntryOf(entry('Field', 'b#B')))
  expect(codesOf()).toEqual(['a#A', 'b#B'])
  await useGlossary.getState().undo()
  expect(codesOf()).toEqual(['a#A'])
  expect(jest.mocked(api.saveGlossary).mock.calls.map(([, , version]) => version)).toEqual([
    'first',
    'next',
  ])
})

const refuseOnce = (current: Glossary): void => {
  jest
    .mocked(api.saveGlossary)
    .mockRejectedValueOnce(new ApiError('It changed.', 409, { current, version: 'second' }))
}

test('an entry another window wrote stays, and is not undone with the own one', async () => {
  refuseOnce(glossaryOf(entry('Push', 'a#A'), entry('Card', 'c#C')))
  await useGlossary.getState().save(withEntryOf(entry('Field', 'b#B')))
  expect(codesOf()).toEqual(['a#A', 'c#C', 'b#B'])
  await useGlossary.getState().undo()
  expect(codesOf()).toEqual(['a#A', 'c#C', 'b#B'])
})

test('an entry that both changed is asked about by its name', async () => {
  refuseOnce(glossaryOf(entry('Push', 'theirs#T')))
  const saving = useGlossary.getState().save(() => glossaryOf(entry('Push', 'mine#M')))
  await new Promise((ready) => setTimeout(ready))
  const { asked } = useConflicts.getState()
  expect(asked).toMatchObject({
    what: 'glossary',
    conflicts: [{ path: 'components component Push.code', mine: 'mine#M', theirs: 'theirs#T' }],
  })
  asked!.answer('theirs')
  await saving
  expect(codesOf()).toEqual(['theirs#T'])
})

test('what cannot be written is not there, and nothing before it is lost', async () => {
  await useGlossary.getState().save(withEntryOf(entry('Field', 'b#B')))
  jest.mocked(api.saveGlossary).mockRejectedValueOnce(new Error('The disk is full.'))
  await useGlossary.getState().save(withEntryOf(entry('Card', 'c#C')))
  expect(codesOf()).toEqual(['a#A', 'b#B'])
  await useGlossary.getState().undo()
  expect(codesOf()).toEqual(['a#A'])
})
