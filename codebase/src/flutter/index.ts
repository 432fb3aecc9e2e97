import type { Reader } from '../readers.js'
import { dartParser } from './parser.js'
import { readFlutter } from './read-flutter.js'
import { readDartTokens } from './read-tokens.js'

/** Widgets of Flutter by their constructors, and the colours and lengths of its themes. */
export const flutter: Reader = {
  reads: ({ path }) =>
    path.endsWith('.dart') && !/_test\.dart$|\.(g|freezed)\.dart$|^test\//.test(path),
  read({ path, text }) {
    const tree = dartParser().parse(text)
    if (!tree) return {}
    try {
      const root = tree.rootNode
      const found = readFlutter(path, root)
      const problem = root.hasError ? root.descendantsOfType('ERROR')[0] : undefined
      return {
        ...found,
        tokens: readDartTokens(path, root),
        notes: root.hasError
          ? [
              {
                path,
                ...(problem ? { line: problem.startPosition.row + 1 } : {}),
                message: 'It is not valid Dart.',
              },
            ]
          : [],
      }
    } finally {
      tree.delete()
    }
  },
}
