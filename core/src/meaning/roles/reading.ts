import type { InputType, Role } from '../../design/role.js'

/** Controls that take words or one of several; and all that a person fills in or sets. */
export const FIELD_ROLES = ['textbox', 'textarea', 'combobox'] as const satisfies readonly Role[]
export const CONTROL_ROLES = [
  ...FIELD_ROLES,
  'checkbox',
  'radio',
  'switch',
  'slider',
  'file',
] as const satisfies readonly Role[]

/** The key under which neighbours that are one list are known: that of the first, and a mark. */
export const runKeyOf = (first: string): string => `${first}${RUN_MARK}`
const RUN_MARK = '~run'

/** What the program concludes a layer is. */
export type RoleReading = {
  /** Key of the layer; that of a container made up for others is its first layer's and `~`. */
  readonly layer: string
  readonly role: Role
  /** From 0 to 1. */
  readonly confidence: number
  /** Why, in short sentences. */
  readonly evidence: readonly string[]
  /** A person has said so. */
  readonly isRuling: boolean
  /** Of a heading. */
  readonly level?: 1 | 2 | 3 | 4 | 5 | 6
  /** Of a text field. */
  readonly input?: InputType
  /** Of a text field: the words in it are a hint, not what it has to begin with. */
  readonly showsHint?: boolean
  /** Of a control: key of the text that names it. */
  readonly labelledBy?: string
  /** Of a check box that no text names: the first words of its row. */
  readonly says?: string
  /** Of a control: key of the text below it that says more. */
  readonly describedBy?: string
  /** Of a control: it must be filled in. */
  readonly isRequired?: boolean
  /** Of a control: what is said below it is an error. */
  readonly isInvalid?: boolean
  /** Of a label: key of the control it names. */
  readonly names?: string
  /** Of a check box, radio button or switch; of a tab: it is the chosen one; of a disclosure: it is open. */
  readonly isOn?: boolean
  /** Of a radio button, check box, tab or disclosure: key of the group it is one of. */
  readonly group?: string
  /** Of a number that is counted up and down: key of the box around it and its two buttons. */
  readonly stepper?: string
  /** Of a button of a stepper: by how much it counts its field, and the key of that. */
  readonly steps?: { readonly by: 1 | -1; readonly field: string }
  /** Of a slider or a progress bar: how far it is, from 0 to 100. */
  readonly percent?: number
  /** Of a figure: key of the text below its picture. */
  readonly caption?: string
  /** Of a list that is only a part of what stands in its container: the keys of its items, in order. */
  readonly items?: readonly string[]
  /** Of a list: its order matters. */
  readonly isOrdered?: boolean
  /** Of a table: how many columns it has. */
  readonly columns?: number
  /** Of a link: it leads to the first page. */
  readonly leadsHome?: boolean
  /** Of a button: it sends its form. */
  readonly submits?: boolean
}
