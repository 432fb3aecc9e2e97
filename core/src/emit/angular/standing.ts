import { isComponentTag } from '../shared/markup.js'
import type { PartComponent } from '../shared/prop.js'
import { attributeOf, elementOf } from './names.js'

/** How a component stands in the markup of others. */
export type Standing = {
  /**
   * `attribute`: the element it is made of stands there, so that lists hold their items and tables their rows;
   * `element`: an element of its own stands around what it is made of, and takes no part in the layout.
   */
  readonly kind: 'attribute' | 'element'
  readonly selector: string
  readonly tag: string
}

/** A link of the router and another component bring what cannot stand on an element of somebody else. */
export const standingOf = ({ tag, markup }: Pick<PartComponent, 'tag' | 'markup'>): Standing => {
  if (markup.isUse || isComponentTag(markup.tag)) {
    return { kind: 'element', selector: elementOf(tag), tag: elementOf(tag) }
  }
  return { kind: 'attribute', selector: `${markup.tag}[${attributeOf(tag)}]`, tag: markup.tag }
}

/** The input by which the component that stands as an element is told where it stands. */
export const PLACING = 'placing'
