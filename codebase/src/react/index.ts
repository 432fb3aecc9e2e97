import type { Reader } from '../readers.js'
import { readUses } from '../typescript/read-uses.js'
import { syntaxNotes } from '../typescript/syntax-notes.js'
import { readReact } from './read-react.js'

/** Tests and examples show components, and are none. */
const isAside = (path: string): boolean =>
  /\.(test|spec|stories|story)\.[cm]?[jt]sx?$|(^|\/)(__tests__|__mocks__|tests?|e2e)\//.test(path)

/** Function components, `memo`, `forwardRef` and classes, in TypeScript and in JavaScript. */
export const react: Reader = {
  reads: ({ path }) => /\.[cm]?[jt]sx?$/.test(path) && !path.endsWith('.d.ts') && !isAside(path),
  read({ path, text }, checked) {
    const module = checked?.moduleOf(path)
    if (!checked || !module) return {}
    const isReact = /\.[jt]sx$/.test(path) || /from ['"]react['"]/.test(text)
    return {
      components: isReact ? readReact(path, checked) : [],
      uses: readUses(path, checked),
      notes: syntaxNotes(path, module),
      needs: checked.needsOf(module),
    }
  },
}
