import { create } from 'zustand'
import {
  emitStyleOf,
  TARGET_IDS,
  type ContrastPair,
  type Edit,
  type TargetId,
} from '@unimorph/core'
import { Cancelled, createEngine } from '../../../engine/engine'
import type { LayerDetails } from '../../../engine/inspect-layer'
import type {
  ArrangedBox,
  Comparison,
  MendAnswer,
  MendChoice,
  StructureReport,
} from '../../../engine/structure'
import type {
  CodebaseInUse,
  Converted,
  ConvertRequest,
  Drawn,
  Engine,
  ExportKind,
  GlossaryReport,
  NamedFile,
  Running,
  TextPiece,
  TokenList,
  Translated,
} from '../../../engine/protocol'
import type { NamedRole } from '../../../engine/roles'
import type { WidthAnswer, WidthFaults } from '../../../engine/widths'
import {
  api,
  messageOf,
  type ProjectCodebase,
  type ProjectDetail,
  type Settings,
  type StoredEdit,
} from '../../../shared/lib/api'
import { bundleOnce } from './bundle'
import { buildPreviewFiles } from './preview-html'
import { createQueue } from './queue'
import { resultWatch } from './result-watch'
import { loadFonts } from '../../../shared/lib/fonts-store'
import { mergeThree } from '../../../shared/lib/merge'
import { saveMerged, type Versioned } from '../../../shared/lib/save-merged'
import { showPlain, showProblem } from '../../../shared/lib/toast-store'

/** Which part of the design is converted. */
export type Scope =
  | { readonly kind: 'all' }
  | { readonly kind: 'screen'; readonly screen: string }
  | { readonly kind: 'layers'; readonly keys: readonly string[] }

type DeskState = {
  readonly project: ProjectDetail | undefined
  readonly problem: string | undefined
  readonly settings: Settings
  readonly edits: readonly StoredEdit[]
  readonly undone: readonly Edit[]
  readonly drawn: Drawn | undefined
  readonly converted: Converted | undefined
  /** What is run: of the newest change sooner than all that is said of it. */
  readonly running: Running | undefined
  /** What keeps the code that is converted from being run. */
  readonly buildErrors: readonly string[]
  /** The target whose code is shown beside that of the one that is run, and that code. */
  readonly beside: TargetId | undefined
  readonly translated: Translated | undefined
  /** The code of the target that is wanted, until it runs. */
  readonly early: Translated | undefined
  /** The codebase whose components are used, and its glossary. */
  readonly codebase: ProjectCodebase | undefined
  readonly isBusy: boolean
  readonly selection: readonly string[]
  /** About the layer selected last. */
  readonly details: LayerDetails | undefined
  /** Layer pointed at in the outline or on the design. */
  readonly pointed: string | undefined
  readonly screen: string | undefined
  readonly scope: Scope
}

type DeskActions = {
  open(id: string): Promise<void>
  close(): void
  select(keys: readonly string[]): void
  point(key: string | undefined): void
  showScreen(key: string): void
  setScope(scope: Scope): void
  changeSettings(changes: Partial<Settings>): void
  /** Shows the code of another target beside that of the one that is run; none when undefined. */
  showBeside(target: TargetId | undefined): void
  /** Puts a file elsewhere; `from` is what it would be called. */
  renameFile(from: string, to: string): void
  edit(edit: Edit): Promise<void>
  /** Takes over what was changed in another window. */
  catchUp(): Promise<void>
  /** Uses a codebase, or none, and converts anew. */
  setCodebase(codebase: ProjectCodebase | undefined): Promise<void>
  setBuildErrors(said: readonly string[]): void
  glossary(): Promise<GlossaryReport | undefined>
  undo(): Promise<void>
  redo(): Promise<void>
  rename(name: string): Promise<void>
  pack(): Promise<Uint8Array>
  export(kind: ExportKind): Promise<NamedFile[]>
  layerFile(...args: Parameters<Engine['layerFile']>): Promise<NamedFile | undefined>
  listTokens(): Promise<TokenList>
  listPairs(): Promise<readonly ContrastPair[]>
  listTexts(screen: string): Promise<TextPiece[]>
  /** Once the design is drawn and converted as it is now; what is not shown at once waits for that. */
  settled(): Promise<void>
  report(): Promise<StructureReport>
  widths(screen: string): Promise<WidthAnswer | undefined>
  roles(screen: string): Promise<readonly NamedRole[]>
  faults(): Promise<WidthFaults | undefined>
  mend(choice: MendChoice): Promise<MendAnswer>
  listArranged(screen: string): Promise<ArrangedBox[]>
  /** The code and layers of a screen as they are, and with some more edits. */
  compare(more: readonly Edit[], screen: string): Promise<Comparison>
}

const START: DeskState = {
  project: undefined,
  problem: undefined,
  settings: { target: 'html', styling: 'tailwind' },
  edits: [],
  undone: [],
  drawn: undefined,
  converted: undefined,
  running: undefined,
  buildErrors: [],
  beside: undefined,
  translated: undefined,
  early: undefined,
  codebase: undefined,
  isBusy: false,
  selection: [],
  details: undefined,
  pointed: undefined,
  screen: undefined,
  scope: { kind: 'all' },
}

const engine = createEngine()

const inUse = (found: ProjectCodebase | undefined): CodebaseInUse | undefined =>
  found && { entries: found.glossary, codebase: found.codebase }

const selectedBy = (scope: Scope): readonly string[] =>
  scope.kind === 'all' ? [] : scope.kind === 'screen' ? [scope.screen] : scope.keys

/** The project whose codebase the code may need; undefined where it has none. */
export const codebaseProject = ({
  codebase,
  project,
}: Pick<DeskState, 'codebase' | 'project'>): string | undefined => codebase && project?.id

/** For so long nothing is done before other targets are made ready: a person who has just opened or changed something goes on. */
const IDLE_MS = 2000
/** Between two of them. */
const BREATH_MS = 150
/** For so long what is said of a conversion waits for what is run of it to be seen. */
const LONGEST_SHOWING_MS = 500
/** What takes longer to convert is not converted to what nobody has asked for. */
const LONGEST_AHEAD_MS = 600

const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms))

/** Everything the desk shows. Editing produces edits as values; the drawing and the code follow from them. */
export const useDesk = create<DeskState & DeskActions>((set, get) => {
  let opening = 0
  let converting = 0
  let working: Promise<void> = Promise.resolve()
  /** The settings as the server has them. */
  let known: Versioned<Settings> = { value: START.settings, version: '' }

  const report = (error: unknown): void => {
    if (!(error instanceof Cancelled)) showProblem(messageOf(error))
  }
  const values = (): Edit[] => get().edits.map((e) => e.edit)

  const inspect = async (): Promise<void> => {
    const key = get().selection.at(-1)
    const details = key === undefined ? undefined : await engine.call('inspect', key)
    if (get().selection.at(-1) === key) set({ details })
  }
  const draw = async (): Promise<void> => {
    const drawn = await engine.call('draw', values())
    const keys = new Set(drawn.layers.map((l) => l.key))
    const { screen, selection } = get()
    const hasScreen = drawn.screens.some((s) => s.key === screen)
    const isAllThere = selection.every((key) => keys.has(key))
    set({
      drawn,
      screen: hasScreen ? screen : drawn.screens[0]?.key,
      // The same list, where it holds the same: what is marked is not marked anew.
      selection: isAllThere ? selection : selection.filter((key) => keys.has(key)),
    })
    await inspect()
  }
  const requestOf = (): ConvertRequest => {
    const { settings, scope } = get()
    const { target, styling, derivesStates = true, language, grain, library } = settings
    const { code, files } = settings
    return {
      edits: values(),
      target,
      styling,
      house: { code, files, ...emitStyleOf(settings) },
      select: selectedBy(scope),
      derivesStates,
      language,
      grain,
      library,
    }
  }
  /** The code of the target that is shown beside the one that is run. */
  const translate = async (): Promise<void> => {
    const { beside } = get()
    if (beside === undefined) return
    const turn = converting
    const translated = await engine.call('translate', { ...requestOf(), target: beside })
    if (turn === converting && get().beside === beside) set({ translated })
  }
  /** Makes the code of all other targets ready, one after the other, for as long as nothing else is to be done. */
  const lookAhead = async (turn: number): Promise<void> => {
    const own = requestOf()
    await wait(IDLE_MS)
    for (const target of TARGET_IDS) {
      await wait(BREATH_MS)
      if (turn !== converting) return
      if (target !== own.target) await engine.call('translateAhead', { ...own, target })
    }
  }
  const convert = async (): Promise<void> => {
    const turn = ++converting
    set({ isBusy: true })
    try {
      const request = requestOf()
      const isOther = get().converted !== undefined && get().converted?.target !== request.target
      // The code of another target is shown at once, before it is built and runs.
      const early = isOther ? engine.call('translate', request) : undefined
      const run = engine.call('run', request)
      // Where one fails the others do: it is told once.
      run.catch(() => undefined)
      if (early) {
        const shown = await early
        if (turn === converting) set({ early: shown })
      }
      const running = await run
      if (turn !== converting) return
      // It is built while the desk is drawn anew.
      void bundleOnce(running, buildPreviewFiles, codebaseProject(get()))
      set({ running })
      // Building and showing it needs all that the machine has.
      await resultWatch.seen(LONGEST_SHOWING_MS)
      if (turn !== converting) return
      const converted = await engine.call('convert', request)
      // A later change is already on its way; its result is the one to show.
      if (turn !== converting) return
      set({ converted, early: undefined })
      await translate()
      if (converted.elapsedMs < LONGEST_AHEAD_MS) lookAhead(turn).catch(() => undefined)
    } catch (error) {
      report(error)
    } finally {
      if (turn === converting) set({ isBusy: false })
    }
  }
  /** Draws and converts; the worker need not wait for what is shown of the one before it begins the other. */
  const refresh = (): Promise<void> => {
    const drawing = draw()
    working = convert().then(() => drawing)
    drawing.catch(() => undefined)
    return working
  }
  const settled = async (): Promise<void> => {
    let waited: Promise<void>
    do {
      waited = working
      await waited.catch(() => undefined)
    } while (waited !== working)
  }
  const follow = (): void => {
    refresh().catch(report)
  }
  /** Edits reach the server one after the other, in the order they were made. */
  const save = createQueue()
  /** What edits are called by the server, by what they are called here: they are shown before they are saved. */
  const saved = new Map<number, number>()
  let lastId = 0

  /** Shows what an edit does at once and saves it; where it cannot be saved, it is undone and can be done again. */
  const add = async (edit: Edit, undone: readonly Edit[]): Promise<void> => {
    const id = get().project?.id
    if (!id) return
    const own: StoredEdit = { id: --lastId, edit }
    set({ edits: [...get().edits, own], undone })
    follow()
    try {
      saved.set(own.id, (await save(() => api.addEdit(id, edit))).id)
    } catch (error) {
      if (get().project?.id !== id) return
      const { edits } = get()
      // It may have been undone meanwhile.
      if (edits.includes(own)) {
        set({ edits: edits.filter((one) => one !== own), undone: [...get().undone, edit] })
      }
      follow()
      report(error)
    }
  }

  /** Takes over settings the server has; what was changed here and is not saved yet stays. */
  const takeSettings = (from: Settings, theirs: Versioned<Settings>): void => {
    known = theirs
    const { value } = mergeThree(from, get().settings, theirs.value)
    if (JSON.stringify(value) === JSON.stringify(get().settings)) return
    set({ settings: value })
    void convert()
  }
  const saveSettings = async (id: string): Promise<void> => {
    if (get().project?.id !== id) return
    const mine = get().settings
    const saved = await saveMerged({
      what: 'settings',
      base: known,
      mine,
      save: async (value, version) => {
        const { settings, version: next } = await api.changeSettings(id, value, version)
        return { value: settings, version: next }
      },
    })
    if (get().project?.id === id) takeSettings(mine, saved)
  }
  /** What the server calls the edits shown here; those it does not have yet are left out. */
  const savedIds = (edits: readonly StoredEdit[]): readonly number[] =>
    edits.flatMap(({ id }) => (id < 0 ? (saved.get(id) ?? []) : id))
  /** Takes over what was changed in another window. */
  const takeState = async (project: ProjectDetail): Promise<void> => {
    const before = get().edits
    const state = await api.getState(project.id)
    if (get().project?.id !== project.id) return
    if (state.edition !== project.edition) {
      showPlain('Another window took in a new edition; it is shown here now.')
      void get().open(project.id)
      return
    }
    if (state.name !== project.name) set({ project: { ...project, name: state.name } })
    // Settings that are not saved yet are brought together with these when they are.
    const isSaved = JSON.stringify(get().settings) === JSON.stringify(known.value)
    if (isSaved && state.settingsVersion !== known.version)
      takeSettings(known.value, { value: state.settings, version: state.settingsVersion })
    // What was done here meanwhile is not on the server yet: it is looked at again after that.
    if (get().edits !== before) void get().catchUp()
    else if (String(savedIds(before)) !== String(state.edits.map(({ id }) => id))) {
      set({ edits: state.edits })
      follow()
    }
  }

  return {
    ...START,
    async open(id) {
      const turn = ++opening
      converting++
      set(START)
      try {
        const project = await api.getProject(id)
        if (turn !== opening) return
        // Scanned while the design is read; a codebase that cannot be read keeps no design from being shown.
        const scanning = api.getCodebase(id).catch((error: unknown) => {
          if (turn === opening) report(error)
          return undefined
        })
        const { fontNeeds } = await engine.call('open', project.design)
        const fonts = await loadFonts(fontNeeds)
        if (turn !== opening) return
        await engine.call('useFonts', fonts)
        const codebase = await scanning
        if (turn !== opening) return
        await engine.call('useCodebase', inUse(codebase))
        const { settings, settingsVersion, edits } = project
        known = { value: settings, version: settingsVersion }
        set({ project, settings, edits, codebase })
        await refresh()
      } catch (error) {
        if (turn === opening && !(error instanceof Cancelled)) set({ problem: messageOf(error) })
      }
    },
    close() {
      opening++
      converting++
      engine.cancel()
      set(START)
    },
    select(keys) {
      const first = get().drawn?.layers.find((l) => l.key === keys.at(-1))
      set({ selection: keys, ...(first ? { screen: first.screen } : {}) })
      inspect().catch(report)
    },
    point(pointed) {
      if (pointed !== get().pointed) set({ pointed })
    },
    showScreen(screen) {
      // A converted part is a page too, but no screen of the design.
      if (get().drawn?.screens.some((s) => s.key === screen)) set({ screen })
    },
    setScope(scope) {
      set({ scope })
      void convert()
    },
    changeSettings(changes) {
      const settings = { ...get().settings, ...changes }
      set({ settings })
      void convert()
      const id = get().project?.id
      if (id) save(() => saveSettings(id)).catch(report)
    },
    async catchUp() {
      const { project } = get()
      if (project) await save(() => takeState(project)).catch(report)
    },
    showBeside(beside) {
      set({ beside, translated: undefined })
      translate().catch(report)
    },
    renameFile(from, to) {
      const { files = {} } = get().settings
      const { [from]: _before, ...others } = files.renamed ?? {}
      const renamed = from === to ? others : { ...others, [from]: to }
      get().changeSettings({ files: { ...files, renamed } })
    },
    setBuildErrors(said) {
      if (said.length > 0 || get().buildErrors.length > 0) set({ buildErrors: said })
    },
    async setCodebase(codebase) {
      set({ codebase })
      await engine.call('useCodebase', inUse(codebase))
      await convert()
    },
    glossary: () => engine.call('glossary', get().settings.target),
    edit: (edit) => add(edit, []),
    async undo() {
      const { project, edits } = get()
      const last = edits.at(-1)
      if (!project || !last) return
      set({ edits: edits.slice(0, -1), undone: [...get().undone, last.edit] })
      follow()
      try {
        await save(async () => {
          const id = last.id < 0 ? saved.get(last.id) : last.id
          // What could not be saved need not be taken back.
          if (id !== undefined) await api.removeEdit(project.id, id)
        })
      } catch (error) {
        set({ edits: [...get().edits, last], undone: get().undone.slice(0, -1) })
        follow()
        report(error)
      }
    },
    async redo() {
      const { undone } = get()
      const edit = undone.at(-1)
      if (edit) await add(edit, undone.slice(0, -1))
    },
    async rename(name) {
      const { project } = get()
      if (!project) return
      try {
        await api.renameProject(project.id, name)
        set({ project: { ...project, name } })
      } catch (error) {
        report(error)
      }
    },
    pack() {
      const { codebase, converted } = get()
      const files = converted?.files ?? []
      // A codebase has its own way of being built: what is taken away is unpacked into it.
      return engine.call('pack', codebase ? files.filter(({ role }) => role !== 'scaffold') : files)
    },
    export: (kind) => engine.call('export', kind),
    layerFile: (...args) => engine.call('layerFile', ...args),
    listTokens: () => engine.call('listTokens'),
    listPairs: () => engine.call('listPairs'),
    listTexts: (screen) => engine.call('listTexts', screen),
    settled,
    report: () => engine.call('report'),
    widths: (screen) => engine.call('widths', screen),
    roles: (screen) => engine.call('roles', screen),
    faults: () => engine.call('faults'),
    mend: (choice) => engine.call('mend', choice),
    listArranged: (screen) => engine.call('listArranged', screen),
    compare: (more, screen) =>
      engine.call('compare', values(), [...values(), ...more], screen, get().settings.target),
  }
})
