import type {
  UiAct,
  UiBox,
  UiControl,
  UiForm,
  UiImage,
  UiLink,
  UiMenuButton,
  UiNode,
  UiText,
  UiWhen,
} from '../../ui/nodes.js'
import { buildUse, type UseSpelling } from './build-use.js'
import type { Styling } from '../styling/styling.js'
import { text, type Attribute, type MarkupElement, type MarkupNode } from '../shared/markup.js'

/** What differs between the targets that write tags. */
export type Dialect = {
  readonly classAttribute: string
  /** The attribute of a button that names what it shows. */
  readonly menuTarget: string
  readonly autocomplete: string
  /** The attribute of a label that names its control. */
  readonly labelFor: string
  /** The attribute that gives a control what it has to begin with, and the one that says it is on. */
  startsWith(value: string): Attribute
  readonly startsOn: Attribute
  /** What ties a control to the code of the form it stands in. */
  field?(id: string, name: string): readonly Attribute[]
  /** The attribute of a control that cannot be used. */
  readonly disabled: Attribute
  /** The attribute of a control that must be filled in. */
  readonly required: Attribute
  /** The attribute of a disclosure that is open at first. */
  readonly open: Attribute
  /** The element a link becomes and the attributes that make it lead somewhere. */
  link(link: UiLink): { readonly tag: string; readonly attributes: readonly Attribute[] }
  /** The attribute that shows a picture. */
  source(asset: string): Attribute
  /**
   * The attributes by which a button does what it does. `isForeign`: a component of the codebase hears of being pressed,
   * and may not tell of which element.
   */
  act(act: UiAct, isTab: boolean, isForeign?: boolean): readonly Attribute[]
  /** The attributes of a part that is shown only when something was pressed. */
  when(id: string, when: UiWhen, isTabPanel: boolean): readonly Attribute[]
  /** The attributes of a list of tabs, and those of a menu. */
  tabList(): readonly Attribute[]
  menu(): readonly Attribute[]
  /** The attributes of what comes in when it is scrolled to. */
  entersInView(): readonly Attribute[]
  /** The attributes of a form, and what stands at its end. */
  form(
    form: UiForm,
    classes: (kind: 'problems' | 'status') => readonly Attribute[],
  ): { readonly attributes: readonly Attribute[]; readonly end: readonly MarkupNode[] }
  /** How components of the codebase are written. */
  readonly use: UseSpelling
  /** A small drawing that is decoration, as an element of its own; undefined where it is a file. */
  icon(asset: string, attributes: readonly Attribute[]): MarkupElement | undefined
}

export type MarkupOptions = {
  readonly dialect: Dialect
  readonly styling: Styling
  /** Writes the layer's key on every element, for a preview that is joined to the design. */
  readonly marks: boolean
  /** The ids of tabs, by the parts they show. */
  readonly tabs?: ReadonlySet<string>
  /** It stands in a list of tabs. */
  readonly isInTabs?: boolean
  /** What stands for a box that is a component of its own; undefined where it is written out. */
  readonly elsewhere?: (box: UiBox) => MarkupElement | undefined
  /** Only what may stand in a line of text may be written here, as inside a button. */
  readonly isPhrase?: boolean
}

/** Said of a link that leads to the page it stands on. */
export const CURRENT_PAGE: Attribute = text('aria-current', 'page')

/** The elements of lists and tables. */
const ITEMS: Readonly<
  Record<
    NonNullable<UiNode['item']>,
    { readonly tag: string; readonly attributes: readonly Attribute[] }
  >
> = {
  listitem: { tag: 'li', attributes: [] },
  spacer: { tag: 'li', attributes: [text('role', 'presentation'), text('aria-hidden', 'true')] },
  rowspacer: {
    tag: 'tr',
    attributes: [text('aria-hidden', 'true')],
  },
  caption: { tag: 'figcaption', attributes: [] },
  rowgroup: { tag: 'tbody', attributes: [] },
  row: { tag: 'tr', attributes: [] },
  cell: { tag: 'td', attributes: [] },
  columnheader: { tag: 'th', attributes: [text('scope', 'col')] },
  term: { tag: 'dt', attributes: [] },
  definition: { tag: 'dd', attributes: [] },
  summary: { tag: 'summary', attributes: [] },
}

const classAttribute = ({ dialect }: MarkupOptions, classes: readonly string[]): Attribute[] =>
  classes.length > 0 ? [text(dialect.classAttribute, classes.join(' '))] : []

const mark = (options: MarkupOptions, layer: string): Attribute[] =>
  options.marks ? [text('data-layer', layer)] : []

/** What is said of an element beside its looks: its id, when it is shown, how it comes in. */
const behaviourOf = (node: UiNode, { dialect, tabs }: MarkupOptions): readonly Attribute[] => {
  const { id, when, entrance } = node
  return [
    ...(id === undefined || node.type === 'control' ? [] : [text('id', id)]),
    ...(node.isMenuItem ? [text('role', 'menuitem')] : []),
    ...(id !== undefined && when ? dialect.when(id, when, tabs?.has(id) === true) : []),
    ...(entrance?.at === 'view' ? dialect.entersInView() : []),
  ]
}

type Button = { readonly submits?: boolean; readonly act?: UiAct }

/** The attributes of a button by what it does. */
const buttonAttributes = (
  { submits, act }: Button,
  { dialect, isInTabs }: MarkupOptions,
): readonly Attribute[] => [
  text('type', submits ? 'submit' : 'button'),
  ...(act ? dialect.act(act, isInTabs === true && act.kind === 'tab') : []),
]

const buildRuns = (node: UiText, options: MarkupOptions): MarkupNode[] =>
  node.runs.map((run): MarkupNode => {
    if (run.kind === 'break') {
      const classes = options.styling.lineBreak(
        (run.shownAt ?? []).map((isShown, i) => ({ fromPx: node.steps![i]!.fromPx, isShown })),
      )
      const attributes = classAttribute(options, classes)
      return { kind: 'element', tag: 'br', attributes, content: 'text', children: [] }
    }
    const classes = options.styling.run(run.style)
    const piece: MarkupNode = { kind: 'text', text: run.text }
    if (classes.length === 0) return piece
    return {
      kind: 'element',
      tag: 'span',
      attributes: classAttribute(options, classes),
      content: 'text',
      children: [piece],
    }
  })

const tagOfText = ({ level, isButton, labelFor }: UiText, { isPhrase }: MarkupOptions): string => {
  if (level) return `h${level}`
  if (isButton) return 'button'
  if (labelFor !== undefined) return 'label'
  return isPhrase ? 'span' : 'p'
}

const buildText = (node: UiText, options: MarkupOptions): MarkupElement => {
  const classes = classAttribute(options, options.styling.node(node))
  const common = { kind: 'element', content: 'text', layer: node.layer } as const
  const item = node.item && ITEMS[node.item]
  const tag = item?.tag ?? tagOfText(node, options)
  const own = [
    ...behaviourOf(node, options),
    ...(item?.attributes ?? []),
    ...(tag === 'button' ? buttonAttributes(node, options) : []),
    ...(tag === 'label' ? [text(options.dialect.labelFor, node.labelFor!)] : []),
  ]
  const runs = buildRuns(node, options)
  const link = node.link && options.dialect.link(node.link)
  const rest = [...classes, ...mark(options, node.layer)]
  if (!link) return { ...common, tag, attributes: [...own, ...rest], children: runs }
  // What is a heading or an item holds the link; all else is the link.
  if (!node.level && !item) {
    const attributes = [...link.attributes, ...behaviourOf(node, options), ...rest]
    return { ...common, tag: link.tag, attributes, children: runs }
  }
  const { tag: anchor, attributes } = link
  const inner: MarkupElement = {
    kind: 'element',
    content: 'text',
    tag: anchor,
    attributes,
    children: runs,
  }
  return { ...common, tag, attributes: [...own, ...rest], children: [inner] }
}

const buildImage = (node: UiImage, options: MarkupOptions): MarkupElement => {
  const { dialect, styling } = options
  const image = (classes: readonly string[], marks: Attribute[]): MarkupElement => ({
    kind: 'element',
    tag: 'img',
    content: 'text',
    layer: node.layer,
    attributes: [
      dialect.source(node.asset),
      text('alt', node.alt),
      ...behaviourOf(node, options),
      ...classAttribute(options, classes),
      ...marks,
    ],
    children: [],
  })
  if (!node.link) {
    const own = [
      ...behaviourOf(node, options),
      ...classAttribute(options, styling.node(node)),
      ...mark(options, node.layer),
    ]
    const icon = node.alt === '' ? dialect.icon(node.asset, own) : undefined
    if (icon) return { ...icon, layer: node.layer }
    return image(styling.node(node), mark(options, node.layer))
  }
  const link = dialect.link(node.link)
  return {
    kind: 'element',
    tag: link.tag,
    content: 'blocks',
    layer: node.layer,
    attributes: [
      ...link.attributes,
      ...classAttribute(options, styling.frame(node)),
      ...mark(options, node.layer),
    ],
    children: [image(styling.picture(node), [])],
  }
}

/** The browser itself opens and closes what the button names, also by Escape and by a click elsewhere. */
const buildMenuButton = (node: UiMenuButton, options: MarkupOptions): MarkupElement => ({
  kind: 'element',
  tag: 'button',
  content: 'blocks',
  layer: node.layer,
  attributes: [
    text('type', 'button'),
    text(options.dialect.menuTarget, node.menu),
    text('aria-label', node.label),
    ...classAttribute(options, options.styling.node(node)),
    ...mark(options, node.layer),
  ],
  children: node.children.map((child) => buildMarkup(child, { ...options, isPhrase: true })),
})

const buildControl = (node: UiControl, options: MarkupOptions): MarkupElement => {
  const { dialect, styling } = options
  const { control, id, label, hint, value, isOn, describedBy, isInvalid } = node
  const common = [
    text('id', id),
    text('name', node.group ?? id),
    ...(dialect.field?.(id, node.group ?? id) ?? []),
    ...(node.group === undefined ? [] : [text('value', id)]),
    ...(label === undefined ? [] : [text('aria-label', label)]),
    ...(describedBy === undefined ? [] : [text('aria-describedby', describedBy)]),
    ...(isInvalid ? [text('aria-invalid', 'true')] : []),
    ...(node.isRequired ? [dialect.required] : []),
    ...(node.isDisabled ? [dialect.disabled] : []),
  ]
  const look = [...classAttribute(options, styling.node(node)), ...mark(options, node.layer)]
  const element = (
    tag: string,
    attributes: readonly Attribute[],
    children: readonly MarkupNode[] = [],
  ): MarkupElement => ({
    kind: 'element',
    tag,
    content: 'blocks',
    layer: node.layer,
    attributes: [...attributes, ...look],
    children,
  })
  const shown = hint === undefined || NO_HINT.has(control) ? [] : [text('placeholder', hint)]
  switch (control) {
    case 'select': {
      const option: MarkupElement = {
        kind: 'element',
        tag: 'option',
        content: 'text',
        attributes: [],
        children: [{ kind: 'text', text: value ?? '' }],
      }
      return element('select', common, value === undefined ? [] : [option])
    }
    case 'textarea':
      return element('textarea', [
        ...common,
        ...(value === undefined ? shown : [text('placeholder', value)]),
      ])
    default:
      return element('input', [
        text('type', control === 'switch' ? 'checkbox' : control),
        ...(control === 'switch' ? [text('role', 'switch')] : []),
        ...(control === 'password' ? [text(dialect.autocomplete, passwordOf(node))] : []),
        ...(node.isStepped && !value?.startsWith('-') ? [text('min', '0')] : []),
        ...common,
        ...shown,
        ...(value === undefined ? [] : [dialect.startsWith(value)]),
        ...(isOn ? [dialect.startsOn] : []),
      ])
  }
}

/** Kinds of input that show no hint while they are empty (HTML, the placeholder attribute). */
const NO_HINT: ReadonlySet<string> = new Set([
  'checkbox',
  'color',
  'date',
  'datetime-local',
  'file',
  'month',
  'radio',
  'range',
  'switch',
  'time',
  'week',
])

/** What a browser fills in, or offers to make up (HTML, autofill). */
const passwordOf = ({ id, hint, label }: UiControl): string =>
  /new|confirm|repeat|again|create|choose/i.test([id, hint, label].join(' '))
    ? 'new-password'
    : 'current-password'

const TAGS: Readonly<Record<NonNullable<UiBox['role']>, string>> = {
  main: 'main',
  banner: 'header',
  contentinfo: 'footer',
  navigation: 'nav',
  form: 'form',
  list: 'ul',
  table: 'table',
  button: 'button',
  tablist: 'div',
  complementary: 'aside',
  search: 'form',
  group: 'div',
  radiogroup: 'div',
  figure: 'figure',
  progressbar: 'div',
  article: 'article',
  dialog: 'div',
  menu: 'div',
  status: 'div',
  alert: 'div',
  descriptionlist: 'dl',
  disclosure: 'details',
  label: 'label',
}

/** Roles that no element says. */
const SAID: ReadonlySet<NonNullable<UiBox['role']>> = new Set([
  'alert',
  'dialog',
  'group',
  'menu',
  'progressbar',
  'radiogroup',
  'search',
  'status',
  'tablist',
])

const plain = (
  tag: string,
  children: readonly MarkupNode[],
  classes: Attribute[],
): MarkupElement => ({
  kind: 'element',
  tag,
  content: 'blocks',
  attributes: classes,
  children,
})

const disclosureAttributes = (
  { oneOf, isOpen }: UiBox,
  { open }: Dialect,
): readonly Attribute[] => [
  ...(oneOf === undefined ? [] : [text('name', oneOf)]),
  ...(isOpen ? [open] : []),
]

const holdsRows = (node: UiBox): boolean =>
  node.item === 'rowgroup' ? node.columns !== undefined : node.role === 'table'

/** Rows around the cells of a grid, and a body around rows: they take no part in the layout. */
const buildRows = (
  node: UiBox,
  cells: readonly MarkupElement[],
  options: MarkupOptions,
): MarkupNode[] => {
  const flat = (): Attribute[] => classAttribute(options, options.styling.flat())
  const { columns } = node
  if (columns === undefined) {
    const body = node.children.findIndex((child) => child.item === 'rowgroup')
    if (body < 0) return [plain('tbody', cells, flat())]
    return [plain('thead', cells.slice(0, body), flat()), ...cells.slice(body)]
  }
  const rows: MarkupElement[] = []
  for (let i = 0; i < cells.length; i += columns) {
    rows.push(plain('tr', cells.slice(i, i + columns), flat()))
  }
  return node.item === 'rowgroup' ? rows : [plain('tbody', rows, flat())]
}

const buildBox = (node: UiBox, options: MarkupOptions): MarkupElement => {
  const { dialect, styling } = options
  const link = node.link && dialect.link(node.link)
  const item = node.item && ITEMS[node.item]
  const role = node.isOrdered ? 'ol' : node.role && TAGS[node.role]
  const isPhrase =
    options.isPhrase === true ||
    node.role === 'button' ||
    node.role === 'label' ||
    node.item === 'summary'
  const block = options.isPhrase ? 'span' : 'div'
  const inside = { ...options, isPhrase, isInTabs: node.role === 'tablist' }
  const children = node.children.map((child) => buildMarkup(child, inside))
  const form =
    node.form && dialect.form(node.form, (kind) => classAttribute(options, styling.message(kind)))
  return {
    kind: 'element',
    tag: link?.tag ?? item?.tag ?? role ?? (node.menu ? 'nav' : block),
    content: 'blocks',
    layer: node.layer,
    ...(node.part === undefined ? {} : { part: node.part }),
    attributes: [
      ...(link?.attributes ?? []),
      ...(item?.attributes ?? []),
      ...(node.role === 'button' ? buttonAttributes(node, options) : []),
      // A list without its dots is no list to some readers unless that is said.
      ...(node.role && (node.role === 'list' || SAID.has(node.role))
        ? [text('role', node.role)]
        : []),
      ...(node.role === 'dialog' ? [text('aria-modal', 'true')] : []),
      ...(node.role === 'disclosure' ? disclosureAttributes(node, dialect) : []),
      ...(node.labelFor === undefined ? [] : [text(dialect.labelFor, node.labelFor)]),
      ...(node.labelledBy === undefined ? [] : [text('aria-labelledby', node.labelledBy)]),
      ...(node.percent === undefined
        ? []
        : [
            text('aria-valuenow', String(node.percent)),
            text('aria-valuemin', '0'),
            text('aria-valuemax', '100'),
          ]),
      ...(node.role === 'tablist' ? dialect.tabList() : []),
      ...(node.role === 'menu' ? dialect.menu() : []),
      ...(form?.attributes ?? []),
      ...(node.label ? [text('aria-label', node.label)] : []),
      ...(node.menu
        ? [text('id', node.menu), text('popover', 'auto')]
        : behaviourOf(node, options)),
      ...classAttribute(options, styling.node(node)),
      ...mark(options, node.layer),
    ],
    children: [
      ...(holdsRows(node) ? buildRows(node, children, options) : children),
      ...(form?.end ?? []),
    ],
  }
}

/** The parts of a tree that tabs show, by their ids. */
export const findTabPanels = (roots: readonly UiNode[]): ReadonlySet<string> => {
  const found = new Set<string>()
  const look = (node: UiNode, isInTabs: boolean): void => {
    const act = 'act' in node ? node.act : undefined
    if (isInTabs && act?.kind === 'tab') found.add(act.target)
    const holdsTabs = node.type === 'box' && node.role === 'tablist'
    if ('children' in node) for (const child of node.children) look(child, holdsTabs)
  }
  for (const root of roots) look(root, false)
  return found
}

/** What must be said of the place of a component of the codebase, which cannot be said of that. */
const placeOf = (
  node: UiNode,
  options: MarkupOptions,
): { readonly tag: string; readonly attributes: readonly Attribute[] } | undefined => {
  const item = node.item && ITEMS[node.item]
  const attributes = [...(item?.attributes ?? []), ...behaviourOf(node, options)]
  if (!item && attributes.length === 0) return undefined
  return { tag: item?.tag ?? (options.isPhrase ? 'span' : 'div'), attributes }
}

/** Writes a UI node down as tags. */
export const buildMarkup = (node: UiNode, options: MarkupOptions): MarkupElement => {
  const { use } = node
  if (use) {
    const build = (child: UiNode): MarkupElement => buildMarkup(child, options)
    return buildUse(node, use, options, build, placeOf(node, options))
  }
  switch (node.type) {
    case 'text':
      return buildText(node, options)
    case 'image':
      return buildImage(node, options)
    case 'menu-button':
      return buildMenuButton(node, options)
    case 'control':
      return buildControl(node, options)
    case 'box':
      return options.elsewhere?.(node) ?? buildBox(node, options)
  }
}
