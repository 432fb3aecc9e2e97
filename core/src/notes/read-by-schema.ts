import type { z } from 'zod'
import { describeIssue, formatPath } from './describe-issue.js'
import { failed, type Note, type Outcome } from './note.js'

/** A parsed JSON value, checked by a schema; else what `noteOf` says of each field that is wrong, and why it is. */
export const readBySchema = <T>(
  schema: z.ZodType<T>,
  document: unknown,
  noteOf: (field: string, why: string) => Note,
): Outcome<T> => {
  const parsed = schema.safeParse(document)
  if (parsed.success) return { ok: true, value: parsed.data, notes: [] }
  return failed(
    parsed.error.issues.map((issue) =>
      noteOf(formatPath(issue.path), describeIssue(issue, document)),
    ),
  )
}
