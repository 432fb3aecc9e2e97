import { isPopover } from '../../../design/interaction.js'
import type { UiForm, UiLink, UiPanel } from '../../../ui/nodes.js'
import type { Phrases } from '../../../ui/phrases.js'
import { buildMarkup, type Dialect, type MarkupOptions } from '../../project/build-markup.js'
import { text, type Attribute, type MarkupElement } from '../../shared/markup.js'
import type { BehaviourPart } from './index.js'

type BehaviourDialect = Pick<Dialect, 'act' | 'when' | 'tabList' | 'menu' | 'entersInView' | 'form'>

const message = (tag: string, attributes: readonly Attribute[]): MarkupElement => ({
  kind: 'element',
  tag,
  content: 'blocks',
  attributes,
  children: [],
})

/**
 * What pages do, in HTML's own attributes where there are some, else in attributes the script looks for. `used` hears of
 * what the script must do, `onForm` of forms whose answers a function gets.
 */
export const behaviourDialect = (
  phrases: Phrases,
  used: Set<BehaviourPart>,
  hrefOf: (link: UiLink) => string,
  onForm: (form: UiForm) => void,
): BehaviourDialect => ({
  act(act, isTab) {
    switch (act.kind) {
      case 'open':
        if (act.as === 'menu') {
          return [text('popovertarget', act.panel), text('aria-haspopup', 'menu')]
        }
        return act.as === 'overlay'
          ? [text('popovertarget', act.panel)]
          : [text('command', 'show-modal'), text('commandfor', act.panel)]
      case 'close':
        return isPopover(act.as)
          ? [text('popovertarget', act.panel), text('popovertargetaction', 'hide')]
          : [text('command', 'close'), text('commandfor', act.panel)]
      case 'toggle':
        used.add('toggles')
        return [
          text('data-toggle', ''),
          text('aria-expanded', String(act.startsShown)),
          text('aria-controls', act.target),
        ]
      case 'tab':
        used.add(isTab ? 'tabs' : 'toggles')
        return isTab
          ? [
              text('role', 'tab'),
              text('id', `${act.target}-tab`),
              text('aria-selected', String(act.startsShown)),
              ...(act.isEmpty ? [] : [text('aria-controls', act.target)]),
            ]
          : [text('data-toggle', ''), text('aria-controls', act.target)]
      case 'step':
        used.add('steppers')
        return [
          text('aria-label', act.by > 0 ? phrases.more : phrases.less),
          text('aria-controls', act.target),
          text('data-step', String(act.by)),
        ]
    }
  },
  when: (id, when, isTabPanel) => [
    ...(isTabPanel ? [text('role', 'tabpanel'), text('aria-labelledby', `${id}-tab`)] : []),
    ...(when.startsShown ? [] : [text('hidden', '')]),
  ],
  tabList: () => [],
  menu() {
    used.add('menus')
    return []
  },
  entersInView() {
    used.add('enter')
    return [text('data-enter', 'waiting')]
  },
  form(form, classes) {
    used.add('forms')
    if (form.to.kind === 'handler') onForm(form)
    const { success } = form
    return {
      attributes: [
        text('id', form.id),
        ...(form.to.kind === 'endpoint' ? [text('data-endpoint', form.to.url)] : []),
        ...(success === undefined
          ? []
          : [text('data-success', hrefOf({ kind: 'page', page: success }))]),
        text('data-missing', phrases.missing),
        text('data-invalid', phrases.invalid),
        text('data-sending', phrases.sending),
        text('data-sent', form.sent ?? phrases.sent),
        text('data-failed', form.failed ?? phrases.failed),
      ],
      end: [
        message('div', [text('role', 'alert'), text('data-problems', ''), ...classes('problems')]),
        message('p', [text('role', 'status'), text('data-status', ''), ...classes('status')]),
      ],
    }
  },
})

/** A screen that is shown over the page. */
export const buildPanel = (panel: UiPanel, options: MarkupOptions): MarkupElement => {
  const { id, kind, label, root, layer } = panel
  return {
    kind: 'element',
    tag: isPopover(kind) ? 'div' : 'dialog',
    content: 'blocks',
    layer,
    attributes: [
      text('id', id),
      ...(isPopover(kind)
        ? [text('popover', 'auto'), text('role', kind === 'menu' ? 'menu' : 'group')]
        : [text('closedby', 'any')]),
      ...(kind === 'menu' ? options.dialect.menu() : []),
      text('aria-label', label),
      text('class', options.styling.panel(panel).join(' ')),
    ],
    children: [buildMarkup(root, options)],
  }
}
