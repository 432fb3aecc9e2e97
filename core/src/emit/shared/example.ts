import { isClass, type MarkupElement } from './markup.js'

/** What stands for something that is shown in a component. */
export const SHOWN = '…'

/** A component as its users see it: what is shown in it says nothing of it, and where it stands is their affair. */
export const asExample = (use: MarkupElement): MarkupElement => ({
  ...use,
  attributes: use.attributes
    .filter((one) => !isClass(one))
    .map((one) =>
      one.kind === 'markup' ? { ...one, nodes: [{ kind: 'text', text: SHOWN }] } : one,
    ),
})
