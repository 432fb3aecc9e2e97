/** Marks the key of a container that stands for no layer of the file: `first~` holds the layer `first`. */
export const INFERRED = '~'

/** The layer a node's key belongs to: that of an inferred container is its first layer's. */
export const layerOfNode = (key: string): string => key.replace(/~+(menu|run)?$/, '')

const BAR = `${INFERRED}bar`

/** The key of the bar that a rail becomes in narrow windows. */
export const barKeyOf = (rail: string): string => rail + BAR

export const isBarKey = (key: string): boolean => key.endsWith(BAR)
