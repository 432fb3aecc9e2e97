import { uniteBoxes, type Box } from '../../design/geometry.js'
import { nameOfArrange } from '../../design/layout.js'
import type { SingleEdit } from '../../edits/edit.js'
import { placesOf, walkNodes, type Doubt, type LayoutNode } from '../../layout/index.js'
import type { ScreenContext } from '../context.js'
import type { ReadingChoice } from '../finding.js'
import type { Found, FindingKind } from '../kind.js'
import { materialise } from '../materialise.js'

type Cell = {
  readonly keys: readonly string[]
  readonly box: Box
  readonly edits: readonly SingleEdit[]
}

const transpose = <T>(rows: readonly (readonly T[])[]): T[][] =>
  (rows[0] ?? []).map((_, x) => rows.map((row) => row[x]!))

/** The edits that write one reading down: a group for each row or column, and one around them. */
const toChoice = (
  kind: 'rows' | 'columns',
  cells: readonly (readonly Cell[])[],
  doubt: Doubt,
  context: ScreenContext,
): ReadingChoice => {
  const groups = kind === 'rows' ? cells : transpose(cells)
  const [inner, outer] =
    kind === 'rows' ? (['row', 'column'] as const) : (['column', 'row'] as const)
  const edits: SingleEdit[] = cells.flat().flatMap((cell) => cell.edits)
  const keys = groups.map((group, i) => {
    const layers = group.flatMap((cell) => cell.keys)
    const key = context.freeKey(`${layers[0]!}-${inner}`)
    const name = `${nameOfArrange(inner)} ${i + 1}`
    edits.push({ kind: 'group', layers, as: inner, key, name, force: true })
    return key
  })
  const first = groups[0]![0]!.keys[0]!
  const around = context.freeKey(`${first}-${kind}`)
  edits.push({ kind: 'group', layers: keys, as: outer, key: around, force: true })
  return {
    label: kind === 'rows' ? 'Rows, one under the other' : 'Columns, side by side',
    isChosen: doubt.chosen === kind,
    groups: groups.map((group) => group.map((cell) => cell.box)),
    edits,
  }
}

/** Things in rows and columns where nothing says which of the two holds them together. */
export const doubtfulReading: FindingKind = {
  id: 'doubtful-reading',
  area: 'structure',
  severity: 'doubt',
  title: 'Can be read as rows or as columns',
  why: 'At the drawn width both look the same; on a narrow screen they come in another order.',
  find(context) {
    const places = placesOf(context.layout)
    const byKey = new Map<string, LayoutNode>()
    walkNodes(context.layout, (node) => {
      if (!byKey.has(node.layer.key)) byKey.set(node.layer.key, node)
    })
    const found: Found[] = []
    walkNodes(context.layout, ({ doubt }) => {
      if (!doubt) return
      const toCell = (keys: readonly string[]): Cell | undefined => {
        const nodes = keys.map((key) => byKey.get(key))
        if (nodes.some((node) => !node)) return undefined
        const made = nodes.map((node) => materialise(node!, context))
        const known = made.flatMap((m) => m.keys)
        // Layers inside an instance cannot be grouped.
        if (!made.every((m) => m.edits.length > 0 || m.keys.every((k) => context.byKey.has(k))))
          return undefined
        return {
          keys: known,
          box: uniteBoxes(nodes.map((node) => places.get(node!)!)),
          edits: made.flatMap((m) => m.edits),
        }
      }
      const cells = doubt.cells.map((row) => row.map(toCell))
      if (cells.some((row) => row.some((cell) => !cell))) return
      const whole = cells as Cell[][]
      found.push({
        layers: whole
          .flat()
          .flatMap((cell) => cell.keys)
          .filter((key) => context.byKey.has(key)),
        evidence: whole.flat().map((cell) => cell.box),
        message: `${whole.length} × ${whole[0]!.length} things are read as ${doubt.chosen}; ${doubt.chosen === 'rows' ? 'columns' : 'rows'} would fit as well.`,
        choices: [
          toChoice('rows', whole, doubt, context),
          toChoice('columns', whole, doubt, context),
        ],
      })
    })
    return found
  },
}
