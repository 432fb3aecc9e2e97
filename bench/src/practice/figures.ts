// The figures of converted pages, their goals, and their means.

/** Which files of a page are converted together. */
export const SOURCES = {
  one: { variant: 'flat', widths: [1280], title: 'flat file, one artboard' },
  three: { variant: 'flat', widths: [1280, 768, 390], title: 'flat file, three artboards' },
  layered: { variant: 'layered', widths: [1280], title: 'layered file, one artboard' },
} as const

export type SourceId = keyof typeof SOURCES

/** The widths at which a page is compared with its truth, in px. */
export const WIDTHS = [1280, 768, 390] as const

export type RoleCount = {
  readonly truth: number
  readonly made: number
  readonly matched: number
}

/** One page, converted from one source. */
export type PageRun = {
  readonly page: string
  readonly family: string
  readonly source: SourceId
  /** Each figure by its name; absent: it could not be measured. */
  readonly values: Readonly<Record<string, number>>
  readonly roles: Readonly<Record<string, RoleCount>>
  /** What went wrong, in sentences. */
  readonly errors: readonly string[]
  /** Declarations a browser does not understand. */
  readonly invalid: readonly string[]
}

type Format = 'share' | 'count' | 'ratio' | 'ms'

export type Figure = {
  readonly name: string
  readonly label: string
  readonly format: Format
  /** Which way is better. */
  readonly better: 'more' | 'less'
  /** The value to reach, by source; absent: no goal is set. */
  readonly goal?: Readonly<Partial<Record<SourceId, number>>>
}

const GOALS_AT: Readonly<Record<string, Readonly<Record<number, Figure['goal']>>>> = {
  within2: { 1280: { one: 0.94 } },
  within8: { 1280: { one: 0.98, three: 0.95 }, 768: { three: 0.95 }, 390: { three: 0.95 } },
  missing: { 1280: { one: 0 } },
  pixels: { 1280: { one: 0.015 }, 768: { one: 0.3 }, 390: { one: 0.3 } },
  overflow: { 768: { one: 0 }, 390: { one: 0 } },
  overlaps: { 768: { one: 0 }, 390: { one: 0 } },
  cut: { 768: { one: 0 }, 390: { one: 0 } },
}

const atWidth = (width: number): readonly Figure[] =>
  (
    [
      ['within2', 'text within 2 px', 'share', 'more'],
      ['within8', 'text within 8 px', 'share', 'more'],
      ['missing', 'text missing', 'share', 'less'],
      ['pixels', 'pixels that differ', 'share', 'less'],
      ['overflow', 'overflow, px', 'count', 'less'],
      ['overlaps', 'overlapping texts', 'count', 'less'],
      ['cut', 'texts cut off', 'count', 'less'],
    ] as const
  ).map(([name, label, format, better]) => {
    const goal = GOALS_AT[name]?.[width]
    return {
      name: `${name}@${width}`,
      label: `${width}: ${label}`,
      format,
      better,
      ...(goal ? { goal } : {}),
    }
  })

/** Widths at which places a designer would mark are counted, in px, and how many there may be. */
const LINTED: readonly (readonly [width: number, goal: Figure['goal']])[] = [
  [1536, { one: 1.5 }],
  [768, { one: 1.5 }],
  [390, { one: 1.5 }],
]
export const LINTED_WIDTHS: readonly number[] = LINTED.map(([width]) => width)

/** Everything that is printed, in its order. */
export const FIGURES: readonly Figure[] = [
  ...WIDTHS.flatMap(atWidth),
  ...LINTED.map(([width, goal]): Figure => ({
    name: `lint@${width}`,
    label: `${width}: marks of the lint`,
    format: 'count',
    better: 'less',
    ...(goal ? { goal } : {}),
  })),
  {
    name: 'absolute',
    label: 'placed absolutely',
    format: 'share',
    better: 'less',
    goal: { one: 0.01 },
  },
  { name: 'fixed', label: 'with a width in px', format: 'share', better: 'less' },
  { name: 'roles', label: 'roles, macro-F1', format: 'share', better: 'more' },
  { name: 'elements', label: 'elements, of the original’s', format: 'ratio', better: 'less' },
  {
    name: 'invalid',
    label: 'invalid declarations',
    format: 'count',
    better: 'less',
    goal: { one: 0, three: 0 },
  },
  { name: 'ms', label: 'time to convert', format: 'ms', better: 'less' },
]

export type Summary = {
  readonly mean: number
  /** The mean of the family that does worst. */
  readonly family: number
  readonly worst: number
  readonly worstPage: string
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length

/** One figure over all pages of one source; nothing where no page has it. */
export const summarise = (
  runs: readonly PageRun[],
  { name, better }: Figure,
): Summary | undefined => {
  const known = runs.flatMap(({ page, family, values }) => {
    const value = values[name]
    return value === undefined ? [] : [{ page, family, value }]
  })
  if (known.length === 0) return undefined
  const isWorse = (a: number, b: number): boolean => (better === 'more' ? a < b : a > b)
  const worst = known.reduce((least, one) => (isWorse(one.value, least.value) ? one : least))
  const families = [...new Set(known.map(({ family }) => family))].map((family) =>
    mean(known.filter((one) => one.family === family).map(({ value }) => value)),
  )
  return {
    mean: mean(known.map(({ value }) => value)),
    family: families.reduce((least, one) => (isWorse(one, least) ? one : least)),
    worst: worst.value,
    worstPage: worst.page,
  }
}

export const formatFigure = (value: number, format: Format): string => {
  switch (format) {
    case 'share':
      return `${(value * 100).toFixed(1)} %`
    case 'count':
      return value.toFixed(2)
    case 'ratio':
      return value.toFixed(2)
    case 'ms':
      return `${value.toFixed(0)} ms`
  }
}
