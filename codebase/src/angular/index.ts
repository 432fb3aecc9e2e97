import { posix } from 'node:path'
import type { Reader } from '../readers.js'
import { syntaxNotes } from '../typescript/syntax-notes.js'
import { readAngular } from './read-angular.js'

/** Components and directives of Angular, with decorators and with signals. */
export const angular: Reader = {
  reads: ({ path, text }) =>
    path.endsWith('.ts') &&
    !/\.(spec|d)\.ts$/.test(path) &&
    /@(Component|Directive)\s*\(/.test(text),
  read({ path }, checked) {
    const module = checked?.moduleOf(path)
    if (!checked || !module) return {}
    const beside: string[] = []
    const components = readAngular(path, checked, (name) => {
      beside.push(posix.join(posix.dirname(path), name))
      return checked.textBeside(path, name)
    })
    return {
      components,
      notes: syntaxNotes(path, module),
      needs: [...checked.needsOf(module), ...beside],
    }
  },
}
