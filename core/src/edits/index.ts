import type { Design, Screen } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { mapLayers } from '../design/walk.js'
import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'
import type { Edit, EditKind } from './edit.js'

/** What an edit makes of its layer; undefined removes it. */
type Change<K extends EditKind> = (
  layer: Layer,
  edit: Extract<Edit, { kind: K }>,
) => Layer | undefined

const CHANGES: { readonly [K in EditKind]: Change<K> } = {
  hide: (layer, { hidden }) => ({ ...layer, visible: !hidden }),
  remove: () => undefined,
  rename: (layer, { name }) => ({ ...layer, name }),
}

const applyEdit = (design: Design, edit: Edit): Design => {
  const change = CHANGES[edit.kind] as Change<EditKind>
  const screens = design.screens.flatMap(
    (screen) =>
      (mapLayers(screen, (layer) => (layer.key === edit.layer ? change(layer, edit) : layer)) ??
        []) as Screen,
  )
  const isSame =
    screens.length === design.screens.length && screens.every((s, i) => s === design.screens[i])
  return isSame ? design : { ...design, screens }
}

export type Edited = {
  readonly design: Design
  readonly adrift: readonly Edit[]
  readonly notes: readonly Note[]
}

/**
 * Takes an edition's design and the edits in the order they were made; returns the changed design.
 * An edit whose layer is not there any more is adrift: kept, reported, and without effect. The last
 * screen is never removed, since a design without screens is none.
 */
export const applyEdits = (design: Design, edits: readonly Edit[]): Edited => {
  const adrift: Edit[] = []
  let current = design
  for (const edit of edits) {
    const next = applyEdit(current, edit)
    if (next === current || next.screens.length === 0) adrift.push(edit)
    else current = next
  }
  return { design: current, adrift, notes: adrift.map((e) => notes.editAdrift(e.layer, e.kind)) }
}
