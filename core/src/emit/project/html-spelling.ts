import { code, text } from '../shared/markup.js'
import type { UnitSpelling } from './units.js'

/** How targets spell attributes whose names are those of HTML. */
export const HTML_SPELLING = {
  classAttribute: 'class',
  labelFor: 'for',
  startsWith: (value) => text('value', value),
  startsOn: code('checked', 'true'),
  disabled: code('disabled', 'true'),
  required: code('required', 'true'),
  open: code('open', 'true'),
  menuTarget: 'popovertarget',
  autocomplete: 'autocomplete',
} as const satisfies Partial<UnitSpelling>
