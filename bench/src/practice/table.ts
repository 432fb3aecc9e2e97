import {
  FIGURES,
  formatFigure,
  summarise,
  type Figure,
  type PageRun,
  type SourceId,
} from './figures.js'

/** The committed means: by source, by figure. */
export type Means = Readonly<Record<string, Readonly<Record<string, number>>>>

/** Changes smaller than what is printed are none. */
const LEAST_CHANGE = { share: 0.0005, count: 0.005, ratio: 0.005, ms: 0.5 } as const

const changeOf = ({ format, better }: Figure, now: number, before: number | undefined): string => {
  if (before === undefined || format === 'ms') return ''
  const change = now - before
  if (Math.abs(change) < LEAST_CHANGE[format]) return '='
  const sign = change > 0 ? '+' : '−'
  const isWorse = change > 0 === (better === 'less')
  return `${sign}${formatFigure(Math.abs(change), format)}${isWorse ? ' worse' : ''}`
}

const align = (rows: readonly (readonly string[])[]): string => {
  const widths = rows[0]!.map((_, column) => Math.max(...rows.map((row) => row[column]!.length)))
  const line = (row: readonly string[]): string =>
    row
      .map((cell, i) => (i === 0 ? cell.padEnd(widths[i]!) : cell.padStart(widths[i]!)))
      .join('  ')
      .trimEnd()
  return rows.map(line).join('\n')
}

/** All figures of all sources: the goal, the mean, the change to what was committed, the worst family and page. */
export const printTable = (
  runs: readonly PageRun[],
  sources: readonly SourceId[],
  committed: Means,
): string => {
  const columns = ['goal', 'mean', 'change', 'worst family', 'worst page']
  const head = ['', ...sources.flatMap((source) => columns.map((one) => `${source}: ${one}`))]
  const rows = FIGURES.map((figure) => [
    figure.label,
    ...sources.flatMap((source) => {
      const of = runs.filter((run) => run.source === source)
      const summary = summarise(of, figure)
      if (!summary) return columns.map(() => '')
      const goal = figure.goal?.[source]
      const show = (value: number): string => formatFigure(value, figure.format)
      return [
        goal === undefined ? '' : show(goal),
        show(summary.mean),
        changeOf(figure, summary.mean, committed[source]?.[figure.name]),
        show(summary.family),
        `${show(summary.worst)} ${summary.worstPage}`,
      ]
    }),
  ])
  return align([head, ...rows])
}

/** How many of each role there are, were made and are right, over all pages of a source. */
export const printRoles = (runs: readonly PageRun[]): string => {
  const names = [...new Set(runs.flatMap(({ roles }) => Object.keys(roles)))]
  const rows = names.map((name) => {
    const all = runs.flatMap(({ roles }) => roles[name] ?? [])
    const sum = (of: 'truth' | 'made' | 'matched'): number =>
      all.reduce((total, one) => total + one[of], 0)
    const [truth, made, matched] = [sum('truth'), sum('made'), sum('matched')]
    const f1 = truth + made === 0 ? 0 : (2 * matched) / (truth + made)
    return [name, String(truth), String(made), String(matched), formatFigure(f1, 'share')]
  })
  return align([['role', 'in the truth', 'made', 'right', 'F1'], ...rows])
}

export const meansOf = (runs: readonly PageRun[]): Means => {
  const sources = [...new Set(runs.map(({ source }) => source))]
  return Object.fromEntries(
    sources.map((source) => {
      const of = runs.filter((run) => run.source === source)
      const means = FIGURES.filter(({ format }) => format !== 'ms').flatMap((figure) => {
        const summary = summarise(of, figure)
        return summary ? [[figure.name, Number(summary.mean.toFixed(4))] as const] : []
      })
      return [source, Object.fromEntries(means)]
    }),
  )
}

/** The pages that changed most in one figure since the run before. */
export const printChanges = (
  runs: readonly PageRun[],
  before: readonly PageRun[],
  name: string,
): string => {
  const figure = FIGURES.find((one) => one.name === name)!
  const changes = runs.flatMap((run) => {
    const old = before.find(({ page, source }) => page === run.page && source === run.source)
    const [a, b] = [old?.values[name], run.values[name]]
    if (a === undefined || b === undefined) return []
    if (Math.abs(b - a) < LEAST_CHANGE[figure.format]) return []
    return [{ label: `${run.source} ${run.page}`, a, b }]
  })
  changes.sort((x, y) => Math.abs(y.b - y.a) - Math.abs(x.b - x.a))
  const show = (value: number): string => formatFigure(value, figure.format)
  return [
    `${figure.label}: ${changes.length} pages changed since the run before`,
    ...changes.slice(0, 12).map(({ label, a, b }) => `  ${label}: ${show(a)} → ${show(b)}`),
  ].join('\n')
}
