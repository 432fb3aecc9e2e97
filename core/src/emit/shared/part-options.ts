import type { UiPart } from '../../ui/nodes.js'
import type { Switch } from '../../ui/index.js'

/** What a target and a styling tell of the things parts are made of. */
export type PartOptions = {
  /** The property of the design's component that a text layer shows. */
  propertyOf(layer: string): string | undefined
  /** The property of the design's component that shows and hides a layer, and whether it is shown where nothing is said. */
  switchOf(layer: string): Switch | undefined
  /** Whether a person has said that what stands at its place is given. */
  isSlot(layer: string): boolean
  /** What a layer is called. */
  nameOf(layer: string): string | undefined
  /** The values of the variant properties of an instance, by its layer. */
  variantOf(layer: string): Readonly<Record<string, string>>
  /** Whether a class says where a thing stands and how much room it takes there. */
  isPlacing(className: string): boolean
  /** The colour that a class is about, in a word. */
  colorIn(className: string): string | undefined
  /** What classes say beside how lines break, which depends on the words. */
  likenessOf(classes: string): string
  /** What the component of a part is called in code; the suffix tells it from others of the part. */
  tagOf(part: UiPart, suffix: string): string
  /** The name of the attribute that has classes. */
  readonly classAttribute: string
}
