import { withOpacity } from '../../design/color.js'
import type { Effect } from '../../design/paint.js'
import { notes } from '../../notes/catalogue.js'
import type { SvgContext } from './context.js'
import { parseColor } from './paint.js'
import { resolveStyle } from './style.js'
import { isElement, localName, type XmlElement } from './xml.js'

/** Reads a filter made of drop shadows and one blur; other steps are noted and left out. */
export const readEffects = (
  context: SvgContext,
  layer: string,
  reference: string | undefined,
  scale: number,
): Effect[] => {
  if (!reference || reference === 'none') return []
  const filter = context.findReference(reference)
  if (!filter) return []
  const effects: Effect[] = []
  const isOnlyStep = filter.children.filter(isElement).length === 1
  const skip = (step: XmlElement): void => {
    const what = `filter step ${localName(step.name)}`
    context.notes.push(notes.effectSkipped(context.file, layer, what))
  }
  for (const step of filter.children) {
    if (!isElement(step)) continue
    const number = (name: string, fallback: number): number => {
      const value = Number.parseFloat(step.attributes[name] ?? '')
      return Number.isFinite(value) ? value : fallback
    }
    switch (localName(step.name)) {
      case 'feDropShadow': {
        const flood = step.attributes['flood-color'] ?? 'black'
        const color = parseColor(flood, resolveStyle(step, {}).color) ?? '#000000'
        effects.push({
          kind: 'shadow',
          inset: false,
          x: number('dx', 2) * scale,
          y: number('dy', 2) * scale,
          blur: number('stdDeviation', 2) * 2 * scale,
          spread: 0,
          color: withOpacity(color, number('flood-opacity', 1)),
        })
        break
      }
      case 'feGaussianBlur':
        if (isOnlyStep) effects.push({ kind: 'blur', radius: number('stdDeviation', 0) * scale })
        else skip(step)
        break
      default:
        skip(step)
    }
  }
  return effects
}
