import type { EmittedFile, Span } from '@unimorph/core'
import type { LayerRow } from '../../../engine/protocol'

export type Thread = { readonly path: string; readonly spans: readonly Span[] }

/** The innermost layer at a place in a file. */
export const findLayerAtOffset = (file: EmittedFile, offset: number): string | undefined => {
  let best: Span | undefined
  for (const span of file.spans) {
    if (offset < span.start || offset > span.end) continue
    if (!best || span.end - span.start < best.end - best.start) best = span
  }
  return best?.layer
}

const spansOf = (
  files: readonly EmittedFile[],
  wanted: (layer: string) => boolean,
): Thread | undefined => {
  for (const file of files) {
    const spans = file.spans.filter((span) => wanted(span.layer))
    if (spans.length > 0) return { path: file.path, spans }
  }
  return undefined
}

/**
 * Where the code of a layer is. A layer that has none of its own (a group that dissolved, the inside of a
 * graphic) leads to the code of what is inside it, else to that of the nearest layer around it.
 */
export const findThread = (
  files: readonly EmittedFile[],
  layers: readonly LayerRow[],
  key: string,
): Thread | undefined => {
  const own = spansOf(files, (layer) => layer === key)
  if (own) return own
  const index = layers.findIndex((l) => l.key === key)
  if (index < 0) return undefined
  const { depth } = layers[index]!
  const inside = new Set<string>()
  for (let i = index + 1; i < layers.length && layers[i]!.depth > depth; i++)
    inside.add(layers[i]!.key)
  const within = spansOf(files, (layer) => inside.has(layer))
  if (within) return within
  for (let i = index - 1, limit = depth; i >= 0 && limit > 0; i--) {
    if (layers[i]!.depth >= limit) continue
    limit = layers[i]!.depth
    const around = spansOf(files, (layer) => layer === layers[i]!.key)
    if (around) return around
  }
  return undefined
}
