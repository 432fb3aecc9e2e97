import type { Design } from '../design/design.js'
import { screenOf, targetOf, type Interaction } from '../design/interaction.js'
import type { EditOf } from './edit.js'
import { hasLayer, layerFinder } from './has-layer.js'

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

/** Adds what is said to what was said before; a part that says nothing any more goes. */
const merge = (known: Interaction | undefined, edit: EditOf<'set-interaction'>): Interaction => {
  const next: Record<string, unknown> = { ...known }
  for (const part of ['press', 'hover', 'entrance'] as const) {
    if (edit[part] !== undefined) next[part] = edit[part]
  }
  return next as Interaction
}

/**
 * What a person says layers do. Layers that are gone are left out; where all are, or what is shown or led to is gone,
 * nothing changes.
 */
export const setInteraction = (design: Design, edit: EditOf<'set-interaction'>): Design => {
  const isKnown = layerFinder(design)
  const layers = edit.layers.filter(isKnown)
  const screen = screenOf(edit.press ?? undefined)
  const target = targetOf(edit.press ?? undefined)
  const leadsNowhere =
    (screen !== undefined && !design.screens.some((one) => one.key === screen)) ||
    (target !== undefined && !isKnown(target))
  if (layers.length === 0 || leadsNowhere) return design
  const interactions = { ...design.interactions }
  for (const key of layers) interactions[key] = merge(interactions[key], edit)
  return isSame(interactions, design.interactions ?? {}) ? design : { ...design, interactions }
}

/** What a person says happens with the answers of a form. */
export const setForm = (design: Design, { layer, form }: EditOf<'set-form'>): Design => {
  if (!hasLayer(design, layer)) return design
  const goes = form?.success
  if (goes !== undefined && !design.screens.some((one) => one.key === goes)) return design
  const forms = { ...design.forms }
  if (form === null) delete forms[layer]
  else forms[layer] = form
  return isSame(forms, design.forms ?? {}) ? design : { ...design, forms }
}
