import {
  examineWidths,
  layerOfNode,
  walkScreens,
  WIDTH_READINGS,
  type Design,
  type LayerWidths,
  type TextMeasure,
  type WidthReading,
  type WidthReport,
} from '@unimorph/core'

/** What is said of a kind of reading; the code that reads stays in the worker. */
export type KindOfReading = {
  readonly kind: WidthReading['kind']
  readonly title: string
  readonly why: string
}

export type WidthAnswer = WidthReport & {
  readonly kinds: readonly KindOfReading[]
  /** Names of the layers the report speaks of, by key. */
  readonly names: Readonly<Record<string, string>>
  /** What a person has said, by key. */
  readonly said: Readonly<Record<string, LayerWidths>>
  /** Widths for changes that a person has chosen. */
  readonly chosen: readonly number[] | undefined
  /** Which screens belong together, for all screens. */
  readonly groups: readonly (readonly string[])[]
}

/** How one screen is at every width, with names for people. */
export const listWidths = (
  design: Design,
  screen: string,
  measure: TextMeasure,
): WidthAnswer | undefined => {
  const report = examineWidths(design, screen, measure)
  if (!report) return undefined
  const wanted = new Set([
    ...report.readings.map((reading) => reading.layer),
    ...report.breaks.map((found) => found.layer),
    ...Object.values(report.matches).flatMap((list) => list.flatMap((m) => [m.base, m.other])),
  ])
  const byKey = new Map<string, string>()
  walkScreens(design, (layer) => byKey.set(layer.key, layer.name || layer.type))
  const names = [...wanted].map((key): [string, string] => {
    const own = layerOfNode(key)
    const name = byKey.get(own) ?? own.split('/').at(-1) ?? own
    return [key, own === key ? name : `Container of ${name}`]
  })
  return {
    ...report,
    kinds: Object.entries(WIDTH_READINGS).map(([kind, { title, why }]) => ({
      kind: kind as WidthReading['kind'],
      title,
      why,
    })),
    names: Object.fromEntries(names),
    said: design.widths ?? {},
    chosen: design.breakpoints,
    groups: design.artboards.map((group) => group.screens),
  }
}
