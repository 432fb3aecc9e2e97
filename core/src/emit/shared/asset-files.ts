import type { UiAsset } from '../../ui/nodes.js'
import type { EmittedFile } from './emitted-file.js'
import { toKebab, UniqueNames } from '../../text/names.js'

export type AssetFile = { readonly file: string; readonly emitted: EmittedFile }

/** Gives every asset a readable, unique file in `folder`; by asset id. */
export const buildAssetFiles = (
  assets: readonly UiAsset[],
  folder: string,
): ReadonlyMap<string, AssetFile> => {
  const names = new UniqueNames('-')
  return new Map(
    assets.map(({ id, name, content }) => {
      const extension = content.kind === 'svg' ? 'svg' : content.extension
      const file = `${names.take(toKebab(name, 'picture'))}.${extension}`
      const emitted: EmittedFile = {
        path: `${folder}/${file}`,
        content:
          content.kind === 'svg'
            ? { kind: 'text', text: `${content.text}\n` }
            : {
                kind: 'bytes',
                base64: content.base64,
                ...(content.scaledTo === undefined ? {} : { scaledTo: content.scaledTo }),
              },
        spans: [],
      }
      return [id, { file, emitted }]
    }),
  )
}
