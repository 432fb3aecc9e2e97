import type { TextStyle } from '../../design/text.js'
import type { UiImage, UiNode, UiPanel } from '../../ui/nodes.js'

/** Turns styles into class names and remembers what the style sheet must define for them. */
export type Styling = {
  /** Classes of a node. */
  node(node: UiNode): readonly string[]
  /** Classes of a run, for what differs from its text. */
  run(style: Partial<TextStyle>): readonly string[]
  /** Classes of the element around a picture that is a link, and of the picture inside it. */
  frame(node: UiImage): readonly string[]
  picture(node: UiImage): readonly string[]
  /** Classes of an element that takes no part in the layout: what is in it does. */
  flat(): readonly string[]
  /** Classes of a line end that is there at some widths only. */
  lineBreak(
    steps: readonly { readonly fromPx: number; readonly isShown: boolean }[],
  ): readonly string[]
  /** Classes of what shows a screen over the page. */
  panel(panel: UiPanel): readonly string[]
  /** Classes of what a form says: its problems, or what became of the answers. */
  message(kind: 'problems' | 'status'): readonly string[]
  /** Whether a class says where a thing stands in its container and how much room it takes there. */
  isPlacing(className: string): boolean
  /** The colour that a class is about, in a word; undefined where it is about none. */
  colorIn(className: string): string | undefined
  /** What the classes of an element say beside how lines break: things of one kind may differ in that. */
  likenessOf(classes: string): string
  /** The style sheet's source, after all classes were asked for. */
  stylesheet(): string
  /** Every class that was handed out. */
  readonly classes: ReadonlySet<string>
}
