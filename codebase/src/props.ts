import type { CodeProp } from '@unimorph/core'

/** An event of a component; `text`: the type of what is listened with. */
export const eventNamed = (name: string, text: string): CodeProp => ({
  name,
  type: { kind: 'handler', text },
  as: 'event',
  isRequired: false,
})

/** A place of a component that others fill; `text`: what the framework calls one. */
export const slotNamed = (name: string, text = 'slot'): CodeProp => ({
  name,
  type: { kind: 'node', text },
  as: 'slot',
  isRequired: false,
})
