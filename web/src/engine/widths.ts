import {
  LINT_KINDS,
  layerOfNode,
  lintWidths,
  sweepWidths,
  walkScreens,
  WIDTH_READINGS,
  type Break,
  type Design,
  type Examined,
  type LayerWidths,
  type LintMark,
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

/** Where a screen does not hold, or does not look as a designer would have it. */
export type WidthFaults = {
  readonly breaks: readonly NamedBreak[]
  readonly marks: readonly NamedMark[]
}

/** A break with the name of the layer at fault. */
export type NamedBreak = Break & { readonly name: string }

/** A mark of the lint, in words. */
export type NamedMark = LintMark & {
  readonly name: string
  readonly title: string
  readonly why: string
}

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

/** Where a screen breaks or looks wrong, looked for one width at a time. */
export function* listFaults(
  design: Design,
  { trees }: Examined,
  measure: TextMeasure,
): Generator<void, WidthFaults> {
  const breaks = yield* sweepWidths(trees, { measure })
  const marks = yield* lintWidths(trees, measure)
  const nameOf = nameLayers(design)
  return {
    breaks: breaks.map((one) => ({ ...one, name: nameOf(one.layer) })),
    marks: marks.map((one) => {
      const { title, why } = LINT_KINDS[one.kind]
      return { ...one, name: nameOf(one.layer), title, why }
    }),
  }
}
