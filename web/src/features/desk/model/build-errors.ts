import { layerOfLine, lineAt, type EmittedFile } from '@unimorph/core'
import type { DeliveredFault } from '@unimorph/core/deliver'
import type { LayerRow } from '../../../engine/protocol'
import { findThread, type Thread } from './threads'

/** Something that keeps the code from being built, and where it is in the files that are shown. */
export type BuildError = {
  readonly message: string
  /** The file it stands in, and its line: of what is shown, where that is known, else of what was built. */
  readonly path?: string
  readonly line?: number
  /** The layer whose code it stands in. */
  readonly layer?: string
  readonly thread?: Thread
}

/** `src/App.tsx:12: message`, as compilers say it; the line may be missing, and so may the file. */
const SAID = /^([\w./-]+\.\w+):(?:(\d+):)? ?([^]*)$/

/**
 * Reads what a build said. `built`: the files it was given; `shown`: the same code as it is delivered, where its lines may be
 * others.
 */
export const readBuildError = (
  said: string,
  built: readonly EmittedFile[],
  shown: readonly EmittedFile[],
  layers: readonly LayerRow[],
): BuildError => {
  const [, path, digits, message] = SAID.exec(said) ?? []
  if (path === undefined || message === undefined) return { message: said }
  const line = digits === undefined ? undefined : Number(digits)
  const file = built.find((one) => one.path === path)
  const layer = file && line !== undefined ? layerOfLine(file, line) : undefined
  const thread = layer === undefined ? undefined : findThread(shown, layers, layer)
  if (layer === undefined || !thread)
    return { message, path, ...(line === undefined ? {} : { line }), ...(layer ? { layer } : {}) }
  const content = shown.find((one) => one.path === thread.path)?.content
  const text = content?.kind === 'text' ? content.text : ''
  return { message, path: thread.path, line: lineAt(text, thread.spans[0]!.start), layer, thread }
}

/** What our own check of the files found; they are those that are shown. */
export const readFault = (
  { path, line, what, layer }: DeliveredFault,
  shown: readonly EmittedFile[],
  layers: readonly LayerRow[],
): BuildError => {
  const thread = layer === undefined ? undefined : findThread(shown, layers, layer)
  const message = `This file ${what}.`
  return { message, path, line, ...(layer ? { layer } : {}), ...(thread ? { thread } : {}) }
}
