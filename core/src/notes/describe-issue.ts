import type { z } from 'zod'

/** ['screens', 0, 'box'] → `screens[0].box` */
export const formatPath = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, part) =>
      typeof part === 'number' ? `${text}[${part}]` : `${text}${text ? '.' : ''}${String(part)}`,
    '',
  )

/** The value a path leads to; undefined when there is none. */
const valueAt = (document: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>(
    (value, part) => (value as Record<PropertyKey, unknown> | null | undefined)?.[part],
    document,
  )

/** What is wrong with a document by its schema, with the value that stands there. */
export const describeIssue = (issue: z.core.$ZodIssue, document: unknown): string => {
  if (issue.code === 'unrecognized_keys') return `unknown field ${issue.keys.join(', ')}`
  const value = valueAt(document, issue.path)
  if (value === undefined) return 'it is missing'
  const message = issue.message.charAt(0).toLowerCase() + issue.message.slice(1)
  const shown = typeof value === 'object' ? '' : `${JSON.stringify(value).slice(0, 60)}: `
  return shown + message
}
