import { editSchema, type Edit } from '@unimorph/core'
import { Failure } from './failure.js'
import { readJson } from './read-json.js'

/** The edits in a JSON file: a list, in the order they are made. */
export const readEdits = (path: string): Edit[] => {
  const content = readJson(path, `--edits ${path}`)
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
