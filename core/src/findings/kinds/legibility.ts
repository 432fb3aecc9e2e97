import { parse, wcagContrast } from 'culori'
import { splitColor } from '../../design/color.js'
import { containsBox } from '../../design/geometry.js'
import { nameOf, type Entry, type ScreenContext } from '../context.js'
import type { Found, FindingKind } from '../kind.js'

const LEAST_TEXT_PX = 12
/** WCAG 2.2, 2.5.8. */
const LEAST_TARGET_PX = 24
/** WCAG 2.2, 1.4.3: large text needs less. */
const CONTRAST = 4.5
const LARGE_CONTRAST = 3
const LARGE_PX = 24
const LARGE_BOLD_PX = 18.66

export const smallText: FindingKind = {
  id: 'small-text',
  area: 'legibility',
  severity: 'doubt',
  title: 'Text too small',
  why: 'Text under 12 px is hard to read for many people.',
  find: ({ entries }) =>
    entries.flatMap(({ layer, box, isSeen }) =>
      layer.type === 'text' && isSeen && layer.style.size < LEAST_TEXT_PX
        ? [
            {
              layers: [layer.key],
              evidence: [box],
              message: `${nameOf(layer)} is set in ${layer.style.size} px.`,
            },
          ]
        : [],
    ),
}

export const smallTarget: FindingKind = {
  id: 'small-target',
  area: 'legibility',
  severity: 'doubt',
  title: 'Target too small',
  why: 'What is pressed should be at least 24 px wide and high.',
  find: ({ entries }) =>
    entries.flatMap(({ layer, box, isSeen }) => {
      // A link inside running text may be as high as its line.
      if (!layer.link || !isSeen || layer.type === 'text') return []
      const least = Math.min(box.width, box.height)
      return least >= LEAST_TARGET_PX
        ? []
        : [
            {
              layers: [layer.key],
              evidence: [box],
              message: `${nameOf(layer)} leads somewhere and is only ${Math.round(least)} px across.`,
            },
          ]
    }),
}

type Ground = { readonly entry: Entry; readonly color: string | undefined }

/** Everything that can lie behind a text; the colour is undefined where it is a picture or a gradient. */
const listGrounds = ({ entries }: ScreenContext): Ground[] =>
  entries.flatMap((entry): Ground[] => {
    const { layer, isSeen } = entry
    if (!isSeen) return []
    if (layer.type === 'image') return [{ entry, color: undefined }]
    const fill = 'fills' in layer ? layer.fills.at(-1) : undefined
    if (!fill) return []
    if (fill.kind !== 'solid') return [{ entry, color: undefined }]
    const { color, opacity } = splitColor(fill.color)
    const isWhole = opacity * fill.opacity * layer.opacity > 0.98
    return [{ entry, color: isWhole ? color : undefined }]
  })

export const lowContrast: FindingKind = {
  id: 'low-contrast',
  area: 'legibility',
  severity: 'problem',
  title: 'Contrast too low',
  why: 'Text needs a contrast of 4.5 to 1 with what is behind it, large text 3 to 1.',
  find(context) {
    const grounds = listGrounds(context)
    const byTop = [...grounds].sort((a, b) => a.entry.box.y - b.entry.box.y)
    const found: Found[] = []
    for (const { layer, box, order, isSeen } of context.entries) {
      if (layer.type !== 'text' || !isSeen) continue
      let behind: Ground | undefined
      for (const ground of byTop) {
        if (ground.entry.box.y > box.y + 2) break
        const isUnder = ground.entry.order < order && containsBox(ground.entry.box, box, 2)
        if (isUnder && (!behind || ground.entry.order > behind.entry.order)) behind = ground
      }
      const { color, opacity } = splitColor(layer.style.color)
      const [ink, paper] = [parse(color), behind?.color ? parse(behind.color) : undefined]
      // Over a picture or a gradient nothing can be said from here.
      if (!ink || !paper || opacity < 0.98) continue
      const { size, weight } = layer.style
      const isLarge = size >= LARGE_PX || (weight >= 700 && size >= LARGE_BOLD_PX)
      const needed = isLarge ? LARGE_CONTRAST : CONTRAST
      const contrast = wcagContrast(ink, paper)
      if (contrast >= needed - 0.005) continue
      found.push({
        layers: [layer.key],
        evidence: [box],
        message: `${nameOf(layer)} has a contrast of ${contrast.toFixed(1)}; ${needed} is needed.`,
      })
    }
    return found
  },
}
