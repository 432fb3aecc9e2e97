/**
 * @jest-environment ./src/testing/dom-environment.mjs
 */
import type { Entrance, Finding, Hover, Note } from '@unimorph/core'
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react'
import type { LayerDetails } from '../../../engine/inspect-layer'
import type { TokenList, TokenRow } from '../../../engine/protocol'
import type { NamedRole } from '../../../engine/roles'
import type { StructureReport } from '../../../engine/structure'
import type { ProjectDetail } from '../../../shared/lib/api'
import { converted, drawn, row } from '../../../testing/fake-engine'
import { useDesk } from '../model/desk-store'
import { useGlossary } from '../model/glossary-store'
import { useRoles } from '../model/roles-store'
import { useStage } from '../model/stage-store'
import { useStructure } from '../model/structure-store'
import { useWidths } from '../model/widths-store'
import { BuildErrors } from './BuildErrors'
import { CodebaseChooser } from './CodebaseChooser'
import { DesignPane } from './DesignPane'
import { GlossaryTab } from './GlossaryTab'
import { LayerCard } from './LayerCard'
import { MeaningTab } from './MeaningTab'
import { MotionCard } from './MotionCard'
import { NotesPanel } from './NotesPanel'
import { NumberBox } from './NumberBox'
import { Outline } from './Outline'
import { PartsTab } from './PartsTab'
import { StructureTab } from './StructureTab'
import { TokenSelect } from './TokenSelect'
import { TokensTab } from './TokensTab'
import { WidthTab } from './WidthTab'

jest.mock('../../../engine/engine', () =>
  jest
    .requireActual<typeof import('../../../testing/fake-engine')>('../../../testing/fake-engine')
    .engineModule(),
)

const desk = useDesk.getState()
const initial = [useDesk, useGlossary, useRoles, useStage, useStructure, useWidths].map(
  (store) => [store, store.getState()] as const,
)
const never = <T,>(): Promise<T> => new Promise<T>(() => undefined)
let edit: jest.Mock
beforeEach(() => {
  for (const [store, state] of initial)
    (store.setState as (s: unknown, r: true) => void)(state, true)
  edit = jest.fn().mockResolvedValue(undefined)
  useDesk.setState({ edit, settled: () => Promise.resolve(), listTokens: () => never() })
})
afterEach(cleanup)

const card = (name: string) => within(screen.getByRole('group', { name }))

describe('NumberBox', () => {
  const enter = (text: string, most?: number): jest.Mock => {
    const onChange = jest.fn()
    render(
      <NumberBox
        label="Scale"
        value={1}
        least={0.5}
        {...(most ? { most } : {})}
        onChange={onChange}
      />,
    )
    const input = screen.getByRole('spinbutton', { name: 'Scale' })
    fireEvent.change(input, { target: { value: text } })
    fireEvent.blur(input)
    return onChange
  }
  test('a figure counts once it is entered', () => {
    expect(enter('1.2')).toHaveBeenCalledWith(1.2)
  })
  test.each([
    ['below the least', '0.1', undefined],
    ['above the most', '9', 2],
    ['nothing', '', undefined],
    ['what it was', '1', undefined],
  ])('%s is put back', (_what, text, most) => {
    expect(enter(text, most)).not.toHaveBeenCalled()
    expect(screen.getByRole<HTMLInputElement>('spinbutton').value).toBe('1')
  })
})

const token = (name: string, type: TokenRow['type']): TokenRow =>
  ({ name, type, values: { light: '#2a6340' }, useCount: 0, code: {} }) as unknown as TokenRow

test('TokenSelect gives the token, or none', () => {
  const onChange = jest.fn()
  const kelp = token('color.kelp', 'color')
  render(
    <TokenSelect
      label="Token"
      none="no token"
      tokens={[kelp]}
      value={undefined}
      onChange={onChange}
    />,
  )
  const select = screen.getByRole('combobox', { name: 'Token' })
  fireEvent.change(select, { target: { value: 'color.kelp' } })
  expect(onChange).toHaveBeenLastCalledWith(kelp)
  fireEvent.change(select, { target: { value: '' } })
  expect(onChange).toHaveBeenLastCalledWith(undefined)
})

describe('MotionCard', () => {
  const show = (hover?: Hover, entrance?: Entrance) =>
    render(<MotionCard layer="card" hover={hover} entrance={entrance} />)
  const STILL: Entrance = {
    at: 'view',
    opacity: 1,
    x: 0,
    y: 16,
    scale: 1,
    rotationDeg: 0,
    delayMs: 0,
    durationMs: 600,
    easing: 'ease-out',
  }

  test('an effect is switched on with its usual figure', () => {
    show()
    fireEvent.click(card('On hover').getByRole('checkbox', { name: 'Scale' }))
    expect(edit).toHaveBeenCalledWith({
      kind: 'set-interaction',
      layers: ['card'],
      hover: { effects: [{ kind: 'scale', to: 1.05 }], durationMs: 200 },
    })
  })

  test('the last effect that is switched off leaves none', () => {
    show({ effects: [{ kind: 'underline' }], durationMs: 200 })
    fireEvent.click(card('On hover').getByRole('checkbox', { name: 'Underline' }))
    expect(edit).toHaveBeenCalledWith(expect.objectContaining({ hover: null }))
  })

  test('a figure of an effect is set, and the others stay', () => {
    show({ effects: [{ kind: 'underline' }, { kind: 'fade', to: 0.8 }], durationMs: 200 })
    const input = card('On hover').getByRole('spinbutton', { name: 'Opacity' })
    fireEvent.change(input, { target: { value: '0.5' } })
    fireEvent.blur(input)
    expect(edit).toHaveBeenCalledWith(
      expect.objectContaining({
        hover: { effects: [{ kind: 'underline' }, { kind: 'fade', to: 0.5 }], durationMs: 200 },
      }),
    )
  })

  test('a background takes a colour token of the design', async () => {
    const list = { modes: ['light'], tokens: [token('color.kelp', 'color')], proposals: [] }
    useDesk.setState({
      drawn: drawn(),
      listTokens: () => Promise.resolve(list as unknown as TokenList),
    })
    await act(async () => show({ effects: [{ kind: 'tint', color: '#e7efe9' }], durationMs: 200 }))
    fireEvent.change(screen.getByRole('combobox', { name: 'Background token' }), {
      target: { value: 'color.kelp' },
    })
    expect(edit).toHaveBeenCalledWith(
      expect.objectContaining({
        hover: {
          effects: [{ kind: 'tint', color: '#2a6340', token: 'color.kelp' }],
          durationMs: 200,
        },
      }),
    )
  })

  test('an entrance is made of parts, and taken away with None', () => {
    show(undefined, STILL)
    const group = card('On entering')
    expect(group.getByRole<HTMLInputElement>('checkbox', { name: 'Move from below' }).checked).toBe(
      true,
    )
    fireEvent.click(group.getByRole('checkbox', { name: 'Opacity' }))
    expect(edit).toHaveBeenLastCalledWith(
      expect.objectContaining({ entrance: { ...STILL, opacity: 0 } }),
    )
    fireEvent.click(group.getByRole('button', { name: 'None' }))
    expect(edit).toHaveBeenLastCalledWith(expect.objectContaining({ entrance: null }))
  })

  test('without an entrance None is pressed and there is no timing', () => {
    show()
    const group = card('On entering')
    expect(group.getByRole('button', { name: 'None' }).getAttribute('aria-pressed')).toBe('true')
    expect(group.queryByRole('spinbutton')).toBeNull()
  })
})

describe('NotesPanel', () => {
  const note = (message: string, severity: Note['severity'], layer?: string): Note =>
    ({ code: 'x/y', severity, message, help: 'Do this.', where: layer ? { layer } : {} }) as Note

  test('says that there is nothing to note', () => {
    render(<NotesPanel />)
    fireEvent.click(screen.getByRole('button', { name: /^Notes/ }))
    expect(screen.getByText(/Nothing to note/)).toBeTruthy()
  })

  test('counts what is serious, and lists the gravest first', () => {
    useDesk.setState({
      project: {
        notes: [note('just so', 'info'), note('wrong', 'error')],
      } as unknown as ProjectDetail,
      converted: converted({ notes: [note('doubtful', 'warning', 'title')] }),
      drawn: drawn(),
    })
    render(<NotesPanel />)
    const button = screen.getByRole('button', { name: /^Notes/ })
    expect(button.textContent).toContain('2 ! of 3')
    fireEvent.click(button)
    const texts = screen.getAllByRole('listitem').map(({ textContent }) => textContent)
    expect(texts.map((text) => /wrong|doubtful|just so/.exec(text ?? '')?.[0])).toEqual([
      'wrong',
      'doubtful',
      'just so',
    ])
  })

  test('leads to the layer, where there is one', () => {
    const select = jest.fn()
    useDesk.setState({
      converted: converted({ notes: [note('a', 'info', 'title'), note('b', 'info', 'gone')] }),
      drawn: drawn(),
      select,
    })
    render(<NotesPanel />)
    fireEvent.click(screen.getByRole('button', { name: /^Notes/ }))
    const links = screen.getAllByRole('button', { name: 'Show the layer' })
    expect(links).toHaveLength(1)
    fireEvent.click(links[0]!)
    expect(select).toHaveBeenCalledWith(['title'])
  })
})

describe('StructureTab', () => {
  const finding = (rest: Partial<Finding> = {}): Finding =>
    ({
      id: 'f1',
      kind: 'covered',
      severity: 'problem',
      screen: 'home',
      layers: ['title'],
      message: 'Title is covered.',
      evidence: [],
      ...rest,
    }) as unknown as Finding
  const report = (findings: readonly Finding[]): StructureReport =>
    ({
      findings,
      grades: [],
      start: [],
      kinds: [{ id: 'covered', title: 'Covered layer', why: 'Nobody sees it.' }],
    }) as unknown as StructureReport
  const show = (findings?: readonly Finding[]) => {
    useDesk.setState({ screen: 'home', drawn: drawn() })
    useStructure.setState({
      load: () => Promise.resolve(),
      ...(findings ? { report: report(findings) } : {}),
    })
    render(<StructureTab />)
  }

  test('says what it does while it looks', () => {
    show()
    expect(screen.getByText('Looking through the design …')).toBeTruthy()
  })

  test('says what to do where nothing was found, and offers no remedy', () => {
    show([])
    expect(screen.getByText(/Nothing was found on this screen/)).toBeTruthy()
    const button = screen.getByRole<HTMLButtonElement>('button', { name: 'Mend all safe' })
    expect(button.disabled).toBe(true)
  })

  test('a finding without a remedy says so', () => {
    show([finding()])
    fireEvent.click(screen.getByRole('button', { name: /Title is covered/ }))
    expect(screen.getByText(/No automatic repair/)).toBeTruthy()
    expect(screen.getByText('Nobody sees it.')).toBeTruthy()
  })

  test('findings of other screens are not listed', () => {
    show([finding({ screen: 'other' } as Partial<Finding>)])
    expect(screen.queryByText('Title is covered.')).toBeNull()
  })

  test('many of a kind are shown on demand', () => {
    show(Array.from({ length: 9 }, (_, i) => finding({ id: `f${i}`, message: `Finding ${i}` })))
    expect(screen.queryByText('Finding 8')).toBeNull()
    fireEvent.click(screen.getByRole('button', { name: 'Show 3 more' }))
    expect(screen.getByText('Finding 8')).toBeTruthy()
  })
})

describe('MeaningTab', () => {
  const role = (layer: string, confidence: number, rest: Partial<NamedRole> = {}): NamedRole =>
    ({
      layer,
      name: layer,
      role: 'heading',
      level: 2,
      confidence,
      evidence: ['it is larger than the text'],
      alike: [layer],
      isRuling: false,
      ...rest,
    }) as unknown as NamedRole
  const show = (roles?: readonly NamedRole[]) => {
    useDesk.setState({ drawn: drawn(), screen: 'home', converted: converted() })
    useRoles.setState({ load: () => Promise.resolve(), ...(roles ? { roles } : {}) })
    render(<MeaningTab />)
  }

  test('says what it does while it reads', () => {
    show()
    expect(screen.getByText('Reading roles …')).toBeTruthy()
  })

  test('says so where nothing is to be decided and nothing has a role', () => {
    show([])
    expect(screen.getByText(/Nothing to decide/)).toBeTruthy()
    expect(screen.getByText(/No layer has a role yet/)).toBeTruthy()
  })

  test('what is doubtful comes first, the least certain at the top', () => {
    show([role('sure', 0.98), role('less', 0.55), role('more', 0.65)])
    const names = screen
      .getAllByRole('button', { name: /heading 2/ })
      .map(({ textContent }) => /^[a-z]+?(?=heading)/.exec(textContent ?? '')?.[0])
    expect(names).toEqual(['less', 'more', 'sure'])
  })

  test('styles for hover and press are a setting', () => {
    const changeSettings = jest.fn()
    useDesk.setState({ changeSettings })
    show([])
    fireEvent.click(screen.getByRole('checkbox', { name: 'Add hover and active styles' }))
    expect(changeSettings).toHaveBeenCalledWith({ derivesStates: false })
  })

  test('the language is shown as detected until one is chosen', () => {
    const changeSettings = jest.fn()
    useDesk.setState({ changeSettings })
    show([])
    const select = screen.getByRole<HTMLSelectElement>('combobox', { name: 'Language' })
    expect(select.selectedOptions[0]?.textContent).toBe('Detected: English')
    fireEvent.change(select, { target: { value: 'de' } })
    expect(changeSettings).toHaveBeenCalledWith({ language: 'de' })
  })
})

describe('PartsTab', () => {
  const show = (rest: Parameters<typeof converted>[0] = {}) => {
    useDesk.setState({ drawn: drawn(), screen: 'home', converted: converted(rest) })
    render(<PartsTab />)
  }
  test('says what to do where nothing repeats', () => {
    show()
    expect(screen.getByText(/No screen shows a component of the design/)).toBeTruthy()
    expect(screen.getByText(/Nothing repeats often enough/)).toBeTruthy()
  })
  test('lists what was inlined, with the way back', () => {
    show({ target: 'react', detached: ['title'] })
    fireEvent.click(screen.getByRole('button', { name: 'Reset' }))
    expect(edit).toHaveBeenCalledWith({ kind: 'set-part', layers: ['title'], as: null })
  })
})

describe('TokensTab', () => {
  const show = async (list?: Partial<TokenList>) => {
    useDesk.setState({
      drawn: drawn(),
      ...(list
        ? {
            listTokens: () =>
              Promise.resolve({
                modes: ['light'],
                tokens: [],
                proposals: [],
                ...list,
              } as TokenList),
          }
        : {}),
    })
    await act(async () => void render(<TokensTab />))
  }
  test('says what it does while it reads', async () => {
    await show()
    expect(screen.getByText('Reading tokens …')).toBeTruthy()
  })
  test('says what to do where there are none', async () => {
    await show({})
    expect(screen.getByText(/Import a token file to add some/)).toBeTruthy()
  })
  test('names the modes where there are several', async () => {
    await show({ modes: ['light', 'dark'] })
    expect(screen.getByText('Modes: light, dark')).toBeTruthy()
  })
  test('what cannot be read is told', async () => {
    const { useToasts } = jest.requireActual<typeof import('../../../shared/lib/toast-store')>(
      '../../../shared/lib/toast-store',
    )
    useToasts.setState({ toasts: [] })
    useDesk.setState({
      drawn: drawn(),
      listTokens: () => Promise.reject(new Error('The worker stopped.')),
    })
    await act(async () => void render(<TokensTab />))
    expect(useToasts.getState().toasts.map(({ text }) => text)).toEqual(['The worker stopped.'])
  })
})

test('WidthTab says what it does while it reads', () => {
  render(<WidthTab />)
  expect(screen.getByText('Reading how the screen gives way …')).toBeTruthy()
})

describe('CodebaseChooser', () => {
  const show = (rest: Partial<ReturnType<typeof useGlossary.getState>> = {}) => {
    useGlossary.setState({ listChoices: () => Promise.resolve(), ...rest })
    render(<CodebaseChooser />)
  }
  test('looks for them first', () => {
    show()
    expect(screen.getAllByText('Looking …')).toHaveLength(2)
  })
  test('says how to get one where there are none', () => {
    show({ choices: [] })
    expect(screen.getByText('npm start -- --codebase FOLDER')).toBeTruthy()
    expect(screen.getByText('--no-demo')).toBeTruthy()
  })
  test('own ones stand with their folder, the demo’s with their target, and each is chosen by a press', () => {
    const choose = jest.fn().mockResolvedValue(undefined)
    show({
      choose,
      choices: [
        { folder: '/home/marit/shop', name: 'shop', isDemo: false },
        { folder: '/data/demo-codebases/vue', name: 'quayside-vue', isDemo: true },
      ],
    })
    const own = within(screen.getByRole('list', { name: 'Your codebases' }))
    expect(own.getByText('/home/marit/shop')).toBeTruthy()
    const demo = within(screen.getByRole('list', { name: 'Demo codebases' }))
    expect(demo.getByText('Vue')).toBeTruthy()
    fireEvent.click(demo.getByRole('button', { name: /quayside-vue/ }))
    expect(choose).toHaveBeenCalledWith('/data/demo-codebases/vue')
  })
  test('says that it scans', () => {
    show({ isScanning: true })
    expect(screen.getByRole('status').textContent).toBe('Scanning …')
  })
  test('stands under Glossary while no codebase is used', () => {
    useGlossary.setState({ listChoices: () => Promise.resolve() })
    render(<GlossaryTab />)
    expect(screen.getByText(/Choose the codebase/)).toBeTruthy()
  })
})

describe('LayerCard', () => {
  test('says what to do while nothing is selected', () => {
    render(<LayerCard />)
    expect(screen.getByText(/Select a layer/)).toBeTruthy()
  })
  test('shows size, place, distances and tokens', () => {
    const details: LayerDetails = {
      key: 'title',
      name: 'Title',
      type: 'text',
      box: { x: 8, y: 16, width: 302, height: 40 },
      rotationDeg: 0,
      opacity: 0.5,
      distances: [{ side: 'left', px: 8, to: 'Home', isNeighbour: false }],
      colors: [{ field: 'Colour', color: '#112233', token: 'color.ink' }],
      facts: [],
      tokens: [],
      limits: {},
      files: ['svg'],
    }
    useDesk.setState({ details, selection: ['home', 'title'], drawn: drawn() })
    render(<LayerCard />)
    const region = screen.getByRole('region', { name: 'Selected layer' })
    expect(region.textContent).toContain('302 × 40')
    expect(region.textContent).toContain('last of 2')
    expect(region.textContent).toContain('color.ink')
    expect(region.textContent).toContain('50%')
  })
})

test('Outline says that no layer matches', () => {
  useDesk.setState({ drawn: drawn() })
  render(<Outline />)
  fireEvent.change(screen.getByRole('searchbox'), { target: { value: 'kelp' } })
  expect(screen.getByText(/No layer matches “kelp”/)).toBeTruthy()
})

describe('BuildErrors', () => {
  test('is not there without errors', () => {
    const { container } = render(<BuildErrors errors={[]} onOpen={jest.fn()} />)
    expect(container.textContent).toBe('')
  })
  test('leads to the line, and names the layer', () => {
    const onOpen = jest.fn()
    const error = { message: 'Expected "}"', path: 'src/App.tsx', line: 3, layer: 'title' }
    useDesk.setState({ drawn: drawn({ layers: [row('title', { name: 'Title' })] }) })
    render(<BuildErrors errors={[error]} onOpen={onOpen} />)
    expect(screen.getByText('Made for Title.')).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'src/App.tsx:3' }))
    expect(onOpen).toHaveBeenCalledWith(error)
  })
})

describe('DesignPane', () => {
  const show = () => {
    useDesk.setState({
      ...desk,
      edit,
      drawn: drawn(),
      selection: ['title'],
      settled: () => never(),
    })
    const { screens } = drawn()
    render(<DesignPane screen={screens[0]!} scale={1} />)
  }
  test('the selection is marked at its corners, without a frame or a label', () => {
    show()
    const marks = screen.getByTestId('selection')
    expect(marks.querySelectorAll('path')).toHaveLength(2)
    expect(marks.querySelector('rect')?.getAttribute('fill')).toBe('none')
    expect(marks.textContent).toBe('')
  })
  test('what is pointed at is outlined, and alone while the key is held', () => {
    show()
    act(() => useDesk.getState().point('home'))
    expect(screen.getByTestId('pointed')).toBeTruthy()
    expect(screen.queryByTestId('alone')).toBeNull()
    act(() => useStage.getState().set({ isAlone: true }))
    expect(screen.queryByTestId('pointed')).toBeNull()
    expect(screen.getByTestId('alone')).toBeTruthy()
  })
  test('the selected layer is alone where nothing is pointed at', () => {
    show()
    act(() => useStage.getState().set({ isAlone: true }))
    expect(screen.getByTestId('alone')).toBeTruthy()
  })
})
