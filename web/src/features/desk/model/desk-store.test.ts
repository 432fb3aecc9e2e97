import type { Edit } from '@unimorph/core'
import { api, ApiError, type ProjectDetail, type StoredEdit } from '../../../shared/lib/api'
import { useConflicts } from '../../../shared/lib/conflicts-store'
import { useToasts } from '../../../shared/lib/toast-store'
import { converted, drawn, fakeEngine, row, running } from '../../../testing/fake-engine'
import { useDesk } from './desk-store'

jest.mock('../../../engine/engine', () =>
  jest
    .requireActual<typeof import('../../../testing/fake-engine')>('../../../testing/fake-engine')
    .engineModule(),
)
jest.mock('../../../shared/lib/fonts-store', () => ({ loadFonts: () => Promise.resolve([]) }))

const PROJECT = {
  id: 'p1',
  name: 'Tidewrack',
  edition: 1,
  design: {},
  notes: [],
  faults: [],
  edits: [],
  settings: { target: 'html', styling: 'tailwind' },
  settingsVersion: 'first',
} as unknown as ProjectDetail

const rename = (name: string): Edit => ({ kind: 'rename', layer: 'title', name })
const valuesOf = (edits: readonly StoredEdit[]): readonly Edit[] => edits.map(({ edit }) => edit)
const problems = (): readonly string[] =>
  useToasts
    .getState()
    .toasts.filter(({ tone }) => tone === 'problem')
    .map(({ text }) => text)

/** A promise that is settled by hand. */
const deferred = <T>() => {
  let resolve!: (value: T) => void
  let reject!: (error: Error) => void
  const promise = new Promise<T>((done, fail) => {
    resolve = done
    reject = fail
  })
  return { promise, resolve, reject }
}

let nextId: number
beforeEach(() => {
  nextId = 100
  fakeEngine.reset()
  Object.assign(fakeEngine.handlers, {
    open: () => ({ fontNeeds: [] }),
    draw: () => drawn(),
    run: () => running(),
    convert: () => converted(),
    inspect: (key: string) => ({ key }),
  })
  useToasts.setState({ toasts: [] })
  jest.spyOn(api, 'getProject').mockResolvedValue(PROJECT)
  jest.spyOn(api, 'getCodebase').mockResolvedValue(undefined)
  jest
    .spyOn(api, 'addEdit')
    .mockImplementation((_id, edit) => Promise.resolve({ id: nextId++, edit }))
  jest.spyOn(api, 'removeEdit').mockResolvedValue(undefined)
  jest
    .spyOn(api, 'changeSettings')
    .mockImplementation((_id, settings) => Promise.resolve({ settings, version: 'next' }))
})
afterEach(() => {
  useDesk.getState().close()
  jest.restoreAllMocks()
})

const open = async (): Promise<void> => {
  await useDesk.getState().open('p1')
  await useDesk.getState().settled()
}

describe('opening', () => {
  test('shows the first screen, drawn and converted', async () => {
    await open()
    const { project, screen, drawn: shown, converted: code, isBusy } = useDesk.getState()
    expect(project?.name).toBe('Tidewrack')
    expect(screen).toBe('home')
    expect(shown?.layers.map(({ key }) => key)).toEqual(['home', 'title'])
    expect([code?.elapsedMs, isBusy]).toEqual([5, false])
  })

  test('a project that cannot be read says why', async () => {
    jest.spyOn(api, 'getProject').mockRejectedValue(new ApiError('There is no such project.', 404))
    await useDesk.getState().open('p1')
    expect(useDesk.getState().problem).toBe('There is no such project.')
  })

  test('a codebase that cannot be read keeps no design from being shown', async () => {
    jest.spyOn(api, 'getCodebase').mockRejectedValue(new Error('The folder is gone.'))
    await open()
    expect(useDesk.getState().drawn).toBeDefined()
    expect(problems()).toEqual(['The folder is gone.'])
  })

  test('the project opened last is the one that is shown', async () => {
    const slow = deferred<ProjectDetail>()
    jest
      .spyOn(api, 'getProject')
      .mockReturnValueOnce(slow.promise)
      .mockResolvedValueOnce({ ...PROJECT, id: 'p2', name: 'Kiosk' })
    const first = useDesk.getState().open('p1')
    await useDesk.getState().open('p2')
    slow.resolve(PROJECT)
    await first
    expect(useDesk.getState().project?.name).toBe('Kiosk')
  })

  test('closing stops what is under way and forgets it', async () => {
    await open()
    const before = fakeEngine.cancelled
    useDesk.getState().close()
    expect(fakeEngine.cancelled).toBe(before + 1)
    expect(useDesk.getState().project).toBeUndefined()
  })
})

describe('editing', () => {
  test('an edit is shown before it is saved', async () => {
    await open()
    const saving = deferred<StoredEdit>()
    jest.spyOn(api, 'addEdit').mockReturnValue(saving.promise)
    const done = useDesk.getState().edit(rename('Tides'))
    expect(valuesOf(useDesk.getState().edits)).toEqual([rename('Tides')])
    expect(fakeEngine.argsOf('draw').at(-1)).toEqual([[rename('Tides')]])
    saving.resolve({ id: 7, edit: rename('Tides') })
    await done
    expect(problems()).toEqual([])
  })

  test('edits are saved in their order, one after the other', async () => {
    await open()
    const first = deferred<StoredEdit>()
    const add = jest
      .spyOn(api, 'addEdit')
      .mockReturnValueOnce(first.promise)
      .mockResolvedValueOnce({ id: 2, edit: rename('b') })
    const one = useDesk.getState().edit(rename('a'))
    const two = useDesk.getState().edit(rename('b'))
    await Promise.resolve()
    expect(add.mock.calls.map(([, edit]) => edit)).toEqual([rename('a')])
    first.resolve({ id: 1, edit: rename('a') })
    await Promise.all([one, two])
    expect(add.mock.calls.map(([, edit]) => edit)).toEqual([rename('a'), rename('b')])
  })

  test('what cannot be saved is taken back with a word, and can be done again', async () => {
    await open()
    jest.spyOn(api, 'addEdit').mockRejectedValueOnce(new Error('The disk is full.'))
    await useDesk.getState().edit(rename('Tides'))
    expect(useDesk.getState().edits).toEqual([])
    expect(useDesk.getState().undone).toEqual([rename('Tides')])
    expect(problems()).toEqual(['The disk is full.'])
    await useDesk.getState().redo()
    expect(valuesOf(useDesk.getState().edits)).toEqual([rename('Tides')])
  })

  test('an edit that fails keeps those after it', async () => {
    await open()
    jest.spyOn(api, 'addEdit').mockRejectedValueOnce(new Error('The disk is full.'))
    await Promise.all([useDesk.getState().edit(rename('a')), useDesk.getState().edit(rename('b'))])
    expect(valuesOf(useDesk.getState().edits)).toEqual([rename('b')])
  })

  test('the selection loses the layers that are gone', async () => {
    await open()
    useDesk.getState().select(['home', 'title'])
    fakeEngine.handlers.draw = () => drawn({ layers: [row('home')] })
    await useDesk.getState().edit({ kind: 'remove', layer: 'title' })
    await useDesk.getState().settled()
    expect(useDesk.getState().selection).toEqual(['home'])
  })
})

describe('undo and redo', () => {
  test('go back and forth, and remove and add what is stored', async () => {
    await open()
    await useDesk.getState().edit(rename('a'))
    await useDesk.getState().edit(rename('b'))
    await useDesk.getState().undo()
    expect(api.removeEdit).toHaveBeenCalledWith('p1', 101)
    expect(valuesOf(useDesk.getState().edits)).toEqual([rename('a')])
    await useDesk.getState().redo()
    expect(valuesOf(useDesk.getState().edits)).toEqual([rename('a'), rename('b')])
    expect(useDesk.getState().undone).toEqual([])
  })

  test('a new edit ends what could be done again', async () => {
    await open()
    await useDesk.getState().edit(rename('a'))
    await useDesk.getState().undo()
    await useDesk.getState().edit(rename('b'))
    expect(useDesk.getState().undone).toEqual([])
  })

  test('undo waits for the edit to be saved', async () => {
    await open()
    const saving = deferred<StoredEdit>()
    jest.spyOn(api, 'addEdit').mockReturnValue(saving.promise)
    const edit = useDesk.getState().edit(rename('a'))
    const undo = useDesk.getState().undo()
    expect(useDesk.getState().edits).toEqual([])
    expect(api.removeEdit).not.toHaveBeenCalled()
    saving.resolve({ id: 7, edit: rename('a') })
    await Promise.all([edit, undo])
    expect(api.removeEdit).toHaveBeenCalledWith('p1', 7)
  })

  test('what could never be saved need not be removed', async () => {
    await open()
    const saving = deferred<StoredEdit>()
    jest.spyOn(api, 'addEdit').mockReturnValue(saving.promise)
    const edit = useDesk.getState().edit(rename('a'))
    const undo = useDesk.getState().undo()
    saving.reject(new Error('The disk is full.'))
    await Promise.all([edit, undo])
    expect(api.removeEdit).not.toHaveBeenCalled()
    expect(useDesk.getState().edits).toEqual([])
  })

  test('an undo that fails is taken back', async () => {
    await open()
    await useDesk.getState().edit(rename('a'))
    jest.spyOn(api, 'removeEdit').mockRejectedValueOnce(new Error('The server is gone.'))
    await useDesk.getState().undo()
    expect(valuesOf(useDesk.getState().edits)).toEqual([rename('a')])
    expect(useDesk.getState().undone).toEqual([])
    expect(problems()).toEqual(['The server is gone.'])
  })

  test('without anything to undo or redo nothing happens', async () => {
    await open()
    await useDesk.getState().undo()
    await useDesk.getState().redo()
    expect(api.removeEdit).not.toHaveBeenCalled()
    expect(api.addEdit).not.toHaveBeenCalled()
  })
})

describe('converting', () => {
  test('the newest conversion is the one that is shown', async () => {
    await open()
    const slow = deferred<ReturnType<typeof converted>>()
    const began = deferred<void>()
    fakeEngine.handlers.convert = () => {
      fakeEngine.handlers.convert = () => converted({ elapsedMs: 2 })
      began.resolve()
      return slow.promise
    }
    useDesk.getState().setScope({ kind: 'screen', screen: 'home' })
    await began.promise
    useDesk.getState().setScope({ kind: 'layers', keys: ['title'] })
    await new Promise((done) => setImmediate(done))
    expect(useDesk.getState().converted?.elapsedMs).toBe(2)
    slow.resolve(converted({ elapsedMs: 1 }))
    await new Promise((done) => setImmediate(done))
    expect(useDesk.getState().converted?.elapsedMs).toBe(2)
  })

  test.each([
    [{ kind: 'all' } as const, []],
    [{ kind: 'screen', screen: 'home' } as const, ['home']],
    [{ kind: 'layers', keys: ['title'] } as const, ['title']],
  ])('only what is chosen is converted: %j', async (scope, select) => {
    await open()
    useDesk.getState().setScope(scope)
    await new Promise((done) => setImmediate(done))
    expect(fakeEngine.argsOf('run').at(-1)).toEqual([expect.objectContaining({ select })])
  })

  test('a conversion that fails is told once, and the desk is no longer busy', async () => {
    await open()
    const fail = (): never => {
      throw new Error('This should not have happened.')
    }
    fakeEngine.handlers.run = fail
    fakeEngine.handlers.convert = fail
    await useDesk.getState().edit(rename('a'))
    await useDesk.getState().settled()
    expect(problems()).toEqual(['This should not have happened.'])
    expect(useDesk.getState().isBusy).toBe(false)
  })

  test('settings are used at once and saved', async () => {
    await open()
    useDesk.getState().changeSettings({ target: 'vue' })
    expect(useDesk.getState().settings.target).toBe('vue')
    await new Promise((done) => setImmediate(done))
    expect(api.changeSettings).toHaveBeenCalledWith(
      'p1',
      expect.objectContaining({ target: 'vue' }),
      'first',
    )
    expect(fakeEngine.argsOf('run').at(-1)).toEqual([expect.objectContaining({ target: 'vue' })])
  })

  test('a file that is put back where it was is no longer renamed', async () => {
    await open()
    useDesk.getState().renameFile('index.html', 'today.html')
    expect(useDesk.getState().settings.files?.renamed).toEqual({ 'index.html': 'today.html' })
    useDesk.getState().renameFile('index.html', 'index.html')
    expect(useDesk.getState().settings.files?.renamed).toEqual({})
  })
})

describe('another window', () => {
  const theirs = { target: 'html', styling: 'css', language: 'de' } as const
  const refuseOnce = (): jest.SpyInstance =>
    jest
      .spyOn(api, 'changeSettings')
      .mockRejectedValueOnce(
        new ApiError('They changed.', 409, { current: theirs, version: 'second' }),
      )
  const rest = async (): Promise<void> => {
    await useDesk.getState().catchUp()
    await useDesk.getState().settled()
  }
  const state = (changes: object): void => {
    jest.spyOn(api, 'getState').mockResolvedValue({ ...PROJECT, ...changes })
  }
  beforeEach(() => state({ settingsVersion: 'next' }))

  test('settings that were changed in both are brought together, and saved as that', async () => {
    await open()
    const asked = refuseOnce()
    useDesk.getState().changeSettings({ target: 'vue' })
    await rest()
    const both = { target: 'vue', styling: 'css', language: 'de' }
    expect(asked.mock.calls.at(-1)).toEqual(['p1', both, 'second'])
    expect(useDesk.getState().settings).toEqual(both)
    expect(problems()).toEqual([])
  })

  test.each([
    ['mine', 'scss'],
    ['theirs', 'css'],
  ] as const)('a person says whose change of one setting holds: %s', async (choice, styling) => {
    await open()
    const asked = refuseOnce()
    useDesk.getState().changeSettings({ styling: 'scss', target: 'vue' })
    const done = rest()
    await new Promise((ready) => setTimeout(ready))
    const { asked: question } = useConflicts.getState()
    expect(question).toMatchObject({
      what: 'settings',
      conflicts: [{ path: 'styling', mine: 'scss', theirs: 'css' }],
    })
    question!.answer(choice)
    await done
    expect(asked.mock.calls.at(-1)![1]).toEqual({ target: 'vue', styling, language: 'de' })
    expect(useConflicts.getState().asked).toBeUndefined()
  })

  test('what it changed is shown here, without a word', async () => {
    await open()
    const edits = [{ id: 7, edit: rename('Beach') }]
    state({ name: 'Shore', settings: theirs, settingsVersion: 'second', edits })
    await rest()
    expect(useDesk.getState()).toMatchObject({
      project: { name: 'Shore' },
      settings: theirs,
      edits,
    })
    expect(fakeEngine.argsOf('run').at(-1)).toEqual([
      expect.objectContaining({ styling: 'css', edits: [rename('Beach')] }),
    ])
    expect(problems()).toEqual([])
  })

  test('what this window itself saved is nothing new', async () => {
    await open()
    await useDesk.getState().edit(rename('a'))
    await useDesk.getState().settled()
    const { edits } = useDesk.getState()
    state({ edits: [{ id: 100, edit: rename('a') }] })
    await rest()
    expect(useDesk.getState().edits).toBe(edits)
  })

  test('an edition it took in is opened', async () => {
    await open()
    state({ edition: 2 })
    jest.spyOn(api, 'getProject').mockResolvedValue({ ...PROJECT, edition: 2 })
    await rest()
    expect(useDesk.getState().project?.edition).toBe(2)
    expect(useToasts.getState().toasts[0]?.text).toBe(
      'Another window took in a new edition; it is shown here now.',
    )
  })
})

describe('names', () => {
  test('a project is renamed once the server has it', async () => {
    await open()
    jest.spyOn(api, 'renameProject').mockResolvedValue({} as never)
    await useDesk.getState().rename('Shore')
    expect(useDesk.getState().project?.name).toBe('Shore')
  })

  test('a name that cannot be saved is not shown', async () => {
    await open()
    jest.spyOn(api, 'renameProject').mockRejectedValue(new Error('The name is too long.'))
    await useDesk.getState().rename('x'.repeat(500))
    expect(useDesk.getState().project?.name).toBe('Tidewrack')
    expect(problems()).toEqual(['The name is too long.'])
  })
})

test('what is pointed at is told only when it changes', async () => {
  await open()
  const seen: unknown[] = []
  const stop = useDesk.subscribe(({ pointed }) => seen.push(pointed))
  useDesk.getState().point('title')
  useDesk.getState().point('title')
  useDesk.getState().point(undefined)
  stop()
  expect(seen).toEqual(['title', undefined])
})
