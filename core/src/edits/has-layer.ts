import type { Design } from '../design/design.js'
import { walkScreens } from '../design/walk.js'

/**
 * Whether a key stands for something in a design: `first~` is a container around the layer `first`, `card/title` a
 * layer inside an instance.
 */
export const hasLayer = (design: Design, key: string): boolean => {
  const own = key.replace(/~+(menu)?$/, '')
  let found = false
  walkScreens(design, (layer) => {
    if (layer.key === own || (layer.type === 'instance' && own.startsWith(`${layer.key}/`))) {
      found = true
    }
  })
  return found
}
