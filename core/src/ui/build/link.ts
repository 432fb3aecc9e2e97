import type { Layer } from '../../design/layer.js'
import { notes } from '../../notes/catalogue.js'
import type { UiLink } from '../nodes.js'
import { findSafeAddress } from './address.js'
import type { BuildContext, Surroundings } from './context.js'

/** Where a layer leads, if it may lead there; what is lost is put into the account. */
export const buildLink = (
  context: BuildContext,
  layer: Layer,
  around: Surroundings,
): UiLink | undefined => {
  const { link } = layer
  if (!link) return undefined
  if (around.isInLink) {
    context.account.lost(layer.key, 'link', 'a link cannot stand inside another link')
    return undefined
  }
  if (link.kind === 'screen') {
    const page = context.pages.get(link.screen)
    if (page !== undefined) return { kind: 'page', page }
    context.account.lost(layer.key, 'link', 'the screen it leads to is not part of this conversion')
    return undefined
  }
  const url = findSafeAddress(link.url)
  if (url) return { kind: 'address', url }
  context.account.add(notes.linkRefused(layer.key, link.url))
  return undefined
}
