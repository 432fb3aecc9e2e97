import type { InputType, Role } from '@unimorph/core'
import { create } from 'zustand'
import type { NamedRole } from '../../../engine/roles'
import { useDesk } from './desk-store'
import { createLatest } from './latest'

/** What each role is called for people. */
export const ROLE_NAMES: Readonly<Record<Role, string>> = {
  none: 'layout only',
  banner: 'page header',
  navigation: 'navigation',
  main: 'main content',
  contentinfo: 'page footer',
  complementary: 'sidebar',
  search: 'search',
  form: 'form',
  heading: 'heading',
  paragraph: 'paragraph',
  link: 'link',
  button: 'button',
  textbox: 'text field',
  textarea: 'text area',
  combobox: 'select',
  checkbox: 'check box',
  radio: 'radio button',
  switch: 'switch',
  slider: 'slider',
  spinbutton: 'stepper',
  file: 'file chooser',
  progressbar: 'progress bar',
  group: 'group',
  radiogroup: 'radio group',
  label: 'label',
  list: 'list',
  listitem: 'list item',
  descriptionlist: 'description list',
  term: 'term',
  definition: 'description',
  table: 'table',
  rowgroup: 'table rows',
  row: 'table row',
  columnheader: 'column header',
  cell: 'table cell',
  image: 'image',
  figure: 'figure',
  separator: 'separator',
  tablist: 'tabs',
  tab: 'tab',
  accordion: 'accordion',
  disclosure: 'disclosure',
  article: 'card',
  avatar: 'avatar',
  badge: 'badge',
  dialog: 'dialog',
  menu: 'menu',
  status: 'toast',
  alert: 'alert',
}

export const INPUT_NAMES: Readonly<Record<InputType, string>> = {
  text: 'text',
  email: 'email address',
  password: 'password',
  search: 'search',
  tel: 'phone number',
  url: 'URL',
  number: 'number',
  date: 'date',
}

/** Less sure than this is worth a look. */
export const DOUBT = 0.75

/** The least sure first; what a person has said is settled. */
export const byDoubt = (roles: readonly NamedRole[]): readonly NamedRole[] =>
  [...roles].sort((a, b) => a.confidence - b.confidence)

export const isDoubtful = (role: NamedRole): boolean => !role.isRuling && role.confidence < DOUBT

type RolesStore = {
  /** Of the screen that is shown. */
  readonly roles: readonly NamedRole[] | undefined
  load(): Promise<void>
  clear(): void
}

/** What the layers of the shown screen are. */
export const useRoles = create<RolesStore>((set) => {
  const latest = createLatest()
  return {
    roles: undefined,
    load: () =>
      latest.run(async (isNewest) => {
        const { screen, roles } = useDesk.getState()
        if (screen === undefined) return
        const found = await roles(screen)
        if (isNewest()) set({ roles: found })
      }),
    clear() {
      latest.drop()
      set({ roles: undefined })
    },
  }
})
