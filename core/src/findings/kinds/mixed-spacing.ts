import type { SingleEdit } from '../../edits/edit.js'
import { placesOf, walkNodes } from '../../layout/index.js'
import type { Found, FindingKind } from '../kind.js'

const NEAR_PX = 1.01
const LEAST_PX = 4
/** Closer than this they are one distance already. */
const SAME_PX = 0.5

type Use = {
  readonly key: string
  readonly isStated: boolean
  readonly evidence: Found['evidence']
}

/** Gaps that differ by a px from one that is used more: 15, 16 and 17 for one distance. */
export const mixedSpacing: FindingKind = {
  id: 'mixed-spacing',
  area: 'consistency',
  severity: 'hint',
  title: 'Mixed spacing',
  why: 'Distances that are meant to be one become different classes.',
  find(context) {
    const places = placesOf(context.layout)
    const uses = new Map<number, Use[]>()
    walkNodes(context.layout, (node) => {
      const { arrangement } = node
      if (arrangement.kind === 'free' || arrangement.kind === 'grid') return
      const flow = node.children.filter((child) => child.placement.kind === 'flow')
      if (flow.length < 2 || arrangement.gap < LEAST_PX) return
      const entry = context.byKey.get(node.layer.key)
      const isStated = entry !== undefined && 'layout' in entry.layer && !!entry.layer.layout
      const evidence = flow.slice(1).map((child, i) => {
        const [a, b] = [places.get(flow[i]!)!, places.get(child)!]
        return arrangement.kind === 'row'
          ? { x: a.x + a.width, y: a.y, width: Math.max(0, b.x - a.x - a.width), height: a.height }
          : { x: a.x, y: a.y + a.height, width: a.width, height: Math.max(0, b.y - a.y - a.height) }
      })
      const use = { key: node.layer.key, isStated, evidence }
      const known = uses.get(arrangement.gap)
      if (known) known.push(use)
      else uses.set(arrangement.gap, [use])
    })
    const values = [...uses].sort((a, b) => b[1].length - a[1].length)
    const kept: number[] = []
    return values.flatMap(([gap, all]): Found[] => {
      const near = kept.find((k) => Math.abs(k - gap) <= NEAR_PX)
      if (near !== undefined && Math.abs(near - gap) < SAME_PX) return []
      if (near === undefined) {
        kept.push(gap)
        return []
      }
      const stated = all.filter((use) => use.isStated)
      const edits = stated.map(({ key }): SingleEdit => ({
        kind: 'set-value',
        layer: key,
        path: 'layout.gap',
        value: near,
      }))
      const layers = all.map(({ key }) => key).filter((key) => context.byKey.has(key))
      return [
        {
          layers: layers.length > 0 ? layers : [context.screen.key],
          evidence: all.flatMap((use) => use.evidence).slice(0, 50),
          message: `A gap of ${gap} px stands among gaps of ${near} px.`,
          ...(edits.length > 0
            ? {
                remedy: {
                  label: `Use ${near} px`,
                  edits,
                  isSafe: false,
                  change: { px: 1, deltaE: 0 },
                },
              }
            : {}),
        },
      ]
    })
  },
}
