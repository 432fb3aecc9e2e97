import type { Layer } from '../../design/layer.js'
import { walkLayers } from '../../design/walk.js'
import { addressIn } from '../../meaning/roles/index.js'
import { notes } from '../../notes/catalogue.js'
import { toId } from '../../text/names.js'
import { textOf } from '../../text/wrap.js'
import type { UiAct, UiLink } from '../nodes.js'
import { findSafeAddress } from './address.js'
import type { BuildContext, Surroundings } from './context.js'

/** So many words of a link name the place it will lead to. */
const MOST_WORDS = 4

/** What was read as a link leads to the screen of that name, or nowhere yet. */
const readLink = (context: BuildContext, layer: Layer): UiLink | undefined => {
  const reading = context.roles.get(layer.key)
  if (reading?.role !== 'link') return undefined
  if (reading.leadsHome) return { kind: 'page', page: context.home }
  const said: string[] = []
  walkLayers(layer, (inner) => {
    if (inner.type === 'text') said.push(textOf(inner))
  })
  const words = said.join(' ')
  const address = addressIn(words)
  if (address !== undefined) return { kind: 'address', url: address }
  const page = context.pageNamed(words)
  if (page !== undefined) return { kind: 'page', page }
  return { kind: 'nowhere', id: toId(words.split(/\s+/).slice(0, MOST_WORDS).join(' '), 'link') }
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
  switch (link.kind) {
    case 'screen': {
      const page = context.pages.get(link.screen)
      if (page !== undefined) return { kind: 'page', page }
      const why = 'the screen it leads to is not part of this conversion'
      context.account.lost(layer.key, 'link', why)
      return undefined
    }
    case 'address': {
      const url = findSafeAddress(link.url)
      if (url) return { kind: 'address', url }
      context.account.add(notes.linkRefused(layer.key, link.url))
      return undefined
    }
    case 'section': {
      const target = context.targets.get(link.layer)
      if (target) return { kind: 'section', id: target.id }
      context.account.lost(
        layer.key,
        'link',
        'the part of the page it leads to is not on this page',
      )
      return undefined
    }
    case 'open':
    case 'close':
    case 'toggle':
    case 'tab':
    case 'submit':
      return undefined
  }
}

/** What was read as a tab is chosen; what was read as part of a stepper counts. */
const readAct = (context: BuildContext, key: string): UiAct | undefined => {
  const reading = context.roles.get(key)
  if (reading?.steps) {
    const { by, field } = reading.steps
    return { kind: 'step', by, target: context.ids.of(field) }
  }
  if (reading?.role !== 'tab' || reading.group === undefined) return undefined
  return {
    kind: 'tab',
    target: context.ids.of(key),
    group: context.ids.of(reading.group),
    startsShown: reading.isOn === true,
    isEmpty: true,
  }
}

/** What pressing a layer does, if it can be done here. */
export const buildAct = (
  context: BuildContext,
  { key, link }: Layer,
  around: Surroundings,
): UiAct | undefined => {
  if (around.isInLink) return undefined
  if (!link) return readAct(context, key)
  const lost = (why: string): undefined => {
    context.account.lost(key, 'link', why)
  }
  switch (link.kind) {
    case 'open': {
      const panel = context.panelOf(link.screen)
      if (panel === undefined) return lost('the screen it shows is not part of this conversion')
      // Shown in two ways, it is what the first of them says.
      return { kind: 'open', panel: panel.id, as: panel.kind }
    }
    case 'close':
      if (!context.panel) return lost('it stands in nothing that could be put away')
      return { kind: 'close', panel: context.panel.id, as: context.panel.kind }
    case 'toggle':
    case 'tab': {
      const target = context.targets.get(link.layer)
      if (!target) return lost('the layer it shows is not on this page')
      const { id, group = 'tabs', when } = target
      const startsShown = when?.startsShown ?? false
      return link.kind === 'toggle'
        ? { kind: 'toggle', target: id, startsShown }
        : { kind: 'tab', target: id, group, startsShown }
    }
    case 'screen':
    case 'address':
    case 'section':
    case 'submit':
      return undefined
  }
}
