import { concat, group, ifBreak, indent, line, softline, type Doc } from '../../shared/document.js'
import { code, text, type Attribute, type MarkupElement } from '../../shared/markup.js'
import type { Dialect } from '../../shared/build-markup.js'
import { isPopover } from '../../../design/interaction.js'
import type { Phrases } from '../../../ui/phrases.js'
import type { UiForm, UiPanel } from '../../../ui/nodes.js'
import { toShortPascal, UniqueNames } from '../../../text/names.js'
import { quoteString } from '../escape.js'
import type { Helper } from './files.js'

/** Names that components have for other things, and words of the language. */
const TAKEN =
  'navigate index props ref arguments await case catch class const continue default delete do else enum export extends false finally for function if import in instanceof interface let new null package private protected public return static super switch this throw true try typeof var void while with yield'.split(
    ' ',
  )
/** Longer names would not leave a line of code in its width. */
const LONGEST_NAME = 16

const decapitalise = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1)

/** `tide-times` → `TideTimes`, of as many words as fit. */
const nameOf = (id: string): string => toShortPascal(id, 'Part', LONGEST_NAME)

export type CodeSurroundings = {
  /** What a form is called in code: the name of its file, and of what that exports. */
  readonly formName: (form: UiForm) => string
  /** The part of a group of tabs that is shown first, by the group. */
  readonly firstTabs: ReadonlyMap<string, string>
  readonly phrases: Pick<Phrases, 'less' | 'more'>
  readonly panelName: (panel: string) => string
  readonly routeOf: (page: string) => string | undefined
}

/** `const f = () => body;`, on two lines when one is too long. */
const arrow = (name: string, body: string): Doc =>
  group(concat([`const ${name} = () =>`, indent(concat([line, body])), ';']))

/**
 * The code of a component beside its markup: state, references and what buttons do. It is collected while the markup is
 * built. Lives for one component.
 */
export class ComponentCode implements Pick<
  Dialect,
  'act' | 'when' | 'tabList' | 'menu' | 'entersInView' | 'form'
> {
  readonly helpers = new Set<Helper>()
  readonly hooks = new Set<'useRef' | 'useState'>()
  /** The names of forms. */
  readonly forms = new Set<string>()
  navigates = false
  private readonly names = new UniqueNames('', TAKEN)
  private readonly states = new Map<string, string>()
  private readonly statements: Doc[] = []
  private readonly handlers = new Map<string, Doc>()
  private readonly references = new Map<string, string>()

  constructor(private readonly around: CodeSurroundings) {}

  /** The statements before the markup, in order. */
  get lines(): readonly Doc[] {
    return [
      ...(this.navigates ? ['const navigate = useNavigate();'] : []),
      ...this.statements,
      ...this.handlers.values(),
    ]
  }

  /** A name that nothing else in the component has. */
  takeName(wanted: string): string {
    return this.names.take(wanted)
  }

  act: Dialect['act'] = (act, isTab) => {
    switch (act.kind) {
      case 'open': {
        if (act.as === 'menu') {
          return [text('popoverTarget', act.panel), text('aria-haspopup', 'menu')]
        }
        if (act.as === 'overlay') return [text('popoverTarget', act.panel)]
        const name = this.reference(act.panel)
        return [
          code('onClick', this.handle(`open${nameOf(act.panel)}`, `${name}.current?.showModal()`)),
        ]
      }
      case 'close':
        if (isPopover(act.as)) {
          return [text('popoverTarget', act.panel), text('popoverTargetAction', 'hide')]
        }
        this.helpers.add('closeDialog')
        return [code('onClick', 'closeDialog')]
      case 'toggle': {
        const shown = this.shown(act.target, act.startsShown)
        const toggle = this.handle(
          `toggle${nameOf(act.target)}`,
          `set${shown.setter}(!${shown.name})`,
        )
        return [
          code('onClick', toggle),
          code('aria-expanded', shown.name),
          text('aria-controls', act.target),
        ]
      }
      case 'tab': {
        const tab = this.tab(act.group)
        const show = this.handle(
          `show${nameOf(act.target)}`,
          `set${tab.setter}(${quoteString(act.target)})`,
        )
        const isShown = `${tab.name} === ${quoteString(act.target)}`
        if (!isTab) return [code('onClick', show), text('aria-controls', act.target)]
        return [
          text('role', 'tab'),
          text('id', `${act.target}-tab`),
          code('aria-selected', isShown),
          code('tabIndex', `${isShown} ? 0 : -1`),
          ...(act.isEmpty ? [] : [text('aria-controls', act.target)]),
          code('onClick', show),
        ]
      }
      case 'step':
        this.helpers.add('countField')
        return [
          text('aria-label', act.by > 0 ? this.around.phrases.more : this.around.phrases.less),
          text('aria-controls', act.target),
          text('data-step', String(act.by)),
          code('onClick', 'countField'),
        ]
    }
  }

  when: Dialect['when'] = (id, when, isTabPanel) => {
    if (when.kind === 'toggle') {
      const { name } = this.shown(id, when.startsShown)
      return [code('hidden', `!${name}`)]
    }
    const { name } = this.tab(when.group)
    const hidden = code('hidden', `${name} !== ${quoteString(id)}`)
    if (!isTabPanel) return [hidden]
    return [text('role', 'tabpanel'), text('aria-labelledby', `${id}-tab`), hidden]
  }

  tabList: Dialect['tabList'] = () => {
    this.helpers.add('moveTab')
    return [code('onKeyDown', 'moveTab')]
  }

  menu: Dialect['menu'] = () => {
    this.helpers.add('moveInMenu')
    return [code('onKeyDown', 'moveInMenu')]
  }

  /** The attributes of a menu that is shown on demand. */
  menuPanel(): readonly Attribute[] {
    this.helpers.add('enterMenu').add('leaveMenu')
    return [...this.menu(), code('onToggle', 'enterMenu'), code('onClick', 'leaveMenu')]
  }

  entersInView: Dialect['entersInView'] = () => {
    this.helpers.add('enterInView')
    return [text('data-enter', 'waiting'), code('ref', 'enterInView')]
  }

  form: Dialect['form'] = (form) => {
    this.helpers.add('useForm')
    this.helpers.add('FormMessages')
    const definition = this.around.formName(form)
    const name = this.names.take(decapitalise(nameOf(form.id)))
    this.forms.add(definition)
    const route = form.success === undefined ? undefined : this.around.routeOf(form.success)
    if (route !== undefined) this.navigates = true
    const call = `const ${name} = useForm(${definition}`
    this.statements.push(
      route === undefined
        ? `${call});`
        : group(
            concat([
              `${call}, () =>`,
              indent(concat([line, `navigate(${quoteString(route)})`, ifBreak(',', '')])),
              softline,
              ');',
            ]),
          ),
    )
    const messages: MarkupElement = {
      kind: 'element',
      tag: 'FormMessages',
      content: 'blocks',
      attributes: [code('problems', `${name}.problems`), code('status', `${name}.status`)],
      children: [],
    }
    return {
      attributes: [
        text('id', form.id),
        code('noValidate', 'true'),
        code('onSubmit', `${name}.submit`),
      ],
      end: [messages],
    }
  }

  /** The element that shows a panel. */
  panel({ id, kind }: UiPanel): MarkupElement {
    const attributes: Attribute[] = isPopover(kind) ? [] : [code('ref', this.reference(id))]
    const tag = this.around.panelName(id)
    return { kind: 'element', tag, content: 'blocks', attributes, children: [] }
  }

  private handle(name: string, body: string): string {
    if (!this.handlers.has(name)) {
      this.names.take(name)
      this.handlers.set(name, arrow(name, body))
    }
    return name
  }

  private reference(panel: string): string {
    const known = this.references.get(panel)
    if (known !== undefined) return known
    const name = this.names.take(decapitalise(nameOf(panel)))
    this.references.set(panel, name)
    this.hooks.add('useRef')
    this.statements.push(`const ${name} = useRef<HTMLDialogElement>(null);`)
    return name
  }

  private state(key: string, name: string, start: string): { name: string; setter: string } {
    const known = this.states.get(key)
    const own = known ?? this.names.take(name)
    const setter = own.charAt(0).toUpperCase() + own.slice(1)
    if (known === undefined) {
      this.states.set(key, own)
      this.hooks.add('useState')
      this.statements.push(`const [${own}, set${setter}] = useState(${start});`)
    }
    return { name: own, setter }
  }

  private shown(id: string, startsShown: boolean): { name: string; setter: string } {
    return this.state(`toggle ${id}`, `is${nameOf(id)}Open`, String(startsShown))
  }

  /** The state of a group of tabs. */
  private tab(group: string): { name: string; setter: string } {
    const name = decapitalise(nameOf(group)).replace(/s(\d*)$/, '$1')
    return this.state(`tabs ${group}`, name, quoteString(this.around.firstTabs.get(group) ?? ''))
  }
}
