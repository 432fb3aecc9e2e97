import type { Dialect } from './build-markup.js'
import { text, type Attribute, type MarkupElement } from '../shared/markup.js'
import { isPopover } from '../../design/interaction.js'
import type { Phrases } from '../../ui/phrases.js'
import type { UiForm, UiPanel } from '../../ui/nodes.js'
import { toShortPascal, UniqueNames } from '../../text/names.js'

/** Names that components have for other things, and words of the language. */
const TAKEN =
  'navigate router index style styles props ref arguments await case catch class const continue default delete do else enum export extends false finally for function if import in instanceof interface let new null package private protected public return static super switch this throw true try typeof var void while with yield'.split(
    ' ',
  )
/** Longer names would not leave a line of code in its width. */
const LONGEST_NAME = 16

const decapitalise = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1)

/** `tide-times` → `TideTimes`, of as many words as fit. */
const nameOf = (id: string): string => toShortPascal(id, 'Part', LONGEST_NAME)

/** What a button does, when it is pressed. */
export type Action =
  | { readonly kind: 'open'; readonly dialog: string }
  | { readonly kind: 'toggle'; readonly state: string }
  | { readonly kind: 'choose'; readonly state: string; readonly value: string }

/** A line of code beside the markup, whatever the language of the target. */
export type Statement =
  /** `component` is what shows it. */
  | { readonly kind: 'dialog'; readonly name: string; readonly component: string }
  | { readonly kind: 'state'; readonly name: string; readonly start: string | boolean }
  | {
      readonly kind: 'form'
      readonly name: string
      /** What the form's file exports. */
      readonly definition: string
      /** The address of the page that is shown when the answers were sent. */
      readonly route: string | undefined
    }
  | { readonly kind: 'handler'; readonly name: string; readonly does: Action }

/** Small functions that components share, by name. */
export type Helper =
  | 'closeDialog'
  | 'closeTopDialog'
  | 'countField'
  | 'enterInView'
  | 'enterMenu'
  | 'FormMessages'
  | 'leaveMenu'
  | 'moveInMenu'
  | 'moveTab'
  | 'postAnswers'
  | 'scrollToPart'
  | 'useForm'

/** How a target writes code in attributes. */
export type CodeSpelling = {
  on(event: 'click' | 'keydown' | 'toggle' | 'submit', handler: string): Attribute
  /** An attribute that has the value of some code. */
  bind(name: string, code: string): Attribute
  /** The value of something that changes, in code: `isOpen`. */
  read(name: string): string
  /** The attribute by which code reaches the element, or the component, of a dialog. */
  reference(name: string): Attribute
  readonly popoverTarget: string
  readonly popoverTargetAction: string
  readonly tabIndex: string
  readonly noValidate: Attribute
  /** What ties a form's element to its code, where that is more than hearing that it is sent. */
  formGroup?(name: string): readonly Attribute[]
  readonly enterInView: Attribute
}

export type CodeSurroundings = {
  /** What a form is called in code: the name of its file, and of what that exports. */
  readonly formName: (form: UiForm) => string
  /** The part of a group of tabs that is shown first, by the group. */
  readonly firstTabs: ReadonlyMap<string, string>
  readonly phrases: Pick<Phrases, 'less' | 'more'>
  readonly panelName: (panel: string) => string
  readonly routeOf: (page: string) => string | undefined
  readonly spelling: CodeSpelling
  /** A text in code. */
  quote(text: string): string
}

/**
 * The code of a component beside its markup: state, references and what buttons do. It is collected while the markup is
 * built. Lives for one component.
 */
export class ComponentCode implements Pick<
  Dialect,
  'act' | 'when' | 'tabList' | 'menu' | 'entersInView' | 'form'
> {
  readonly helpers = new Set<Helper>()
  /** The names of forms. */
  readonly forms = new Set<string>()
  navigates = false
  private readonly names = new UniqueNames('', TAKEN)
  private readonly states = new Map<string, string>()
  private readonly own: Statement[] = []
  private readonly handlers = new Map<string, Statement>()
  private readonly references = new Map<string, string>()

  constructor(private readonly around: CodeSurroundings) {}

  /** The statements before the markup, in order. */
  get statements(): readonly Statement[] {
    return [...this.own, ...this.handlers.values()]
  }

  /** A name that nothing else in the component has. */
  takeName(wanted: string): string {
    return this.names.take(wanted)
  }

  act: Dialect['act'] = (act, isTab, isForeign = false) => {
    const { spelling, quote } = this.around
    switch (act.kind) {
      case 'open': {
        if (act.as === 'menu') {
          return [text(spelling.popoverTarget, act.panel), text('aria-haspopup', 'menu')]
        }
        if (act.as === 'overlay') return [text(spelling.popoverTarget, act.panel)]
        const dialog = this.reference(act.panel)
        const open = this.handle(`open${nameOf(act.panel)}`, { kind: 'open', dialog })
        return [spelling.on('click', open)]
      }
      case 'close':
        if (isPopover(act.as)) {
          return [
            text(spelling.popoverTarget, act.panel),
            text(spelling.popoverTargetAction, 'hide'),
          ]
        }
        if (isForeign) {
          this.helpers.add('closeTopDialog')
          return [spelling.on('click', 'closeTopDialog')]
        }
        this.helpers.add('closeDialog')
        return [spelling.on('click', 'closeDialog')]
      case 'toggle': {
        const state = this.shown(act.target, act.startsShown)
        const toggle = this.handle(`toggle${nameOf(act.target)}`, { kind: 'toggle', state })
        return [
          spelling.on('click', toggle),
          spelling.bind('aria-expanded', spelling.read(state)),
          text('aria-controls', act.target),
        ]
      }
      case 'tab': {
        const state = this.tab(act.group)
        const show = this.handle(`show${nameOf(act.target)}`, {
          kind: 'choose',
          state,
          value: act.target,
        })
        const isShown = `${spelling.read(state)} === ${quote(act.target)}`
        if (!isTab) return [spelling.on('click', show), text('aria-controls', act.target)]
        return [
          text('role', 'tab'),
          text('id', `${act.target}-tab`),
          spelling.bind('aria-selected', isShown),
          spelling.bind(spelling.tabIndex, `${isShown} ? 0 : -1`),
          ...(act.isEmpty ? [] : [text('aria-controls', act.target)]),
          spelling.on('click', show),
        ]
      }
      case 'step':
        // Which field is counted is told by the button's element.
        if (isForeign) return []
        this.helpers.add('countField')
        return [
          text('aria-label', act.by > 0 ? this.around.phrases.more : this.around.phrases.less),
          text('aria-controls', act.target),
          text('data-step', String(act.by)),
          spelling.on('click', 'countField'),
        ]
    }
  }

  when: Dialect['when'] = (id, when, isTabPanel) => {
    const { spelling, quote } = this.around
    if (when.kind === 'toggle') {
      return [spelling.bind('hidden', `!${spelling.read(this.shown(id, when.startsShown))}`)]
    }
    const shown = spelling.read(this.tab(when.group))
    const hidden = spelling.bind('hidden', `${shown} !== ${quote(id)}`)
    if (!isTabPanel) return [hidden]
    return [text('role', 'tabpanel'), text('aria-labelledby', `${id}-tab`), hidden]
  }

  /** What moves the focus among what it holds by keys, and may have it itself. */
  private movesFocus(helper: 'moveTab' | 'moveInMenu'): readonly Attribute[] {
    this.helpers.add(helper)
    const { spelling } = this.around
    return [text(spelling.tabIndex, '-1'), spelling.on('keydown', helper)]
  }

  tabList: Dialect['tabList'] = () => this.movesFocus('moveTab')

  menu: Dialect['menu'] = () => this.movesFocus('moveInMenu')

  /** The attributes of a menu that is shown on demand. */
  menuPanel(): readonly Attribute[] {
    this.helpers.add('enterMenu').add('leaveMenu')
    const { spelling } = this.around
    return [...this.menu(), spelling.on('toggle', 'enterMenu'), spelling.on('click', 'leaveMenu')]
  }

  entersInView: Dialect['entersInView'] = () => {
    this.helpers.add('enterInView')
    return [text('data-enter', 'waiting'), this.around.spelling.enterInView]
  }

  form: Dialect['form'] = (form) => {
    this.helpers.add('useForm')
    this.helpers.add('FormMessages')
    const definition = this.around.formName(form)
    const name = this.names.take(decapitalise(nameOf(form.id)))
    this.forms.add(definition)
    const route = form.success === undefined ? undefined : this.around.routeOf(form.success)
    if (route !== undefined) this.navigates = true
    this.own.push({ kind: 'form', name, definition, route })
    const { spelling } = this.around
    const messages: MarkupElement = {
      kind: 'element',
      tag: 'FormMessages',
      content: 'blocks',
      attributes: [
        spelling.bind('problems', spelling.read(`${name}.problems`)),
        spelling.bind('status', spelling.read(`${name}.status`)),
      ],
      children: [],
    }
    return {
      attributes: [
        text('id', form.id),
        spelling.noValidate,
        ...(spelling.formGroup?.(name) ?? []),
        spelling.on('submit', `${name}.submit`),
      ],
      end: [messages],
    }
  }

  /** The element that shows a panel. */
  panel({ id, kind }: UiPanel): MarkupElement {
    const attributes: Attribute[] = isPopover(kind)
      ? []
      : [this.around.spelling.reference(this.reference(id))]
    const tag = this.around.panelName(id)
    return { kind: 'element', tag, content: 'blocks', attributes, children: [] }
  }

  private handle(name: string, does: Action): string {
    if (!this.handlers.has(name)) {
      this.names.take(name)
      this.handlers.set(name, { kind: 'handler', name, does })
    }
    return name
  }

  private reference(panel: string): string {
    const known = this.references.get(panel)
    if (known !== undefined) return known
    const name = this.names.take(decapitalise(nameOf(panel)))
    this.references.set(panel, name)
    this.own.push({ kind: 'dialog', name, component: this.around.panelName(panel) })
    return name
  }

  private state(key: string, wanted: string, start: string | boolean): string {
    const known = this.states.get(key)
    if (known !== undefined) return known
    const name = this.names.take(wanted)
    this.states.set(key, name)
    this.own.push({ kind: 'state', name, start })
    return name
  }

  private shown(id: string, startsShown: boolean): string {
    return this.state(`toggle ${id}`, `is${nameOf(id)}Open`, startsShown)
  }

  /** The state of a group of tabs. */
  private tab(group: string): string {
    const name = decapitalise(nameOf(group)).replace(/s(\d*)$/, '$1')
    return this.state(`tabs ${group}`, name, this.around.firstTabs.get(group) ?? '')
  }
}
