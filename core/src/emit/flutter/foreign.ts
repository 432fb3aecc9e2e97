import type { UseSpelling } from '../project/build-use.js'
import { code, text } from '../shared/markup.js'

/** The attribute that names what a widget of the codebase hears being pressed by. */
export const PRESS = 'pressed-by'

/** How widgets of the codebase are given what they are given. */
export const flutterUse: Omit<UseSpelling, 'tag' | 'address'> = {
  literal({ name, type }, value) {
    if (type.kind === 'choice') return [code(name, `${type.prefix ?? ''}${String(value)}`)]
    return [typeof value === 'string' ? text(name, value) : code(name, String(value))]
  },
  typeOf(type) {
    const own = type.text.replace(/\?$/, '')
    return ['choice', 'number', 'boolean'].includes(type.kind) ? own : undefined
  },
  slot: (name, nodes) => ({ attribute: { name, kind: 'markup', nodes } }),
  hear: (event, press, submits) => [
    text(PRESS, event),
    ...(submits ? [text('type', 'submit')] : []),
    ...press,
  ],
}
