import { freeKey, nameOfArrange, overlapAny, type Arrange, type Edit } from '@unimorph/core'
import type { LayerRow } from '../../../engine/protocol'

/** Something that can be done by hand with the selected layers. */
export type ArrangeAction = {
  readonly label: string
  /** The key that does it in the outline. */
  readonly key?: string
} & (
  | {
      readonly edit: Edit
      /** Why it needs a second word. */
      readonly warning?: string
    }
  /** It has to be said how. */
  | { readonly asks: 'box' | 'crop' | 'layout' | 'picture'; readonly layer: LayerRow }
)

const GROUPS: readonly (readonly [Arrange, string])[] = [
  ['row', 'r'],
  ['column', 'c'],
  ['grid', 'g'],
  ['overlay', 'o'],
]

const CONTAINERS: ReadonlySet<LayerRow['type']> = new Set(['frame', 'group', 'component'])

/** What can be done with the selected layers. */
export const listArrangeActions = (
  selected: readonly LayerRow[],
  keys: ReadonlySet<string>,
): ArrangeAction[] => {
  const editable = selected.filter((row) => row.editable && row.depth > 0)
  const [first, ...others] = editable
  if (!first || editable.length !== selected.length) return []
  const layers = editable.map((row) => row.key)
  const isPulledApart = overlapAny(editable.map((row) => row.box))
  const groups = GROUPS.map(([as, key]): ArrangeAction => {
    const made = freeKey(`${first.key}-${as}`, keys)
    const edit: Edit = {
      kind: 'group',
      layers,
      as,
      key: made,
      name: nameOfArrange(as),
      force: true,
    }
    const warning = `These layers lie over each other; as a ${as} they are pulled apart.`
    return {
      label: `Group as ${as}`,
      key,
      edit,
      ...(isPulledApart && as !== 'overlay' ? { warning } : {}),
    }
  })
  const graphic: ArrangeAction = {
    label: 'Make one graphic',
    edit: {
      kind: 'make-graphic',
      layers,
      key: freeKey(`${first.key}-drawing`, keys),
      name: first.name,
    },
  }
  const picture: ArrangeAction = { label: 'Make one picture', asks: 'picture', layer: first }
  if (others.length > 0) {
    const last = editable.at(-1)!
    const moves = editable.slice(0, -1).map((row) => ({
      kind: 'move' as const,
      layer: row.key,
      into: last.key,
    }))
    const isTarget = CONTAINERS.has(last.type)
    const into: ArrangeAction[] = isTarget
      ? [
          {
            label: `Move into ${last.name || last.type}`,
            edit: { kind: 'together', label: 'Move', edits: moves },
          },
        ]
      : []
    return [...groups, ...into, graphic]
  }
  const { key, type } = first
  const isContainer = CONTAINERS.has(type)
  const sizing = (['fixed', 'fit', 'stretch'] as const).map((width): ArrangeAction => ({
    label: `Width: ${width}`,
    edit: { kind: 'set-sizing', layer: key, width },
  }))
  return [
    ...(isContainer
      ? [
          { label: 'Take apart', key: 'u', edit: { kind: 'split', layer: key } as const },
          ...(type === 'frame'
            ? [{ label: 'Set auto layout …', asks: 'layout', layer: first } as const]
            : []),
          ...(type === 'frame'
            ? GROUPS.map(([as]): ArrangeAction => ({
                label: `Read as ${as}`,
                edit: { kind: 'read-as', layer: key, as },
              }))
            : []),
        ]
      : []),
    ...groups.filter((group) => group.label.endsWith('overlay')),
    graphic,
    picture,
    { label: 'Set the box …', asks: 'box', layer: first },
    ...(type === 'image' ? [{ label: 'Crop …', asks: 'crop', layer: first } as const] : []),
    { label: 'Take out of the flow', edit: { kind: 'set-flow', layer: key, flow: 'out' } },
    { label: 'Put into the flow', edit: { kind: 'set-flow', layer: key, flow: 'in' } },
    ...sizing,
    {
      label: 'Constraint: center',
      edit: { kind: 'set-constraints', layer: key, horizontal: 'centre' },
    },
  ]
}
