import type { UiStyle } from '../ui/nodes.js'
import { onlyChild, PLAIN_LOOK } from '../ui/plain-style.js'

/** The style of a node that is alone in its column and has no look, for tests that ask for none. */
export const plainStyle: UiStyle = {
  ...PLAIN_LOOK,
  place: onlyChild('column', 'stretch'),
  width: { sizing: 'stretch', px: 10 },
  height: { sizing: 'fit', px: 10 },
  limits: {},
  arrange: { kind: 'none' },
}
