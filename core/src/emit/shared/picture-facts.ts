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
): Attribute | undefined => {
  const sources = scaled.map(({ id, widthPx }) => ({ source: sourceOf(id), widthPx }))
  const isCode = sources.some(({ source }) => source?.kind === 'code')
  const words = sources.flatMap(({ source, widthPx }) => {
    if (source?.kind === 'code') return [`\${${source.code}} ${widthPx}w`]
    return source?.kind === 'text' ? [`${source.text} ${widthPx}w`] : []
  })
  if (words.length === 0) return undefined
  return isCode ? code('srcset', `\`${words.join(', ')}\``) : text('srcset', words.join(', '))
}

/** The facts about pictures, by what shows them. `sourceOf`: the attribute that shows an asset. */
export const listPictureFacts = (
  assets: readonly UiAsset[],
  sourceOf: (asset: string) => Attribute | undefined,
  scaled?: PictureSizes['scaled'],
): ReadonlyMap<string, PictureFacts> => {
  const facts = new Map<string, PictureFacts>()
  for (const { id, content } of assets) {
    const size = content.kind === 'bytes' ? content.size : undefined
    const source = size && sourceOf(id)
    const key = source && keyOf(source)
    if (!size || key === undefined) continue
    const srcset = srcsetOf(scaled?.get(id) ?? [], sourceOf)
    facts.set(key, { ...size, ...(srcset ? { srcset } : {}) })
  }
  return facts
}

/**
 * Markup in which pictures say what is known of them; one that is not the same for all that use a component cannot. `sizes`:
 * how wide they are shown, by layer. `spell`: what an attribute of HTML is called.
 */
export const withPictureFacts = (
  markup: MarkupElement,
  facts: ReadonlyMap<string, PictureFacts>,
  sizes: PictureSizes['sizes'] = new Map(),
  spell: (name: string) => string = (name) => name,
): MarkupElement => {
  const said = ({ layer }: MarkupElement, { width, height, srcset }: PictureFacts): Attribute[] => {
    const shown = layer === undefined ? undefined : sizes.get(layer)
    return [
      ...(srcset && shown !== undefined
        ? [{ ...srcset, name: spell('srcset') } as Attribute, text('sizes', shown)]
        : []),
      text('width', String(width)),
      text('height', String(height)),
    ]
  }
  if (facts.size === 0) return markup
  return mapElements(markup, (element, inside) => {
    const attributes = element.attributes.flatMap((one): readonly Attribute[] => {
      const isSource = element.tag === 'img' && one.name === 'src'
      const found = isSource ? facts.get(keyOf(one) ?? '') : undefined
      if (found) return [one, ...said(element, found)]
      return [one.kind === 'markup' ? { ...one, nodes: one.nodes.map(inside) } : one]
    })
    return { ...element, attributes, children: element.children.map(inside) }
  })
}

/** Markup with its pictures changed. */
export const mapPictures = (
  markup: MarkupElement,
  change: (picture: MarkupElement) => MarkupElement,
): MarkupElement =>
  mapElements(markup, (element, inside) =>
    element.tag === 'img'
      ? change(element)
      : {
          ...element,
          attributes: element.attributes.map((one) =>
            one.kind === 'markup' ? { ...one, nodes: one.nodes.map(inside) } : one,
          ),
          children: element.children.map(inside),
        },
  )

/** Files without the sizes of pictures that no code names. */
export const withoutUnusedSizes = (files: readonly EmittedFile[]): readonly EmittedFile[] => {
  const texts = files.flatMap(({ content }) => (content.kind === 'text' ? [content.text] : []))
  return files.filter(({ path, content }) => {
    if (content.kind !== 'bytes' || content.scaledTo === undefined) return true
    const name = path.slice(path.lastIndexOf('/') + 1)
    return texts.some((one) => one.includes(name))
  })
}
