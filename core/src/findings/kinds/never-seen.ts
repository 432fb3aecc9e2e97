import { isContainer, type Layer } from '../../design/layer.js'
import { isOnScreen } from '../../design/geometry.js'
import { isLaidOut, nameOf, type Entry, type ScreenContext } from '../context.js'
import { covers, isOpaque } from '../cover.js'
import { STILL, type Remedy } from '../finding.js'
import type { Found, FindingKind } from '../kind.js'

const removal = (layer: Layer): Remedy => ({
  label: 'Remove it',
  edits: [{ kind: 'remove', layer: layer.key }],
  isSafe: true,
  change: STILL,
})

const toFound = ({ layer, box }: Entry, message: string): Found => ({
  layers: [layer.key],
  evidence: [box],
  message,
  remedy: removal(layer),
})

/** Layers painted under a later one that covers them whole. */
const findCovered = ({ entries }: ScreenContext): Found[] => {
  const lids = entries.filter((entry) => entry.isSeen && isOpaque(entry.layer))
  if (lids.length === 0) return []
  const byTop = [...lids].sort((a, b) => a.box.y - b.box.y)
  const gone = new Set<Entry>()
  return entries.flatMap((entry) => {
    const { layer, parent, isSeen } = entry
    if (!parent || !isSeen || gone.has(parent) || isLaidOut(entry)) {
      if (parent && gone.has(parent)) gone.add(entry)
      return []
    }
    if (layer.effects.length > 0) return []
    // A line along an edge is seen on the other side of it.
    const slack = layer.type === 'line' ? -1 : 0.5
    for (const cover of byTop) {
      if (cover.box.y > entry.box.y + 0.5) break
      if (cover.order <= entry.order || !covers(cover, entry.box, slack)) continue
      // What is inside a container is painted with it.
      let isInside = false
      for (let up = cover.parent; up; up = up.parent) isInside ||= up === entry
      if (isInside) continue
      gone.add(entry)
      return [toFound(entry, `${nameOf(layer)} lies wholly under ${nameOf(cover.layer)}.`)]
    }
    return []
  })
}

export const covered: FindingKind = {
  id: 'covered',
  area: 'tidiness',
  severity: 'problem',
  title: 'Layer hidden behind others',
  why: 'Nobody sees it, but it would be in the code.',
  find: findCovered,
}

export const outside: FindingKind = {
  id: 'outside',
  area: 'tidiness',
  severity: 'problem',
  title: 'Layer outside its screen',
  why: 'It would widen the page, or be there for nobody.',
  find: ({ entries, screen }) =>
    entries.flatMap((entry) => {
      const { layer, parent, box, isSeen } = entry
      if (!parent || !isSeen || isLaidOut(entry)) return []
      const isParentOut = parent.parent !== undefined && !isOnScreen(parent.box, screen)
      return !isOnScreen(box, screen) && !isParentOut
        ? [toFound(entry, `${nameOf(layer)} stands outside the screen.`)]
        : []
    }),
}

const hasPaint = (layer: Layer): boolean => {
  if (layer.type === 'text') return layer.runs.some((run) => run.text.trim() !== '')
  if (layer.type === 'image' || layer.type === 'instance') return true
  const fills = 'fills' in layer ? layer.fills : []
  const strokes = 'strokes' in layer ? layer.strokes : []
  return fills.length + strokes.length + layer.effects.length > 0
}

export const empty: FindingKind = {
  id: 'empty',
  area: 'tidiness',
  severity: 'hint',
  title: 'Empty layer',
  why: 'It draws nothing and holds nothing.',
  find: ({ entries }) =>
    entries.flatMap((entry) => {
      const { layer, parent, isSeen } = entry
      const holds = isContainer(layer) && layer.children.length > 0
      if (!parent || !isSeen || holds || hasPaint(layer) || isLaidOut(entry)) return []
      return [toFound(entry, `${nameOf(layer)} draws nothing.`)]
    }),
}

export const switchedOff: FindingKind = {
  id: 'switched-off',
  area: 'tidiness',
  severity: 'hint',
  title: 'Layer switched off or fully transparent',
  why: 'It is left out of the code; what it was for is not known.',
  find: ({ entries }) =>
    entries.flatMap((entry) => {
      const { layer, parent } = entry
      if (!parent?.isSeen || entry.isSeen || layer.bind?.visible) return []
      const how = layer.visible ? 'fully transparent' : 'switched off'
      return [toFound(entry, `${nameOf(layer)} is ${how}.`)]
    }),
}
