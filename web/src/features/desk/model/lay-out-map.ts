import type { FlowRow } from '../../../engine/protocol'

export type MapCard = {
  readonly key: string
  readonly name: string
  readonly isPanel: boolean
  readonly column: number
  readonly row: number
}
export type MapLine = {
  readonly from: MapCard
  readonly to: MapCard
  readonly kind: 'leads' | 'opens'
  readonly layers: readonly string[]
}

/**
 * Places the pages of a project by how many presses they are from the first: a column each; what nothing leads to comes
 * last. In a column they keep the order of the project.
 */
export const layOutMap = (
  flow: readonly FlowRow[],
): { readonly cards: readonly MapCard[]; readonly lines: readonly MapLine[] } => {
  const byKey = new Map(flow.map((row) => [row.key, row]))
  const depth = new Map<string, number>()
  let front = flow.slice(0, 1).map(({ key }) => key)
  for (let column = 0; front.length > 0; column++) {
    for (const key of front) depth.set(key, column)
    const next = front.flatMap((key) => byKey.get(key)!.to.map((to) => to.key))
    front = [...new Set(next)].filter((key) => byKey.has(key) && !depth.has(key))
  }
  const last = Math.max(0, ...depth.values())
  const rows = new Map<number, number>()
  const cards = flow.map(({ key, name, isPanel }): MapCard => {
    const column = depth.get(key) ?? last + 1
    const row = rows.get(column) ?? 0
    rows.set(column, row + 1)
    return { key, name, isPanel, column, row }
  })
  const cardOf = new Map(cards.map((card) => [card.key, card]))
  const lines = flow.flatMap(({ key, to }) =>
    to.flatMap((one): MapLine[] => {
      const [from, target] = [cardOf.get(key), cardOf.get(one.key)]
      return from && target ? [{ from, to: target, kind: one.kind, layers: one.layers }] : []
    }),
  )
  return { cards, lines }
}
