import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { format } from 'prettier'
import {
  applyEdits,
  buildUi,
  compileStyles,
  drawLayer,
  prepare,
  readDesign,
  resolveInstances,
  TARGETS,
  walkScreens,
  withParts,
  type Design,
  type Edit,
  type EmittedFile,
  type Font,
} from '@unimorph/core'
import { generateDesign } from './generate.js'
import { medianTime } from './median-time.js'

/** Times one size in a process of its own and prints the figures as JSON. Argument: number of layers. */
const RUNS = 5
const NO_FONTS: readonly Font[] = []

const textOf = (file: EmittedFile): string =>
  file.content.kind === 'text' ? file.content.text : ''

const json = generateDesign(Number(process.argv[2]))
const readOnce = (): Design => {
  const read = readDesign(json)
  if (!read.ok) throw new Error(read.notes.map((n) => n.message).join('\n'))
  return read.value
}
const design = readOnce()
const texts: string[] = []
let layers = 0
walkScreens(design, (layer) => {
  layers++
  if (layer.type === 'text') texts.push(layer.key)
})

const before = process.memoryUsage().rss
/** Designs that nothing is remembered of: one for each time something is made from nothing. */
const unknown = Array.from({ length: 3 * RUNS + 1 }, readOnce)
const unseen = (): Design => unknown.pop() ?? readOnce()
const uiOf = (one: Design) => buildUi(one, resolveInstances(applyEdits(one, []).design))
const ui = () => uiOf(unseen())
/** One layer more is hidden each time, as a person would: what that does not touch is remembered. */
const edits: Edit[] = []
const edit = () => {
  edits.push({ kind: 'hide', layer: texts[edits.length]!, hidden: true })
  return prepare(design, edits, [], NO_FONTS)
}
const plain = uiOf(design)
const project = withParts(plain, design)
const html = TARGETS.html.emit(project, { marks: false })
const react = TARGETS.react.emit(project, { marks: false })
const page = textOf(html.files[0]!)
const component = react.files
  .filter(({ path }) => path.endsWith('.tsx'))
  .map(textOf)
  .join('\n')

const stages = {
  read: await medianTime(RUNS, () => readDesign(json)),
  ui: await medianTime(RUNS, ui),
  edit: await medianTime(RUNS, edit),
  parts: await medianTime(RUNS, () => withParts(plain, design)),
  html: await medianTime(RUNS, () => TARGETS.html.emit(project, { marks: false })),
  react: await medianTime(RUNS, () => TARGETS.react.emit(project, { marks: false })),
  draw: await medianTime(RUNS, () => drawLayer(unseen().screens[0]!, { assets: {} })),
}
const peakMemoryMb = (process.resourceUsage().maxRSS * 1024 - before) / 1e6

const library = readFileSync(
  createRequire(import.meta.url).resolve('tailwindcss/index.css'),
  'utf8',
)
const tailwind = await medianTime(RUNS, () =>
  compileStyles(html.styles.source, html.styles.classes, library),
)
/** What Prettier formats of a delivery; it knows no Dart. */
const PARSERS = {
  css: 'css',
  html: 'html',
  json: 'json',
  ts: 'typescript',
  tsx: 'typescript',
  vue: 'vue',
}
const parserOf = (path: string): string | undefined =>
  PARSERS[path.slice(path.lastIndexOf('.') + 1) as keyof typeof PARSERS]

/** Everything from the layers to the files of all targets, as they are delivered. */
const emitAll = (): readonly EmittedFile[] => {
  const whole = withParts(ui(), design)
  return Object.values(TARGETS).flatMap(({ emit }) => emit(whole, { marks: false }).files)
}
const emitAllOnce = emitAll().filter(
  (file) => file.content.kind === 'text' && parserOf(file.path) !== undefined,
)
const all = await medianTime(RUNS, emitAll)
const prettierAll = await medianTime(RUNS, async () => {
  for (const file of emitAllOnce) await format(textOf(file), { parser: parserOf(file.path)! })
})
const prettierHtml = await medianTime(RUNS, () => format(page, { parser: 'html' }))
const prettierReact = await medianTime(RUNS, () => format(component, { parser: 'typescript' }))

console.log(
  JSON.stringify({
    layers,
    ...stages,
    tailwind,
    all,
    prettierAll,
    prettierHtml,
    prettierReact,
    peakMemoryMb,
  }),
)
