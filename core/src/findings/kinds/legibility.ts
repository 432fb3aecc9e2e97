import { nameOf } from '../context.js'
import { listTextsOnGround } from '../contrast.js'
import type { Found, FindingKind } from '../kind.js'

const LEAST_TEXT_PX = 12
/** WCAG 2.2, 2.5.8. */
const LEAST_TARGET_PX = 24

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

export const lowContrast: FindingKind = {
  id: 'low-contrast',
  area: 'legibility',
  severity: 'problem',
  title: 'Contrast too low',
  why: 'Text needs a contrast of 4.5 to 1 with what is behind it, large text 3 to 1.',
  find: ({ entries }) =>
    listTextsOnGround(entries).flatMap(({ entry: { layer, box }, contrast, needed }): Found[] =>
      contrast >= needed - 0.005
        ? []
        : [
            {
              layers: [layer.key],
              evidence: [box],
              message: `${nameOf(layer)} has a contrast of ${contrast.toFixed(1)}; ${needed} is needed.`,
            },
          ],
    ),
}
