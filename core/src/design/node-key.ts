/** Marks the key of a container that stands for no layer of the file: `first~` holds the layer `first`. */
export const INFERRED = '~'

/** The layer a node's key belongs to: that of an inferred container is its first layer's. */
export const layerOfNode = (key: string): string => key.replace(/~+(menu|run)?$/, '')
