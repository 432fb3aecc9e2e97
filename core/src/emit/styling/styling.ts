import type { TextStyle } from '../../design/text.js'
import type { Units } from './units.js'
import type { DataList } from '../shared/lists.js'
import type { Looks } from '../shared/looks.js'
import type { EmittedFile } from '../shared/emitted-file.js'
import type { MarkupElement } from '../shared/markup.js'
import type { UiImage, UiNode, UiPanel } from '../../ui/nodes.js'

/** How what is delivered is styled. */
export const STYLINGS = ['tailwind', 'css', 'scss', 'css-modules', 'css-in-js'] as const
export type StylingId = (typeof STYLINGS)[number]

export const isStylingId = (id: string): id is StylingId =>
  (STYLINGS as readonly string[]).includes(id)

/** The styling that is wanted, or plain CSS where a target does not have it. */
export const stylingIn = (stylings: readonly StylingId[], wanted: StylingId): StylingId =>
  stylings.includes(wanted) ? wanted : 'css'

export type StylingOptions = {
  /** The rules of the fonts that are delivered. */
  readonly fonts: readonly string[]
  /** What the style sheet calls a delivered picture. */
  readonly address: (asset: string) => string
  /** Whether a drawing is written into the page, and is no picture for the browser. */
  readonly isIcon: (asset: string) => boolean
  /** What lengths are in; as they were drawn when absent. */
  readonly units?: Units | undefined
  /** Of Tailwind: what is no step of a scale gets a name in the theme, and stands in no brackets. */
  readonly namesValues?: boolean
  /** Whether the target's components can have modules of CSS. */
  readonly hasModules?: boolean
}

/** A component just before it is written, with what says something of its classes. */
export type Finished = {
  /** What the component is called. */
  readonly name: string
  readonly markup: MarkupElement
  readonly looks?: readonly Looks[]
  readonly lists?: readonly DataList[]
  /** The text of the sheet that holds for this component alone, where classes are what a module gives. */
  readonly sheet?: string
  /** What a layer is called. */
  nameOf(layer: string): string | undefined
}

/** Turns styles into class names and remembers what the style sheet must define for them. */
export type Styling = {
  readonly id: StylingId
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
  /** Whether classes are texts in what is delivered, which data may hold; else they become code. */
  readonly isText: boolean
  /** Whether a class says where a thing stands in its container and how much room it takes there. */
  isPlacing(className: string): boolean
  /** The colour that a class is about, in a word; undefined where it is about none. */
  colorIn(className: string): string | undefined
  /** What the classes of an element say beside how lines break: things of one kind may differ in that. */
  likenessOf(classes: string): string
  /** Gives a component the classes it is delivered with, where those are others than elements are compared by. */
  finish?(component: Finished): Finished
  /**
   * Classes are names in a sheet that each component has for itself. `module`: a sheet of CSS; `object`: code that makes
   * the rules.
   */
  readonly scope?: 'module' | 'object'
  /** The style sheet's source as CSS, after all classes were asked for; without what components have for themselves. */
  stylesheet(): string
  /** The same as it is delivered; `path` is that of the file a page begins with. */
  files(path: string): readonly EmittedFile[]
  /** Every class that was handed out. */
  readonly classes: ReadonlySet<string>
}
