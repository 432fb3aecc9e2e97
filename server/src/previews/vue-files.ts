import { createHash } from 'node:crypto'
import { compileScript, compileTemplate, parse } from 'vue/compiler-sfc'

type Problem = { readonly message: string; readonly line: number | undefined }

export type Compiled = { readonly code: string } | { readonly errors: readonly Problem[] }

const problemOf = (error: unknown): Problem => {
  const { message, loc } = error as { message: string; loc?: { start?: { line?: number } } }
  return { message: message.split('\n')[0]!, line: loc?.start?.line }
}

/** Types of props may be said in another file: the compiler looks them up among the given ones. */
type ReadFile = (path: string) => string | undefined

/**
 * A single-file component as a TypeScript module. Takes its path and text, and the other files of the project.
 * Nothing of it is run.
 */
export const compileVue = (path: string, text: string, read: ReadFile): Compiled => {
  const filename = `/${path}`
  const { descriptor, errors } = parse(text, { filename })
  if (errors.length > 0) return { errors: errors.map(problemOf) }
  const id = createHash('sha256').update(path).digest('hex').slice(0, 8)
  try {
    if (descriptor.scriptSetup) {
      const { content } = compileScript(descriptor, {
        id,
        isProd: true,
        inlineTemplate: true,
        fs: {
          fileExists: (file) => read(file.slice(1)) !== undefined,
          readFile: (file) => read(file.slice(1)),
        },
      })
      return { code: content }
    }
    const source = descriptor.template?.content ?? ''
    const template = compileTemplate({ id, filename, source, isProd: true })
    const [problem] = template.errors
    if (problem)
      return { errors: [problemOf(typeof problem === 'string' ? { message: problem } : problem)] }
    return { code: `${template.code}\nexport default { render }` }
  } catch (error) {
    return { errors: [problemOf(error)] }
  }
}
