import {
  layerOfNode,
  sweepWidths,
  walkScreens,
  WIDTH_READINGS,
  type Break,
  type Design,
  type Examined,
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

/** A break with the name of the layer at fault. */
export type NamedBreak = Break & { readonly name: string }

/** Names of layers, and of the containers around them that no layer draws. */
export const nameLayers = (design: Design): ((key: string) => string) => {
  const byKey = new Map<string, string>()
  walkScreens(design, (layer) => byKey.set(layer.key, layer.name || layer.type))
  return (key) => {
    const own = layerOfNode(key)
    const name = byKey.get(own) ?? own.split('/').at(-1) ?? own
    return own === key ? name : `Container of ${name}`
  }
}

/** How one screen is at every width, with names for people. */
export const listWidths = (design: Design, { report }: Examined): WidthAnswer => {
  const nameOf = nameLayers(design)
  const wanted = new Set([
    ...report.readings.map((reading) => reading.layer),
    ...Object.values(report.matches).flatMap((list) => list.flatMap((m) => [m.base, m.other])),
  ])
  return {
    ...report,
    kinds: Object.entries(WIDTH_READINGS).map(([kind, { title, why }]) => ({
      kind: kind as WidthReading['kind'],
      title,
      why,
    })),
    names: Object.fromEntries([...wanted].map((key) => [key, nameOf(key)])),
    said: design.widths ?? {},
    chosen: design.breakpoints,
    groups: design.artboards.map((group) => group.screens),
  }
}

/** Where a screen breaks, looked for one width at a time. */
export function* listBreaks(
  design: Design,
  { trees }: Examined,
  measure: TextMeasure,
): Generator<void, readonly NamedBreak[]> {
  const found = yield* sweepWidths(trees, { measure })
  const nameOf = nameLayers(design)
  return found.map((one) => ({ ...one, name: nameOf(one.layer) }))
}
