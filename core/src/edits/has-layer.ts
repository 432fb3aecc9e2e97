import { layerOfNode } from '../design/node-key.js'
import type { Design } from '../design/design.js'
import { walkScreens } from '../design/walk.js'

/**
 * Asks of keys whether they stand for something in a design: `first~` is a container around the layer `first`,
 * `card/title` a layer inside an instance.
 */
export const layerFinder = (design: Design): ((key: string) => boolean) => {
  const keys = new Set<string>()
  const instances: string[] = []
  walkScreens(design, (layer) => {
    keys.add(layer.key)
    if (layer.type === 'instance') instances.push(`${layer.key}/`)
  })
  return (key) => {
    const own = layerOfNode(key)
    return keys.has(own) || instances.some((instance) => own.startsWith(instance))
  }
}

export const hasLayer = (design: Design, key: string): boolean => layerFinder(design)(key)
