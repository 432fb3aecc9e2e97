import type { UiAsset } from '../../ui/nodes.js'
import { mapElements, text, type Attribute, type MarkupElement } from './markup.js'

/** What a page says of a picture, so that its room is kept before it has loaded. */
export type PictureFacts = { readonly width: number; readonly height: number }

const keyOf = (source: Attribute): string | undefined =>
  source.kind === 'text'
    ? `text ${source.text}`
    : source.kind === 'code'
      ? `code ${source.code}`
      : undefined

/** The facts about pictures, by what shows them. `sourceOf`: the attribute that shows an asset. */
export const listPictureFacts = (
  assets: readonly UiAsset[],
  sourceOf: (asset: string) => Attribute | undefined,
): ReadonlyMap<string, PictureFacts> => {
  const facts = new Map<string, PictureFacts>()
  for (const { id, content } of assets) {
    const source = content.kind === 'bytes' && content.size ? sourceOf(id) : undefined
    const key = source && keyOf(source)
    if (key !== undefined && content.kind === 'bytes' && content.size) facts.set(key, content.size)
  }
  return facts
}

/** Markup in which pictures say their own sizes; one that is not the same for all that use a component cannot. */
export const withPictureFacts = (
  markup: MarkupElement,
  facts: ReadonlyMap<string, PictureFacts>,
): MarkupElement =>
  facts.size === 0
    ? markup
    : mapElements(markup, (element, inside) => {
        const attributes = element.attributes.flatMap((one): readonly Attribute[] => {
          const found =
            element.tag === 'img' && one.name === 'src' ? facts.get(keyOf(one) ?? '') : undefined
          if (!found) {
            return [one.kind === 'markup' ? { ...one, nodes: one.nodes.map(inside) } : one]
          }
          return [one, text('width', String(found.width)), text('height', String(found.height))]
        })
        return { ...element, attributes, children: element.children.map(inside) }
      })
