import type { Design } from '../design/design.js'
import { AREAS, type Area, type Finding } from './finding.js'

/** How much each part counts. */
const WEIGHTS: Readonly<Record<Area, number>> = {
  structure: 40,
  tidiness: 20,
  consistency: 15,
  names: 10,
  legibility: 15,
}

/** How much of a layer's worth a finding takes away. */
const COSTS = { problem: 1, doubt: 0.5, hint: 0.25 } as const

export type GradePart = {
  readonly area: Area
  /** From 0 to its weight. */
  readonly points: number
  readonly weight: number
}

export type Grade = {
  readonly screen: string
  /** From 0 to 100. */
  readonly points: number
  readonly letter: 'A' | 'B' | 'C' | 'D' | 'E'
  readonly parts: readonly GradePart[]
  /** The kind of finding whose remedy would raise it most, and by how much. */
  readonly best?: { readonly kind: string; readonly points: number }
}

const letterOf = (points: number): Grade['letter'] =>
  points >= 90 ? 'A' : points >= 75 ? 'B' : points >= 60 ? 'C' : points >= 40 ? 'D' : 'E'

const round = (value: number): number => Math.round(value * 10) / 10

/** The share of layers a part is right for: each layer counts once, by its worst finding. */
const pointsOf = (area: Area, findings: readonly Finding[], layers: number): number => {
  const costs = new Map<string, number>()
  for (const finding of findings) {
    if (finding.area !== area) continue
    for (const layer of finding.layers) {
      costs.set(layer, Math.max(costs.get(layer) ?? 0, COSTS[finding.severity]))
    }
  }
  const lost = [...costs.values()].reduce((sum, cost) => sum + cost, 0)
  return WEIGHTS[area] * Math.max(0, 1 - lost / Math.max(1, layers))
}

/** The grade of one screen: from what was found on it, relative to how many layers it has. */
export const gradeScreen = (
  screen: Design['screens'][number],
  layers: number,
  findings: readonly Finding[],
): Grade => {
  const own = findings.filter((finding) => finding.screen === screen.key)
  const total = (list: readonly Finding[]): number =>
    AREAS.reduce((sum, area) => sum + pointsOf(area, list, layers), 0)
  const points = round(total(own))
  const kinds = [...new Set(own.map((finding) => finding.kind))]
  const gains = kinds
    .map((kind) => ({
      kind,
      points: round(total(own.filter((finding) => finding.kind !== kind)) - points),
    }))
    .sort((a, b) => b.points - a.points)
  const [best] = gains
  return {
    screen: screen.key,
    points,
    letter: letterOf(points),
    parts: AREAS.map((area) => ({
      area,
      weight: WEIGHTS[area],
      points: round(pointsOf(area, own, layers)),
    })),
    ...(best && best.points > 0 ? { best } : {}),
  }
}
