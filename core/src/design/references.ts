import type { Layer } from './layer.js'

/** Images a layer shows, by asset name, with the field that says so. */
export const assetsOf = (layer: Layer): [string, string][] => {
  const found: [string, string][] = []
  if (layer.type === 'image') found.push(['asset', layer.asset])
  if ('fills' in layer) {
    layer.fills.forEach((p, i) => p.kind === 'image' && found.push([`fills[${i}].asset`, p.asset]))
  }
  if ('strokes' in layer) {
    layer.strokes.forEach(
      ({ paint }, i) =>
        paint.kind === 'image' && found.push([`strokes[${i}].paint.asset`, paint.asset]),
    )
  }
  return found
}
