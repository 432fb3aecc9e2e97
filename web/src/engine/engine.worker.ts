import { strToU8, zipSync, type Zippable } from 'fflate'
import tailwind from 'tailwindcss/index.css?raw'
import {
  compileStyles,
  decodeBase64,
  prepare,
  readDesign,
  readFiles,
  TARGETS,
  type Design,
  type Emitted,
  type EmittedFile,
} from '@unimorph/core'
import { drawScreens } from './draw-screens'
import type { ConvertRequest, Converted, Engine, EngineAnswer, EngineCall } from './protocol'

let current: Design | undefined

const design = (): Design => {
  if (!current) throw new Error('No design is open.')
  return current
}

const compile = ({ styles }: Emitted): Promise<string> =>
  compileStyles(styles.source, styles.classes, tailwind)

const convertDesign = async (request: ConvertRequest): Promise<Converted> => {
  const started = performance.now()
  const { edits, target, select } = request
  const project = prepare(design(), edits, select)
  if (!project.ok) {
    return {
      target,
      files: [],
      pages: {},
      notes: project.notes,
      preview: { files: [], css: '' },
      elapsedMs: 0,
    }
  }
  const delivered = TARGETS[target].emit(project.value, { marks: false })
  const marked = TARGETS[target].emit(project.value, { marks: true })
  const css = await compile(delivered)
  const { compiledPath } = delivered.styles
  const sheet: EmittedFile[] = compiledPath
    ? [{ path: compiledPath, content: { kind: 'text', text: css }, spans: [] }]
    : []
  return {
    target,
    files: [...delivered.files, ...sheet],
    pages: delivered.pages,
    notes: project.notes,
    preview: { files: marked.files, css },
    elapsedMs: performance.now() - started,
  }
}

const pack = (files: readonly EmittedFile[]): Uint8Array => {
  const entries: Zippable = {}
  for (const { path, content } of files) {
    entries[path] = content.kind === 'text' ? strToU8(content.text) : decodeBase64(content.base64)
  }
  // A fixed date: the same files give the same archive.
  return zipSync(entries, { mtime: new Date(2000, 0, 1) })
}

type Handlers = {
  [K in keyof Engine]: (
    ...args: Parameters<Engine[K]>
  ) => ReturnType<Engine[K]> | Promise<ReturnType<Engine[K]>>
}

const handlers: Handlers = {
  intake: (files) => readFiles(files),
  open(document) {
    const read = readDesign(document)
    if (!read.ok) throw new Error(read.notes.map((n) => n.message).join(' '))
    current = read.value
    return { name: current.name }
  },
  draw: (edits) => drawScreens(design(), edits),
  convert: convertDesign,
  pack,
}

const answer = async ({ id, method, args }: EngineCall): Promise<EngineAnswer> => {
  try {
    const handle = handlers[method] as (...args: readonly unknown[]) => unknown
    return { id, ok: true, value: await handle(...args) }
  } catch (error) {
    return { id, ok: false, message: error instanceof Error ? error.message : String(error) }
  }
}

// One call after the other, in the order they came.
let queue: Promise<void> = Promise.resolve()
self.onmessage = ({ data }: MessageEvent<EngineCall>) => {
  queue = queue.then(async () => self.postMessage(await answer(data)))
}
