import { childrenOf, type Layer } from '../../design/layer.js'
import { isIdleName } from '../../design/idle-name.js'
import { walkLayers } from '../../design/walk.js'
import { nameOf } from '../context.js'
import { STILL } from '../finding.js'
import type { FindingKind } from '../kind.js'

const MOST_WORDS = 4

const firstText = (layer: Layer): string => {
  let found = ''
  walkLayers(layer, (l) => {
    if (found === '' && l.type === 'text') found = l.runs.map((run) => run.text).join('')
  })
  return found.trim().replace(/\s+/g, ' ')
}

const KINDS: Readonly<Partial<Record<Layer['type'], string>>> = {
  ellipse: 'dot',
  image: 'picture',
  line: 'divider',
  path: 'drawing',
  rectangle: 'box',
}

/** A name from what the layer shows; undefined when that says nothing either. */
const proposeName = (layer: Layer): string | undefined => {
  const words = firstText(layer).split(' ').slice(0, MOST_WORDS).join(' ')
  if (layer.type === 'text') return words || undefined
  if (!words) return undefined
  const what = childrenOf(layer).length > 0 ? 'group' : (KINDS[layer.type] ?? layer.type)
  return `${words} ${what}`
}

export const idleName: FindingKind = {
  id: 'idle-name',
  area: 'names',
  severity: 'hint',
  title: 'Names that say nothing',
  why: 'Files, pictures and components are named after layers.',
  find: ({ entries }) =>
    entries.flatMap(({ layer, parent, box, isSeen }) => {
      if (!parent || !isSeen || !isIdleName(layer.name)) return []
      const name = proposeName(layer)
      return [
        {
          layers: [layer.key],
          evidence: [box],
          message:
            layer.name.trim() === ''
              ? `A ${layer.type} has no name.`
              : `${nameOf(layer)} says nothing.`,
          ...(name && !isIdleName(name)
            ? {
                remedy: {
                  label: `Call it “${name}”`,
                  edits: [{ kind: 'rename' as const, layer: layer.key, name }],
                  isSafe: true,
                  change: STILL,
                },
              }
            : {}),
        },
      ]
    }),
}
