import { migrateFrom1 } from './from-1.js'

type Document = Readonly<Record<string, unknown>>

/** What turns a document of each version into one of the next; in order of time. */
const MIGRATIONS: readonly ((document: Document) => Document)[] = [migrateFrom1]

/** Brings a document of an older version to the newest, step by step. Never changes the document given. */
export const migrateDesign = (document: unknown, version: number): unknown => {
  let current = document
  for (let from = version; from <= MIGRATIONS.length; from++) {
    current = MIGRATIONS[from - 1]!(current as Document)
  }
  return current
}
