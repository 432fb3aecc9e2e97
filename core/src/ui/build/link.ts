import type { Layer } from '../../design/layer.js'
import { walkLayers } from '../../design/walk.js'
import { addressIn } from '../../meaning/roles/index.js'
import { notes } from '../../notes/catalogue.js'
import { textOf } from '../../text/wrap.js'
import type { UiLink } from '../nodes.js'
import { findSafeAddress } from './address.js'
import type { BuildContext, Surroundings } from './context.js'

/** What was read as a link leads to the screen of that name, or nowhere yet. */
const readLink = (context: BuildContext, layer: Layer): UiLink | undefined => {
  const reading = context.roles.get(layer.key)
  if (reading?.role !== 'link') return undefined
  if (reading.leadsHome) return { kind: 'page', page: context.home }
  const said: string[] = []
  walkLayers(layer, (inner) => {
    if (inner.type === 'text') said.push(textOf(inner))
  })
  const address = addressIn(said.join(' '))
  if (address !== undefined) return { kind: 'address', url: address }
  const page = context.pageNamed(said.join(' '))
  return page === undefined ? { kind: 'nowhere' } : { kind: 'page', page }
}

/** Where a layer leads, if it may lead there; what is lost is put into the account. */
export const buildLink = (
  context: BuildContext,
  layer: Layer,
  around: Surroundings,
): UiLink | undefined => {
  const { link } = layer
  if (!link) return around.isInLink ? undefined : readLink(context, layer)
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
