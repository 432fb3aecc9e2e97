import { capitalise } from '../../text/names.js'
import type { PartComponent, Prop } from './prop.js'

export type Parts = ReadonlyMap<string, PartComponent>

export type PropOwner = { readonly tag: string; readonly prop: Prop }

/** Where what is handed on to a component inside another is used in the end. */
export const findOwner = (tag: string, name: string, parts: Parts): PropOwner | undefined => {
  const prop = parts.get(tag)?.props.find((one) => one.name === name)
  if (!prop) return undefined
  return (prop.of && findOwner(prop.of.tag, prop.of.prop, parts)) ?? { tag, prop }
}

/** The name of the type of a choice, in targets that give it one: `StatusTagTone`. */
export const choiceTypeOf = ({ tag, prop }: PropOwner): string => `${tag}${capitalise(prop.name)}`
