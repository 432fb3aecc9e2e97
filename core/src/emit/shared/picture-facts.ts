import type { EmittedFile } from './emitted-file.js'
import { code, mapElements, text, type Attribute, type MarkupElement } from './markup.js'
import type { PictureSizes } from './picture-sizes.js'
import type { UiAsset } from '../../ui/nodes.js'

/** What a page says of a picture: its own size, so that its room is kept before it has loaded, and others it comes in. */
export type PictureFacts = {
  readonly width: number
  readonly height: number
  readonly srcset?: Attribute
}

const keyOf = (source: Attribute): string | undefined =>
  source.kind === 'text'
    ? `text ${source.text}`
    : source.kind === 'code'
      ? `code ${source.code}`
      : undefined

/** `assets/shore-360.webp 360w, assets/shore-720.webp 720w`, or a text of what is imported. */
const srcsetOf = (
  scaled: readonly { readonly id: string; readonly widthPx: number }[],
  sourceOf: (asset: string) => Attribute | undefined,
  name: string,
): Attribute | undefined => {
  const sources = scaled.map(({ id, widthPx }) => ({ source: sourceOf(id), widthPx }))
  const isCode = sources.some(({ source }) => source?.kind === 'code')
  const words = sources.flatMap(({ source, widthPx }) => {
    if (source?.kind === 'code') return [`\${${source.code}} ${widthPx}w`]
    return source?.kind === 'text' ? [`${source.text} ${widthPx}w`] : []
  })
  if (words.length === 0) return undefined
  return isCode ? code(name, `\`${words.join(', ')}\``) : text(name, words.join(', '))
}

/**
 * The facts about pictures, by what shows them. `sourceOf`: the attribute that shows an asset; `srcsetName`: what HTML's
 * `srcset` is called.
 */
export const listPictureFacts = (
  assets: readonly UiAsset[],
  sourceOf: (asset: string) => Attribute | undefined,
  scaled?: PictureSizes['scaled'],
  srcsetName = 'srcset',
): ReadonlyMap<string, PictureFacts> => {
  const facts = new Map<string, PictureFacts>()
  for (const { id, content } of assets) {
    const size = content.kind === 'bytes' ? content.size : undefined
    const source = size && sourceOf(id)
    const key = source && keyOf(source)
    if (!size || key === undefined) continue
    const srcset = srcsetOf(scaled?.get(id) ?? [], sourceOf, srcsetName)
    facts.set(key, { ...size, ...(srcset ? { srcset } : {}) })
  }
  return facts
}

/**
 * Markup in which pictures say what is known of them; one that is not the same for all that use a component cannot. `sizes`:
 * how wide they are shown, by layer.
 */
export const withPictureFacts = (
  markup: MarkupElement,
  facts: ReadonlyMap<string, PictureFacts>,
  sizes: PictureSizes['sizes'] = new Map(),
): MarkupElement => {
  const said = ({ layer }: MarkupElement, { width, height, srcset }: PictureFacts): Attribute[] => {
    const shown = layer === undefined ? undefined : sizes.get(layer)
    return [
      ...(srcset && shown !== undefined ? [srcset, text('sizes', shown)] : []),
      text('width', String(width)),
      text('height', String(height)),
    ]
  }
  if (facts.size === 0) return markup
  return mapPictures(markup, (picture) => ({
    ...picture,
    attributes: picture.attributes.flatMap((one) => {
      const found = one.name === 'src' ? facts.get(keyOf(one) ?? '') : undefined
      return found ? [one, ...said(picture, found)] : [one]
    }),
  }))
}

/** Markup with its pictures changed. */
export const mapPictures = (
  markup: MarkupElement,
  change: (picture: MarkupElement) => MarkupElement,
): MarkupElement =>
  mapElements(markup, (element) => (element.tag === 'img' ? change(element) : element))

/** Files without the sizes of pictures that no code names. */
export const withoutUnusedSizes = (files: readonly EmittedFile[]): readonly EmittedFile[] => {
  const texts = files.flatMap(({ content }) => (content.kind === 'text' ? [content.text] : []))
  return files.filter(({ path, content }) => {
    if (content.kind !== 'bytes' || content.scaledTo === undefined) return true
    const name = path.slice(path.lastIndexOf('/') + 1)
    return texts.some((one) => one.includes(name))
  })
}
