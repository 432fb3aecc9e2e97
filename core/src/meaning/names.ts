import { isIdleName } from '../design/idle-name.js'
import type { Role } from '../design/role.js'
import { capitalise } from '../text/names.js'
import type { LayoutNode } from '../layout/index.js'
import type { RoleReading } from './roles/reading.js'
import { saidBy, viewTree, walkViews, type View } from './roles/view.js'

const MOST_WORDS = 4

/** What a thing of a role is called after the words that are about it. */
const KINDS: Readonly<Partial<Record<Role, string>>> = {
  accordion: 'accordion',
  alert: 'alert',
  article: 'card',
  avatar: 'avatar',
  badge: 'badge',
  banner: 'header',
  button: 'button',
  checkbox: 'check box',
  combobox: 'select',
  complementary: 'side part',
  contentinfo: 'footer',
  descriptionlist: 'details',
  dialog: 'dialog',
  disclosure: 'question',
  figure: 'figure',
  file: 'file',
  form: 'form',
  group: 'choices',
  link: 'link',
  list: 'list',
  main: 'main part',
  menu: 'menu',
  navigation: 'navigation',
  progressbar: 'progress',
  radio: 'choice',
  radiogroup: 'choices',
  search: 'search',
  slider: 'slider',
  spinbutton: 'stepper',
  status: 'message',
  switch: 'switch',
  table: 'table',
  tablist: 'tabs',
  textarea: 'text area',
  textbox: 'field',
}
/** There is one of them, which needs no words of its own. */
const LONE: ReadonlySet<Role> = new Set(['banner', 'contentinfo', 'main', 'search'])

const shorten = (words: string): string =>
  words
    .replace(/[*:：]+\s*$/u, '')
    .trim()
    .split(/\s+/)
    .slice(0, MOST_WORDS)
    .join(' ')

type HeadingOf = (view: View) => string

/** The heading that stands right before a thing, or begins it. */
const createHeadingOf = (readings: ReadonlyMap<string, RoleReading>): HeadingOf => {
  const isHeading = (one: View): boolean => readings.get(one.key)?.role === 'heading'
  /** By parent: the last heading before each child. Found in one pass, since a parent may have thousands of children. */
  const known = new Map<View, ReadonlyMap<View, View | undefined>>()
  const listOf = (parent: View): ReadonlyMap<View, View | undefined> => {
    const list = new Map<View, View | undefined>()
    let last: View | undefined
    for (const child of parent.children) {
      list.set(child, last)
      if (isHeading(child)) last = child
    }
    known.set(parent, list)
    return list
  }
  return (view) => {
    const { parent } = view
    const within = view.texts.find(isHeading)
    const before = within ?? (parent && (known.get(parent) ?? listOf(parent)).get(view))
    return before ? saidBy(before) : ''
  }
}

/** The words that a thing is about: its label, its heading, or what it says. */
const subjectOf = (
  view: View,
  reading: RoleReading | undefined,
  headingOf: HeadingOf,
  texts: ReadonlyMap<string, View>,
): string => {
  const label = reading?.labelledBy === undefined ? undefined : texts.get(reading.labelledBy)
  if (label) return saidBy(label)
  if (
    !reading ||
    ['form', 'list', 'table', 'figure', 'main', 'article', 'dialog'].includes(reading.role)
  ) {
    return headingOf(view) || saidBy(view.texts[0] ?? view)
  }
  return reading.role === 'navigation' ? '' : saidBy(view)
}

/**
 * Names for what stands on a page, by key: the one a person gave, else one from what it says and what it is. Takes the
 * page's widest tree and its readings; names are unique on the page and depend on nothing else.
 */
export const nameThings = (
  root: LayoutNode,
  readings: ReadonlyMap<string, RoleReading>,
): ReadonlyMap<string, string> => {
  const page = viewTree(root)
  const texts = new Map(page.texts.map((text) => [text.key, text]))
  const names = new Map<string, string>()
  const headingOf = createHeadingOf(readings)
  const used = new Map<string, number>()
  walkViews(page, (view) => {
    const { layer } = view.node
    const isGiven = !view.key.endsWith('~') && !isIdleName(layer.name)
    if (isGiven) {
      used.set(layer.name, (used.get(layer.name) ?? 0) + 1)
      names.set(view.key, layer.name)
      return
    }
    const reading = readings.get(view.key)
    const kind = reading && KINDS[reading.role]
    const own = layer.type === 'text' ? '' : kind
    const about =
      reading && LONE.has(reading.role) ? '' : shorten(subjectOf(view, reading, headingOf, texts))
    const made = capitalise([about, own].filter(Boolean).join(' '))
    const name = made || capitalise(layer.name || layer.type)
    const count = (used.get(name) ?? 0) + 1
    used.set(name, count)
    names.set(view.key, count === 1 ? name : `${name} ${count}`)
  })
  return names
}
