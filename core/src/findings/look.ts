import { differenceCiede2000, parse } from 'culori'
import type { Design, Screen } from '../design/design.js'
import { isContainer, type Layer } from '../design/layer.js'
import { overlapOn } from '../layout/axis.js'
import { sweepPairs } from '../layout/sweep.js'
import { isOnScreen } from '../design/geometry.js'
import { listEntries, type Entry } from './context.js'
import { covers, isOpaque } from './cover.js'

const difference = differenceCiede2000()

/** What is painted by a layer itself; containers without paint are not seen. */
const isPainted = ({ layer, isSeen }: Entry): boolean => {
  if (!isSeen) return false
  if (layer.type === 'text' || layer.type === 'image' || layer.type === 'instance') return true
  const fills = 'fills' in layer ? layer.fills.length : 0
  const strokes = 'strokes' in layer ? layer.strokes.length : 0
  return fills + strokes + (isContainer(layer) ? 0 : layer.effects.length) > 0
}

const colorsOf = (layer: Layer): string[] => {
  const fills = 'fills' in layer ? layer.fills : []
  const ink = layer.type === 'text' ? [layer.style.color] : []
  return [...fills.flatMap((fill) => (fill.kind === 'solid' ? [fill.color] : [])), ...ink]
}

export type LookChange = {
  /** How far an edge of anything painted has moved, in px. */
  readonly px: number
  /** The largest change of a colour, as CIEDE2000. */
  readonly deltaE: number
  /** Painted layers that are gone and were seen, and layers that overlap in another order. */
  readonly lost: readonly string[]
}

/** Whether a layer that is gone was seen at all: inside the screen, and not whole under a later opaque one. */
const wasSeen = (entry: Entry, screen: Screen, all: readonly Entry[]): boolean => {
  const { box, order } = entry
  if (!isOnScreen(box, screen)) return false
  const slack = entry.layer.type === 'line' ? -1 : 0.5
  return !all.some(
    (other) =>
      other.order > order && other.isSeen && isOpaque(other.layer) && covers(other, box, slack),
  )
}

/** Pairs of painted layers that overlap, later one first, as long as there are not too many to look at. */
const findOrder = (entries: readonly Entry[]): Set<string> | undefined => {
  const pairs = new Set<string>()
  const sorted = [...entries].sort((a, b) => a.box.y - b.box.y)
  for (const [entry, other] of sweepPairs(sorted, 0.5)) {
    if (overlapOn(entry.box, other.box, 'x') <= 0.5) continue
    const [over, under] = entry.order > other.order ? [entry, other] : [other, entry]
    pairs.add(`${over.layer.key}\n${under.layer.key}`)
    if (pairs.size > 2_000_000) return undefined
  }
  return pairs
}

const MOVED_PX = 0.01

const compareScreens = (before: Screen, after: Screen): LookChange => {
  const was = listEntries(before)
  const is = listEntries(after)
  const painted = new Map(is.filter(isPainted).map((entry) => [entry.layer.key, entry]))
  let px = 0
  let deltaE = 0
  const lost: string[] = []
  const kept: Entry[] = []
  for (const entry of was.filter(isPainted)) {
    const now = painted.get(entry.layer.key)
    if (!now) {
      if (wasSeen(entry, before, was)) lost.push(entry.layer.key)
      continue
    }
    kept.push(entry)
    const [a, b] = [entry.box, now.box]
    const size = (layer: Layer): number => (layer.type === 'text' ? layer.style.size : 0)
    const grown = Math.abs(size(entry.layer) / (size(now.layer) || 1) - 1) * a.width
    px = Math.max(
      px,
      Math.abs(a.x - b.x),
      Math.abs(a.y - b.y),
      Math.abs(a.x + a.width - b.x - b.width),
      Math.abs(a.y + a.height - b.y - b.height),
      entry.layer.type === 'text' ? grown : 0,
    )
    const colors = colorsOf(now.layer)
    colorsOf(entry.layer).forEach((color, i) => {
      const [from, to] = [parse(color), parse(colors[i] ?? '')]
      if (color !== colors[i]) deltaE = Math.max(deltaE, from && to ? difference(from, to) : 100)
    })
  }
  const keys = new Set(kept.map((entry) => entry.layer.key))
  const orderBefore = findOrder(kept)
  const orderAfter = findOrder([...painted.values()].filter((e) => keys.has(e.layer.key)))
  if (orderBefore && orderAfter && px < MOVED_PX) {
    for (const pair of orderBefore) {
      if (!orderAfter.has(pair)) lost.push(pair.slice(0, pair.indexOf('\n')))
    }
  }
  return { px, deltaE, lost }
}

/** By how much a changed design looks different, over all its screens. */
export const compareLook = (before: Design, after: Design): LookChange => {
  let all: LookChange = { px: 0, deltaE: 0, lost: [] }
  for (const screen of before.screens) {
    const now = after.screens.find((s) => s.key === screen.key)
    if (now === screen) continue
    if (!now) return { ...all, lost: [...all.lost, screen.key] }
    const { px, deltaE, lost } = compareScreens(screen, now)
    all = {
      px: Math.max(all.px, px),
      deltaE: Math.max(all.deltaE, deltaE),
      lost: [...all.lost, ...lost],
    }
  }
  return all
}
