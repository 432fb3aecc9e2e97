import type { Design } from '../design/design.js'
import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'
import type { Edit, EditKind, EditOf, SingleEdit } from './edit.js'
import {
  hide,
  readAs,
  remove,
  rename,
  setBox,
  setConstraints,
  setFlow,
  setLayout,
  setSizing,
  setValue,
} from './layers.js'
import { crop, enclose, group, makeGraphic, move, split } from './structure.js'
import {
  giveWay,
  holdContent,
  match,
  setArtboards,
  setAt,
  setBreakpoints,
  setLimits,
} from './widths.js'
import { setForm, setInteraction } from './interactions.js'
import { setPart } from './parts.js'
import { setRole } from './roles.js'
import { importTokens } from '../tokens/import-tokens.js'
import { addTokens, mergeToken, removeToken, renameToken } from './tokens.js'

/** Makes one edit; gives the same design back when it does not apply. */
type Apply<K extends EditKind> = (design: Design, edit: EditOf<K>) => Design

const KINDS: { readonly [K in EditKind]: Apply<K> } = {
  'add-tokens': addTokens,
  crop,
  enclose,
  'give-way': giveWay,
  group,
  hide,
  'hold-content': holdContent,
  'import-tokens': importTokens,
  'make-graphic': makeGraphic,
  match,
  'merge-token': mergeToken,
  move,
  'read-as': readAs,
  remove,
  'remove-token': removeToken,
  rename,
  'rename-token': renameToken,
  'set-artboards': setArtboards,
  'set-at': setAt,
  'set-box': setBox,
  'set-breakpoints': setBreakpoints,
  'set-constraints': setConstraints,
  'set-flow': setFlow,
  'set-form': setForm,
  'set-interaction': setInteraction,
  'set-layout': setLayout,
  'set-limits': setLimits,
  'set-part': setPart,
  'set-role': setRole,
  'set-sizing': setSizing,
  'set-value': setValue,
  split,
}

/** The layer or token an edit is about. */
const subjectOf = (
  edit: SingleEdit,
): { readonly kind: 'layer' | 'token'; readonly name: string } => {
  if ('layer' in edit) return { kind: 'layer', name: edit.layer }
  if ('layers' in edit) return { kind: 'layer', name: edit.layers[0]! }
  if (edit.kind === 'set-artboards') return { kind: 'layer', name: edit.groups[0]?.[0] ?? '' }
  if (edit.kind === 'set-breakpoints') return { kind: 'layer', name: '' }
  if (edit.kind === 'add-tokens') return { kind: 'token', name: edit.additions[0]!.token.name }
  return { kind: 'token', name: edit.kind === 'import-tokens' ? '' : edit.token }
}

export type Edited = {
  readonly design: Design
  /** What did not apply; of several edits made as one, those that did not. */
  readonly adrift: readonly SingleEdit[]
  readonly notes: readonly Note[]
}

type Applied = Pick<Edited, 'design' | 'adrift'> & { readonly edits: readonly SingleEdit[] }

/** So many undos in a row find what was there before. */
const MOST_KEPT = 8
/** What was made of designs, the last first: mostly one more edit is made, or the last one undone. */
const appliedTo = new WeakMap<Design, readonly Applied[]>()

/** What was made of a design by the first of some edits, of as many as is known. */
const begin = (design: Design, edits: readonly SingleEdit[]): Applied => {
  let most: Applied = { design, adrift: [], edits: [] }
  for (const known of appliedTo.get(design) ?? []) {
    const isLonger = known.edits.length > most.edits.length
    if (isLonger && known.edits.every((edit, i) => edit === edits[i])) most = known
  }
  return most
}

const keep = (design: Design, applied: Applied, begun: Applied): void => {
  const others = (appliedTo.get(design) ?? []).filter((one) => one !== begun)
  const isNew = applied.edits.length > begun.edits.length
  const first = isNew ? [applied, begun] : [begun]
  const some = [...first, ...others].filter(({ edits }) => edits.length > 0)
  appliedTo.set(design, some.slice(0, MOST_KEPT))
}

/**
 * Takes an edition's design and the edits in the order they were made; returns the changed design.
 * An edit that does not apply any more is adrift: kept, reported, and without effect. The last screen is
 * never removed, since a design without screens is none. Edits that are the same objects as in the call before are not made
 * again: what they made is the same objects.
 */
export const applyEdits = (design: Design, edits: readonly Edit[]): Edited => {
  const single = edits.flatMap((edit) => (edit.kind === 'together' ? edit.edits : [edit]))
  const begun = begin(design, single)
  const adrift = [...begun.adrift]
  let current = begun.design
  for (const edit of single.slice(begun.edits.length)) {
    const apply = KINDS[edit.kind] as Apply<EditKind>
    const next = apply(current, edit)
    if (next === current) adrift.push(edit)
    else current = next
  }
  keep(design, { design: current, adrift, edits: single }, begun)
  return {
    design: current,
    adrift,
    notes: adrift.map((edit) => {
      const { kind, name } = subjectOf(edit)
      return kind === 'layer'
        ? notes.editAdrift(name, edit.kind)
        : notes.tokenEditAdrift(name, edit.kind)
    }),
  }
}
