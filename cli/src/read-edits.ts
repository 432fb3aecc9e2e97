import { readFileSync } from 'node:fs'
import { editSchema, type Edit } from '@unimorph/core'
import { describeSystemError, Failure } from './failure.js'

/** The edits in a JSON file: a list, in the order they are made. */
export const readEdits = (path: string): Edit[] => {
  let content: unknown
  try {
    content = JSON.parse(readFileSync(path, 'utf8'))
  } catch (error) {
    if (error instanceof SyntaxError) {
      throw new Failure(`--edits ${path}: it is not valid JSON, ${error.message}.`)
    }
    throw new Failure(`--edits ${path}: cannot be read, ${describeSystemError(error)}.`)
  }
  if (!Array.isArray(content)) throw new Failure(`--edits ${path}: it must hold a list of edits.`)
  return content.map((item: unknown, i): Edit => {
    const parsed = editSchema.safeParse(item)
    if (parsed.success) return parsed.data
    const kind = typeof item === 'object' && item && 'kind' in item ? String(item.kind) : 'unknown'
    const [issue] = parsed.error.issues
    const where = issue?.path.join('.')
    throw new Failure(
      `--edits ${path}: edit ${i + 1} (${kind}) cannot be used${where ? `, at ${where}` : ''}: ${issue?.message ?? 'not known'}.`,
    )
  })
}
