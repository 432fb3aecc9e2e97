import { z } from 'zod'

/** What a layer is, in the words of HTML and ARIA. `none`: nothing but layout and looks. */
export const roleSchema = z.enum([
  'none',
  'banner',
  'navigation',
  'main',
  'contentinfo',
  'complementary',
  'search',
  'form',
  'heading',
  'paragraph',
  'link',
  'button',
  'textbox',
  'textarea',
  'combobox',
  'checkbox',
  'radio',
  'switch',
  'slider',
  'spinbutton',
  'file',
  'progressbar',
  'group',
  'radiogroup',
  'label',
  'list',
  'listitem',
  'descriptionlist',
  'term',
  'definition',
  'table',
  'rowgroup',
  'row',
  'columnheader',
  'cell',
  'image',
  'figure',
  'separator',
  'tablist',
  'tab',
  'accordion',
  'disclosure',
  'article',
  'avatar',
  'badge',
  'dialog',
  'menu',
  'status',
  'alert',
])
export type Role = z.infer<typeof roleSchema>

/** What a text field takes. */
export const inputTypeSchema = z.enum([
  'text',
  'email',
  'password',
  'search',
  'tel',
  'url',
  'number',
  'date',
])
export type InputType = z.infer<typeof inputTypeSchema>

/** What a person has said a layer is. */
export const rulingSchema = z.strictObject({
  role: roleSchema,
  /** Of a heading. */
  level: z.int().min(1).max(6).optional(),
  /** Of a text field. */
  input: inputTypeSchema.optional(),
  /** Of a control: it must be filled in. */
  required: z.boolean().optional(),
})
export type Ruling = z.infer<typeof rulingSchema>
