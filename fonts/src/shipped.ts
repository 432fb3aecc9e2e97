import { readdirSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'

const require = createRequire(import.meta.url)

/** Open fonts that come with the program: package, family, and the weights that are offered. */
const FAMILIES = [
  { id: 'inter', family: 'Inter', weights: [400, 500, 600, 700] },
  { id: 'ibm-plex-sans', family: 'IBM Plex Sans', weights: [400, 500, 600, 700] },
  { id: 'lora', family: 'Lora', weights: [400, 500, 600, 700] },
  { id: 'roboto', family: 'Roboto', weights: [400, 500, 700] },
] as const

export type ShippedFont = {
  /** `inter-400`, `inter-400-italic` */
  readonly id: string
  readonly family: string
  readonly weight: number
  readonly italic: boolean
  readonly path: string
}

/** The font files that come with the program. */
export const listShippedFonts = (): ShippedFont[] =>
  FAMILIES.flatMap(({ id, family, weights }) => {
    const folder = join(dirname(require.resolve(`@fontsource/${id}/package.json`)), 'files')
    const present = new Set(readdirSync(folder))
    return weights.flatMap((weight) =>
      [false, true].flatMap((italic): ShippedFont[] => {
        const file = `${id}-latin-${weight}-${italic ? 'italic' : 'normal'}.woff2`
        if (!present.has(file)) return []
        const key = `${id}-${weight}${italic ? '-italic' : ''}`
        return [{ id: key, family, weight, italic, path: join(folder, file) }]
      }),
    )
  })
