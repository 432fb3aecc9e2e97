import type { Design } from './design.js'
import type { Layer } from './layer.js'
import { mapLayers } from './walk.js'

/** Changes the layers of the screens and of the components. */
export const changeLayers = (design: Design, change: (layer: Layer) => Layer): Design => ({
  ...design,
  screens: design.screens.map((s) => mapLayers(s, change) as typeof s),
  components: design.components.map((set) => ({
    ...set,
    variants: set.variants.map((v) => mapLayers(v, change) as typeof v),
  })),
})
