import tailwind from 'tailwindcss/index.css?raw'
import {
  codeOfTokens,
  applyGlossary,
  byConventions,
  checkGlossary,
  coverDesign,
  createSheetDrawer,
  decodeBase64,
  drawLayer,
  examineWidths,
  findAll,
  finishPictures,
  emitStyleOf,
  hasHouseStyle,
  listFontNeeds,
  measureWith,
  prepare,
  readDesign,
  readFiles,
  resolveInstances,
  scalePictures,
  stylingIn,
  stylingNotes,
  suggestGlossary,
  summarise,
  takeScreens,
  TARGETS,
  toKebab,
  withCurrentColor,
  walkLayers,
  type Design,
  type Emitted,
  type Examined,
  type EmittedFile,
  type Font,
  type Grade,
  type HouseStyle,
  type InputFile,
  type Layer,
  type TargetId,
  type UiProject,
  listContrastPairs,
} from '@unimorph/core'
import type { Delivered, DeliveredFault } from '@unimorph/core/deliver'
import { zipFiles } from '../shared/lib/zip'
import { applyAndResolve, drawScreens, type Edited } from './draw-screens'
import { exportDesign } from './export-design'
import { inspectLayer } from './inspect-layer'
import { createKnownEdits } from './known-edits'
import { listFlow, listForms } from './list-flow'
import { listRoles } from './roles'
import { listTexts } from './list-texts'
import { listTokens } from './list-tokens'
import { lookAtPicture } from './look-at-picture'
import { listFaults, listWidths } from './widths'
import { inPieces } from './in-pieces'
import { createStyleCompiler } from './style-sheets'
import { compareEdits, listArranged, mend, reportStructure } from './structure'
import type {
  CodebaseInUse,
  ConvertRequest,
  Converted,
  Engine,
  EngineAnswer,
  EngineCall,
  IntakeAnswer,
  Preview,
  Progress,
  Running,
  Translated,
} from './protocol'

// What the calls are about: a design that was read and not yet accepted, the one on the desk, as stored and
// as last drawn, and the fonts at hand.
let pending: Design | undefined
let current: Design | undefined
let edited: Edited | undefined
const drawSheets = createSheetDrawer()
const knownEdits = createKnownEdits()
let fonts: readonly Font[] = []
/** The codebase whose components are used. */
let inUse: CodebaseInUse | undefined
/** The screen that was last asked about at all widths; its key, and what was found. */
let examined: { readonly screen: string; readonly found: Examined | undefined } | undefined
/** How the design on the desk is graded without any edit; found when it is first asked for. */
let start: readonly Grade[] | undefined

const need = <T>(value: T | undefined): T => {
  if (value === undefined) throw new Error('No design is open.')
  return value
}
const measure = () => measureWith(fonts)

/** A screen at all widths, found once for each drawing. */
const examine = (screen: string): Examined | undefined => {
  if (examined?.screen !== screen) {
    examined = { screen, found: examineWidths(need(edited).design, screen, measure()) }
  }
  return examined.found
}

const compileSheet = createStyleCompiler(tailwind)
const compile = ({ styles }: Emitted): Promise<string> => compileSheet(styles)

const nothingIn = (target: TargetId): Running => ({
  target,
  files: [],
  pages: {},
  components: [],
  css: '',
})

/** What was emitted, in the style of the house; the code for that is loaded where there is one. */
const inHouseStyle = async (
  emitted: Pick<Emitted, 'files' | 'pages' | 'components'>,
  house: HouseStyle,
  target: TargetId,
): Promise<Delivered> => {
  if (!hasHouseStyle(house)) return { ...emitted, origins: {}, notes: [] }
  const { deliver } = await import('@unimorph/core/deliver')
  return deliver(emitted, house, target)
}

const checkFiles = async (files: readonly EmittedFile[]): Promise<readonly DeliveredFault[]> => {
  const { checkDelivered } = await import('@unimorph/core/deliver')
  return checkDelivered(files)
}

/** What the last conversion was made of: other targets and stylings begin where it ended. */
let prepared: { readonly by: string; readonly project: ReturnType<typeof prepare> } | undefined

const prepareFor = (request: ConvertRequest): ReturnType<typeof prepare> => {
  const { edits, select, derivesStates, language, grain, library } = request
  const options = { derivesStates, language, grain, library }
  const by = JSON.stringify([edits, select, options])
  if (prepared?.by !== by) {
    prepared = { by, project: prepare(need(current), knownEdits(edits), select, fonts, options) }
  }
  return prepared.project
}

type Glossed = Pick<ReturnType<typeof applyGlossary>, 'project' | 'notes'>

/** What the glossary made of a project last: what is run, delivered and said of a conversion begins with it. */
let glossed:
  { readonly of: UiProject; readonly target: TargetId; readonly made: Glossed } | undefined

const translate = (project: UiProject, target: TargetId): Glossed => {
  if (!inUse) return { project, notes: [] }
  if (glossed?.of !== project || glossed.target !== target) {
    const made = applyGlossary(project, inUse.entries, inUse.codebase, target)
    glossed = { of: project, target, made }
  }
  return glossed.made
}

/** The style of the house: what a person has said, and else what the codebase is like. */
const houseOf = ({ house }: ConvertRequest): HouseStyle =>
  inUse ? byConventions(inUse.codebase.conventions, house) : house

type Ready = {
  readonly emitted: Emitted
  readonly delivered: Delivered
  readonly faults: readonly DeliveredFault[]
  readonly css?: string
}

/** Code that is ready, by what it was asked for; as much as there are targets, for what was prepared last. */
const ready = new Map<string, { readonly of: UiProject; readonly made: Promise<Ready> }>()

/** What is delivered, with the style sheet that is compiled for it; at once where it was asked for before. */
const deliverAs = (project: UiProject, request: ConvertRequest): Promise<Ready> => {
  const { target, styling, house } = request
  const key = JSON.stringify([target, styling, house])
  const known = ready.get(key)
  if (known?.of === project) return known.made
  const made = makeDelivered(translate(project, target).project, request)
  for (const [other, { of }] of ready) if (of !== project) ready.delete(other)
  ready.set(key, { of: project, made })
  made.catch(() => ready.delete(key))
  return made
}

const makeDelivered = async (project: UiProject, request: ConvertRequest): Promise<Ready> => {
  const { target, styling, house } = request
  const emitted = TARGETS[target].emit(project, { ...emitStyleOf(house), marks: false, styling })
  const { compiledPath } = emitted.styles
  const css = compiledPath === undefined ? undefined : await compile(emitted)
  const sheet: EmittedFile[] =
    compiledPath === undefined || css === undefined
      ? []
      : [{ path: compiledPath, content: { kind: 'text', text: css }, spans: [] }]
  const whole = { ...emitted, files: [...emitted.files, ...sheet] }
  const delivered = await inHouseStyle(whole, houseOf(request), target)
  // Code for a codebase imports files of the codebase, which the check does not know.
  const faults = inUse ? [] : await checkFiles(delivered.files)
  return { emitted, delivered, faults, ...(css === undefined ? {} : { css }) }
}

/** All stylings but Tailwind say the same, and run here by one sheet for all components. */
const shownStyling = (styling: ConvertRequest['styling']) =>
  styling === 'tailwind' ? 'tailwind' : 'css'

/** What was run last, and what it was made of. */
let lastRun:
  { readonly of: UiProject; readonly by: string; readonly made: Promise<Running> } | undefined

const runAs = (
  project: UiProject,
  { target, styling, house }: ConvertRequest,
): Promise<Running> => {
  const { units, rules } = house
  const by = JSON.stringify([target, styling, units, rules])
  if (lastRun?.of === project && lastRun.by === by) return lastRun.made
  const marked = TARGETS[target].emit(translate(project, target).project, {
    marks: true,
    styling: shownStyling(styling),
    units,
    rules,
  })
  const made = compile(marked).then((css) => ({ ...marked, target, css }))
  lastRun = { of: project, by, made }
  return made
}

/** How long it took to make what is run, which is part of the conversion that is asked for next. */
let runMs = 0

const runDesign = async (request: ConvertRequest): Promise<Running> => {
  const started = performance.now()
  const project = prepareFor(request)
  const running = project.ok ? await runAs(project.value, request) : nothingIn(request.target)
  runMs = performance.now() - started
  return running
}

const translateDesign = async (request: ConvertRequest): Promise<Translated> => {
  const { target } = request
  const project = prepareFor(request)
  if (!project.ok) return { target, files: [], origins: {}, pages: {} }
  const { files, origins, pages } = (await deliverAs(project.value, request)).delivered
  return { target, files, origins, pages }
}

const convertDesign = async (request: ConvertRequest): Promise<Converted> => {
  const started = performance.now()
  const { target, styling, house } = request
  const project = prepareFor(request)
  if (!project.ok) {
    return {
      target,
      files: [],
      origins: {},
      pages: {},
      forms: [],
      flow: [],
      parts: [],
      detached: [],
      refused: [],
      slots: [],
      components: [],
      language: undefined,
      notes: project.notes,
      faults: [],
      alone: nothingIn(target),
      elapsedMs: 0,
    }
  }
  const translated = translate(project.value, target)
  const { emit, stylings, hasPlainScript } = TARGETS[target]
  const { prefix, units, rules } = house
  // What runs here is bundled with its pictures, and has types to be checked by.
  const isOther =
    (house.pictures ?? 'import') !== 'import' ||
    house.extras?.includes('sizes') ||
    (house.script === 'javascript' && hasPlainScript)
  const running = await runAs(project.value, request)
  const { emitted, delivered, faults, css: compiled } = await deliverAs(project.value, request)
  const shown = shownStyling(styling)
  const isShown = stylingIn(stylings, styling) === stylingIn(stylings, shown) && !isOther
  const plain = isShown
    ? emitted
    : emit(translated.project, { marks: false, styling: shown, prefix, units, rules })
  // Classes of our own are named by the components they are in, which are others where layers have keys; so may values be.
  const isSame = shown === 'tailwind' && (rules ?? []).length === 0
  const css =
    (plain === emitted ? compiled : undefined) ?? (isSame ? running.css : await compile(plain))
  return {
    target,
    files: delivered.files,
    origins: delivered.origins,
    pages: delivered.pages,
    forms: listForms(project.value),
    flow: listFlow(project.value),
    parts: project.value.parts,
    detached: project.value.detached,
    refused: project.value.refused,
    slots: project.value.slots,
    components: delivered.components,
    language: project.value.language,
    notes: [
      ...project.notes,
      ...translated.notes,
      ...stylingNotes(target, styling),
      ...delivered.notes,
    ],
    faults,
    alone: { ...plain, target, css },
    elapsedMs: runMs + performance.now() - started,
  }
}

const pack = async (all: readonly EmittedFile[]): Promise<Uint8Array> => {
  const codecs = async () => (await import('./picture-codecs')).pictureCodecs
  const files = await scalePictures(all, codecs)
  return zipFiles(
    files.map(({ path, content }) => ({
      name: path,
      content: content.kind === 'text' ? content.text : decodeBase64(content.base64),
    })),
  )
}

const findFamilies = (files: readonly InputFile[], families: readonly string[]): string[] => {
  // Latin-1 keeps every byte, and families are looked for as they are written: mostly in ASCII.
  const decoder = new TextDecoder('latin1')
  const texts = files
    .filter((f) => /\.(svg|json)$/i.test(f.name))
    .map((f) => decoder.decode(f.bytes))
  return families.filter((family) => texts.some((text) => text.includes(family)))
}

const readPending = async (
  files: readonly InputFile[],
  atHand: readonly Font[],
  report: Report,
): Promise<IntakeAnswer> => {
  const measured = measureWith(atHand)
  const {
    design,
    notes,
    fonts: fontFiles,
  } = readFiles(files, measured, (done, of, label) => report({ done, of, label }))
  pending = undefined
  if (!design) return { preview: undefined, notes, fonts: fontFiles }
  report({ done: 1, of: 1, label: 'pictures' })
  const hasSvg = Object.values(design.assets).some((a) => a.mime === 'image/svg+xml')
  const optimise = hasSvg ? (await import('@unimorph/core/optimise-svg')).optimiseSvg : undefined
  pending = await finishPictures(design, lookAtPicture, optimise)
  const { assets } = pending
  const screens = resolveInstances(pending)
  report({ done: 1, of: 1, label: 'thumbnails' })
  const thumbnails = screens.map((screen): [string, string] => [
    screen.key,
    drawLayer(screen, { assets, fonts: atHand }),
  ])
  const preview: Preview = {
    name: pending.name,
    summary: summarise(pending, screens),
    thumbnails: Object.fromEntries(thumbnails),
  }
  return { preview, notes, fonts: fontFiles }
}

const drawOne = (layer: Layer): string =>
  drawLayer({ ...layer, rotationDeg: 0 } as Layer, { assets: need(edited).design.assets, fonts })

const layerFile: Handlers['layerFile'] = (key, kind) => {
  const { design, screens } = need(edited)
  let layer: Layer | undefined
  for (const screen of screens) walkLayers(screen, (l) => void (l.key === key && (layer = l)))
  if (!layer) return undefined
  const stem = toKebab(layer.name, layer.type)
  if (kind === 'picture') {
    const asset = layer.type === 'image' ? design.assets[layer.asset] : undefined
    return asset && { name: asset.name, content: decodeBase64(asset.data) }
  }
  const svg = drawOne(layer)
  const content = kind === 'svg' ? svg : withCurrentColor(svg)
  return content === undefined ? undefined : { name: `${stem}.svg`, content }
}

type Report = (progress: Progress) => void
type Handlers = {
  [K in keyof Engine]: (
    ...args: [...Parameters<Engine[K]>, Report]
  ) => ReturnType<Engine[K]> | Promise<ReturnType<Engine[K]>>
}

const handlers: Handlers = {
  findFamilies,
  intake: readPending,
  accept: (choice) => takeScreens(need(pending), choice),
  open(document) {
    const read = readDesign(document)
    if (!read.ok) throw new Error(read.notes.map((n) => n.message).join(' '))
    current = read.value
    prepared = undefined
    edited = undefined
    examined = undefined
    start = undefined
    return { name: current.name, fontNeeds: listFontNeeds(resolveInstances(current)) }
  },
  useFonts(next) {
    fonts = next
    prepared = undefined
    start = undefined
    examined = undefined
  },
  draw(edits) {
    edited = applyAndResolve(need(current), knownEdits(edits))
    examined = undefined
    return drawScreens(edited, fonts, drawSheets)
  },
  inspect(key) {
    const { screens, design } = need(edited)
    return inspectLayer(screens, key, drawOne, codeOfTokens(design.tokens))
  },
  listTokens: () => listTokens(need(edited).design),
  listPairs: () => listContrastPairs(need(edited).design),
  listTexts(key) {
    const screen = need(edited).screens.find((s) => s.key === key)
    return screen ? listTexts(screen, measure()) : []
  },
  report() {
    const { design } = need(edited)
    const found = findAll(design, measure())
    // Without edits it is as it came in.
    start ??= design === current ? found.grades : findAll(need(current), measure()).grades
    return reportStructure(found, start)
  },
  widths(screen) {
    const found = examine(screen)
    return found && listWidths(need(edited).design, found)
  },
  roles(screen) {
    const found = examine(screen)
    return found ? listRoles(need(edited).design, found) : []
  },
  faults() {
    const own = examined
    if (!own?.found) return undefined
    const sweep = listFaults(need(edited).design, own.found, measure())
    return inPieces(
      sweep,
      () => queue,
      () => examined === own,
    )
  },
  mend: (choice) => mend(need(edited).design, measure(), choice),
  listArranged(key) {
    const { design, screens } = need(edited)
    const screen = screens.find((s) => s.key === key)
    return screen ? listArranged(design, screen, measure()) : []
  },
  compare: (before, after, screen, target) =>
    compareEdits(need(current), before, after, screen, target, fonts),
  layerFile,
  export(kind) {
    const { design, screens } = need(edited)
    return exportDesign(design, screens, fonts, kind)
  },
  convert: convertDesign,
  run: runDesign,
  translate: translateDesign,
  async translateAhead(request) {
    const project = prepareFor(request)
    if (project.ok) await deliverAs(project.value, request)
  },
  useCodebase(next) {
    inUse = next
    ready.clear()
    lastRun = undefined
    glossed = undefined
  },
  glossary(target) {
    if (!inUse) return undefined
    const { design } = need(edited)
    const project = prepare(design, [], [], fonts)
    if (!project.ok) return undefined
    const { entries, codebase } = inUse
    return {
      things: coverDesign(project.value, design, entries, codebase, target),
      suggested: suggestGlossary(project.value, design, codebase, target, entries),
      problems: checkGlossary(entries, codebase, design),
    }
  },
  pack,
}

const answer = async ({ id, method, args }: EngineCall): Promise<EngineAnswer> => {
  const report: Report = (progress) => {
    self.postMessage({ id, kind: 'progress', progress } satisfies EngineAnswer)
  }
  try {
    const handle = handlers[method] as (...args: readonly unknown[]) => unknown
    return { id, kind: 'done', value: await handle(...args, report) }
  } catch (error) {
    return { id, kind: 'failed', message: error instanceof Error ? error.message : String(error) }
  }
}

// One call after the other, in the order they came; what gives way to others does not hold them up.
let queue: Promise<void> = Promise.resolve()
self.onmessage = ({ data }: MessageEvent<EngineCall>) => {
  const answered = queue.then(async () => self.postMessage(await answer(data)))
  if (data.method !== 'faults') queue = answered
}
