import { isIdleName } from '../design/idle-name.js'
import type { Layer } from '../design/layer.js'
import { walkLayers } from '../design/walk.js'
import { toId } from '../text/names.js'
import { textOf } from '../text/wrap.js'
import type { UiWhen } from './nodes.js'

/** A layer that links and buttons of its page refer to. */
export type Target = {
  readonly id: string
  /** Of what tabs show: those that are shown in turns. */
  readonly group?: string
  readonly when?: UiWhen
}

const LONGEST_ID = 40
/** What a layer is about: its name, else the first words in it. */
const subjectOf = (layer: Layer): string => {
  if (!isIdleName(layer.name)) return layer.name
  let words = ''
  walkLayers(layer, (inner) => {
    if (words === '' && inner.type === 'text') words = textOf(inner)
  })
  return words || layer.name
}

type Wanted = { kind: 'section' | 'toggle' | 'tab'; startsShown: boolean }

/**
 * The layers of a page that something on it refers to, by their keys, each with an id. Takes the page's artboards, the
 * widest first; `takeName` makes an id that is free.
 */
export const findTargets = (
  artboards: readonly Layer[],
  takeName: (wanted: string) => string,
): ReadonlyMap<string, Target> => {
  const wanted = new Map<string, Wanted>()
  for (const root of artboards) {
    walkLayers(root, ({ link }) => {
      if (!link || !('layer' in link) || wanted.has(link.layer)) return
      const startsShown = link.kind === 'toggle' && link.starts === 'shown'
      wanted.set(link.layer, { kind: link.kind, startsShown })
    })
  }
  const targets = new Map<string, Target>()
  if (wanted.size === 0) return targets
  // What tabs show in turns stands in one container.
  const groups = new Map<Layer, string>()
  for (const root of artboards) {
    walkLayers(root, (layer, parent) => {
      const want = wanted.get(layer.key)
      if (!want || targets.has(layer.key)) return
      const id = takeName(toId(subjectOf(layer).slice(0, LONGEST_ID), 'part'))
      if (want.kind === 'section') targets.set(layer.key, { id })
      else if (want.kind === 'toggle') {
        const when: UiWhen = { kind: 'toggle', startsShown: want.startsShown }
        targets.set(layer.key, { id, when })
      } else {
        const isFirst = !groups.has(parent ?? root)
        if (isFirst)
          groups.set(parent ?? root, groups.size === 0 ? 'tabs' : `tabs-${groups.size + 1}`)
        const group = groups.get(parent ?? root)!
        targets.set(layer.key, { id, group, when: { kind: 'tab', group, startsShown: isFirst } })
      }
    })
  }
  return targets
}
