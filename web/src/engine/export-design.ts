import {
  drawLayer,
  toKebab,
  writeDesign,
  writeTokens,
  type Design,
  type Font,
  type Layer,
} from '@unimorph/core'
import type { ExportKind, NamedFile } from './protocol'

const asJson = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`

/** The design as files that others read: our own JSON, one SVG a screen, or tokens, one file a mode. */
export const exportDesign = (
  design: Design,
  screens: readonly Layer[],
  fonts: readonly Font[],
  kind: ExportKind,
): NamedFile[] => {
  const name = toKebab(design.name, 'design')
  switch (kind) {
    case 'json':
      return [{ name: `${name}.json`, content: asJson(writeDesign(design)) }]
    case 'svg':
      return screens.map((screen, i) => ({
        name: `${screens.length > 1 ? `${i + 1}-` : ''}${toKebab(screen.name, 'screen')}.svg`,
        content: drawLayer(screen, { assets: design.assets, fonts }),
      }))
    case 'tokens': {
      const files = writeTokens(design)
      return files.map(({ mode, document }) => ({
        name: files.length > 1 ? `tokens.${toKebab(mode, 'mode')}.json` : 'tokens.json',
        content: asJson(document),
      }))
    }
  }
}
