import type { Choice, Summary } from '@unimorph/core'

/** What a person has chosen so far in the review of an import. */
export type Draft = {
  readonly taken: ReadonlySet<string>
  /** Screen → the screen it is another width of. */
  readonly sameAs: ReadonlyMap<string, string>
}

/** All screens, with the artboards that were found as proposed. */
export const startDraft = (summary: Summary): Draft => {
  const sameAs = new Map<string, string>()
  const widthOf = new Map(summary.screens.map((s) => [s.key, s.width]))
  for (const group of summary.artboards) {
    // The widest stands for the screen.
    const [first, ...others] = [...group].sort((a, b) => widthOf.get(b)! - widthOf.get(a)!)
    for (const key of others) sameAs.set(key, first!)
  }
  return { taken: new Set(summary.screens.map((s) => s.key)), sameAs }
}

export const toggleScreen = (draft: Draft, key: string): Draft => {
  const taken = new Set(draft.taken)
  if (!taken.delete(key)) taken.add(key)
  return { ...draft, taken }
}

/** Says that a screen is another width of `other`, or a screen of its own. */
export const setSameAs = (draft: Draft, key: string, other: string | undefined): Draft => {
  const sameAs = new Map(draft.sameAs)
  sameAs.delete(key)
  if (other !== undefined && other !== key) {
    sameAs.set(key, other)
    // What stood for a group before moves along to the new one.
    for (const [member, leader] of sameAs) if (leader === key) sameAs.set(member, other)
    sameAs.delete(other)
  }
  return { ...draft, sameAs }
}

export const toChoice = (draft: Draft, summary: Summary): Choice => {
  const screens = summary.screens.map((s) => s.key).filter((key) => draft.taken.has(key))
  const groups = new Map<string, string[]>()
  for (const key of screens) {
    const leader = draft.sameAs.get(key) ?? key
    groups.set(leader, [...(groups.get(leader) ?? []), key])
  }
  return { screens, artboards: [...groups.values()].filter((group) => group.length > 1) }
}
