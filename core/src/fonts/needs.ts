import type { Layer } from '../design/layer.js'
import { walkLayers } from '../design/walk.js'
import { styleOfRun } from '../text/wrap.js'

/** A family a design uses, with the weights and slants it uses of it. */
export type FontNeed = {
  readonly family: string
  readonly styles: readonly { readonly weight: number; readonly italic: boolean }[]
}

/** The fonts that the texts of these layers are set in, in the order they first appear. */
export const listFontNeeds = (roots: readonly Layer[]): FontNeed[] => {
  const families = new Map<string, Map<string, FontNeed['styles'][number]>>()
  for (const root of roots) {
    walkLayers(root, (layer) => {
      if (layer.type !== 'text' || !layer.visible) return
      for (const run of layer.runs) {
        const { family, weight, italic } = styleOfRun(layer, run)
        const styles = families.get(family) ?? new Map<string, FontNeed['styles'][number]>()
        families.set(family, styles)
        styles.set(`${weight} ${italic}`, { weight, italic })
      }
    })
  }
  return [...families].map(([family, styles]) => ({
    family,
    styles: [...styles.values()].sort(
      (a, b) => a.weight - b.weight || Number(a.italic) - Number(b.italic),
    ),
  }))
}

const GENERIC: ReadonlySet<string> = new Set([
  'cursive',
  'fantasy',
  'monospace',
  'sans-serif',
  'serif',
  'system-ui',
])

/** Families like `serif` that every machine has some font for. */
export const isGenericFamily = (family: string): boolean => GENERIC.has(family.toLowerCase())

/** The family every machine has that comes closest: what stands in for a font that is missing. */
export const fallbackOf = (family: string): 'monospace' | 'serif' | 'sans-serif' =>
  /mono|code|courier/i.test(family)
    ? 'monospace'
    : /(?<!sans.?)serif|times|georgia|garamond|lora|playfair|merriweather/i.test(family)
      ? 'serif'
      : 'sans-serif'
