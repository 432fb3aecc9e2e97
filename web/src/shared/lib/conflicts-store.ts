import { create } from 'zustand'
import type { Conflict } from './merge'

export type Preference = 'mine' | 'theirs'
type Asked = {
  /** What was changed in two places: settings, a glossary. */
  readonly what: string
  readonly conflicts: readonly Conflict[]
  answer(choice: Preference): void
}

type ConflictsStore = {
  readonly asked: Asked | undefined
  /** Asks a person whose changes hold. */
  ask(what: string, conflicts: readonly Conflict[]): Promise<Preference>
}

/** What cannot be decided without a person, while it is asked. */
export const useConflicts = create<ConflictsStore>((set) => ({
  asked: undefined,
  ask: (what, conflicts) =>
    new Promise((done) => {
      const answer = (choice: Preference): void => {
        set({ asked: undefined })
        done(choice)
      }
      set({ asked: { what, conflicts, answer } })
    }),
}))
