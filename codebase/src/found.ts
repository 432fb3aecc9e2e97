import type { CodeComponent, CodeToken, ScanNote } from '@unimorph/core'

/** A component as its file says it, before it is known how others use it. */
export type FoundComponent = Omit<CodeComponent, 'id' | 'uses' | 'specifier'>

/** A file of the codebase uses a component of another. */
export type Use = {
  /** Where it is declared: `src/ui/Btn.tsx#Btn`, or `@scope/ui#Btn`. */
  readonly of: string
  /** What the file imports it from, and by which name. */
  readonly specifier: string
  readonly exported: string
  readonly times: number
}

/** What one file says. */
export type Findings = {
  readonly components: readonly FoundComponent[]
  readonly uses: readonly Use[]
  readonly tokens: readonly CodeToken[]
  /** Of Dart: enums and what may be chosen of them. */
  readonly enums: Readonly<Record<string, readonly string[]>>
  readonly notes: readonly ScanNote[]
  /** The files it depends on, by their paths: where one of them changes, it is read anew. */
  readonly needs: readonly string[]
}

export const NOTHING: Findings = {
  components: [],
  uses: [],
  tokens: [],
  enums: {},
  notes: [],
  needs: [],
}
