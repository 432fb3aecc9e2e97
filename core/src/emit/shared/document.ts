/**
 * A document is text whose line breaks are not decided yet. The constructors and the meaning of each
 * kind follow Wadler, "A prettier printer" (2003), with `fill` and `ifBreak` as later printers have them.
 */
export type Doc =
  | string
  | { readonly kind: 'concat'; readonly parts: readonly Doc[]; readonly hard: boolean }
  | { readonly kind: 'indent'; readonly content: Doc; readonly hard: boolean }
  | { readonly kind: 'group'; readonly content: Doc; readonly id?: GroupId; readonly hard: boolean }
  | { readonly kind: 'fill'; readonly parts: readonly Doc[]; readonly hard: boolean }
  | { readonly kind: 'either'; readonly flat: Doc; readonly broken: Doc; readonly hard: boolean }
  | {
      readonly kind: 'ifBreak'
      readonly broken: Doc
      readonly flat: Doc
      readonly id?: GroupId
      readonly hard: boolean
    }
  | { readonly kind: 'span'; readonly layer: string; readonly content: Doc; readonly hard: boolean }
  | {
      readonly kind: 'line'
      readonly flat: '' | ' '
      readonly hard: boolean
      /** After such a break what follows is measured anew, as after one that had to be taken. */
      readonly remeasures?: boolean
    }

/** Names a group, so that `ifBreak` elsewhere can ask whether it was broken. */
export type GroupId = { readonly name: string }

/** Whether a document contains a line break that must be taken. */
export const isHard = (doc: Doc): boolean => typeof doc !== 'string' && doc.hard

/** A space, or a line break when its group is broken. */
export const line: Doc = { kind: 'line', flat: ' ', hard: false }
/** Nothing, or a line break when its group is broken. */
export const softline: Doc = { kind: 'line', flat: '', hard: false }
/**
 * A softline that, once broken, counts as a hardline for what follows. A formatter that reads the printed
 * text back sees a line break there and cannot know that it was optional.
 */
export const settledSoftline: Doc = { kind: 'line', flat: '', hard: false, remeasures: true }
/** A line break, always; it breaks every group around it. */
export const hardline: Doc = { kind: 'line', flat: '', hard: true }

export const concat = (parts: readonly Doc[]): Doc => ({
  kind: 'concat',
  parts,
  hard: parts.some(isHard),
})

/** Line breaks inside are followed by one more step of indentation. */
export const indent = (content: Doc): Doc => ({ kind: 'indent', content, hard: isHard(content) })

/** Printed on one line when it fits, else with all its own lines broken. */
export const group = (content: Doc, options: { id?: GroupId; hard?: boolean } = {}): Doc => ({
  kind: 'group',
  content,
  ...(options.id ? { id: options.id } : {}),
  hard: options.hard === true || isHard(content),
})

/** Content and separators by turns; a separator breaks only when the next content does not fit. */
export const fill = (parts: readonly Doc[]): Doc => ({
  kind: 'fill',
  parts,
  hard: parts.some(isHard),
})

/** The first when it fits on the line, else the second. */
export const either = (flat: Doc, broken: Doc): Doc => ({
  kind: 'either',
  flat,
  broken,
  hard: isHard(flat),
})

export const ifBreak = (broken: Doc, flat: Doc, id?: GroupId): Doc => ({
  kind: 'ifBreak',
  broken,
  flat,
  ...(id ? { id } : {}),
  hard: false,
})

/** Marks the printed text as coming from a layer. */
export const span = (layer: string, content: Doc): Doc => ({
  kind: 'span',
  layer,
  content,
  hard: isHard(content),
})

export const join = (separator: Doc, parts: readonly Doc[]): Doc =>
  concat(parts.flatMap((part, i) => (i === 0 ? [part] : [separator, part])))
