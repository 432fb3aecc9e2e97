import { ApiError } from './api'
import { useConflicts } from './conflicts-store'
import { mergeThree, type KeyOf } from './merge'

/** Something the server has, and its version there. */
export type Versioned<T> = { readonly value: T; readonly version: string }

/** What the server says where something is not what it was any more. */
const CONFLICT = 409
/** So many times somebody else may be faster. */
const MOST_TRIES = 5

type Save<T> = {
  /** What it is called when a person is asked. */
  readonly what: string
  /** What it was when `mine` was made of it. */
  readonly base: Versioned<T>
  readonly mine: T
  readonly keyOf?: KeyOf
  /** Saves a value over that of a version. */
  save(value: T, version: string): Promise<Versioned<T>>
}

/**
 * Saves what was changed here. Where it was changed elsewhere meanwhile, the changes of both are kept; of what both changed in
 * their own ways a person says whose holds. Returns what the server has now.
 */
export const saveMerged = async <T>({
  what,
  base,
  mine,
  keyOf,
  save,
}: Save<T>): Promise<Versioned<T>> => {
  let [from, own] = [base, mine]
  for (let tries = 1; ; tries++) {
    try {
      return await save(own, from.version)
    } catch (error) {
      const isChanged = error instanceof ApiError && error.status === CONFLICT
      if (!isChanged || tries === MOST_TRIES) throw error
      const { current, version } = error.answer as { current: T; version: string }
      const { value, conflicts } = mergeThree(from.value, own, current, 'mine', keyOf)
      own = value
      if (conflicts.length > 0 && (await useConflicts.getState().ask(what, conflicts)) === 'theirs')
        own = mergeThree(from.value, value, current, 'theirs', keyOf).value
      from = { value: current, version }
    }
  }
}
