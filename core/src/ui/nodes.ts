import type { CodeComponent, CodeProp, Literal } from '../codebase/codebase.js'
import { roundPx, type Box, type Corners, type Sides } from '../design/geometry.js'
import type { AutoLayout, Sizing } from '../design/layout.js'
import type { CrossAlign } from '../layout/node.js'
import type { Blend, Effect, Focus, Paint } from '../design/paint.js'
import type { FormRuling } from '../design/form.js'
import type { PartRuling } from '../design/part.js'
import type { Entrance, Hover, PanelKind, PanelSide } from '../design/interaction.js'
import type { InputType } from '../design/role.js'
import type { TextStyle } from '../design/text.js'
import type { StateName } from '../design/states.js'

/**
 * A place along one axis: the distance from an edge of the parent to the same edge of the node, or between
 * their middles. `hold` is the part of the node a distance from the parent's start leads to.
 */
export type Anchor =
  | {
      readonly edge: 'start' | 'centre' | 'end'
      readonly px: number
      readonly hold: 'start' | 'centre' | 'end'
    }
  /** Held at both edges of the parent: it grows with it. Distances in px. */
  | { readonly edge: 'both'; readonly before: number; readonly after: number }
  /** Grows with the parent in proportion: where it begins and how large it is, as shares of the parent. */
  | { readonly edge: 'scale'; readonly at: number; readonly size: number }

export type UiPlace =
  | { readonly kind: 'root' }
  | {
      readonly kind: 'flow'
      readonly parent: 'row' | 'column' | 'grid'
      readonly columns: number
      readonly rows: number
      /** How the parent aligns its children across its direction. */
      readonly align: CrossAlign
      /** How this one is, where that is different. */
      readonly self?: CrossAlign
      readonly margin: Sides
      /** Takes the free room before it. */
      readonly isPushed: boolean
    }
  /** `isUnder`: painted below what stands in the flow. */
  | { readonly kind: 'absolute'; readonly x: Anchor; readonly y: Anchor; readonly isUnder: boolean }

export type UiLength = { readonly sizing: Sizing; readonly px: number }

export type UiArrangement =
  | AutoLayout
  /** Children are placed by coordinates. */
  | { readonly kind: 'free' }
  /** It takes no part in the layout: its children stand as if it were not there. */
  | { readonly kind: 'contents' }
  /** There are no children to arrange. */
  | { readonly kind: 'none' }

/** A line around a box. `offsetPx` is the distance of its inner edge from the box's edge, outwards. */
export type UiBorder = {
  readonly widths: Sides
  readonly color: string
  readonly dashed: boolean
  /** `border` takes room inside the box; `outline` is drawn over it and takes none. */
  readonly kind: 'border' | 'outline'
  readonly offsetPx: number
}

/** A paint, or a picture behind the content by the id of its file. */
export type UiFill =
  | Exclude<Paint, { kind: 'image' }>
  | {
      readonly kind: 'picture'
      readonly asset: string
      readonly fit: 'cover' | 'contain' | 'fill' | 'tile'
      /** Box of one tile in px, for `tile`; absent: as large as the picture. */
      readonly tile?: Box | undefined
      /** Which part is seen, where it covers and is cut off; its middle when absent. */
      readonly focus?: Focus | undefined
    }

/** The look of a node in values every target can write down. Lengths in px. */
export type UiStyle = {
  readonly place: UiPlace
  readonly width: UiLength
  readonly height: UiLength
  readonly limits: {
    readonly minWidth?: number | undefined
    readonly maxWidth?: number | undefined
    readonly minHeight?: number | undefined
    readonly maxHeight?: number | undefined
  }
  readonly arrange: UiArrangement
  /** The widest its content gets, in px; beyond that the padding grows on both sides alike. */
  readonly contentMax?: number | undefined
  /** Content that is wider than the box is reached by scrolling the box sideways. */
  readonly scrolls?: boolean
  /** It is a panel over the page, shown on demand, below a head of this height in px. */
  readonly folds?: { readonly topPx: number; readonly color: string }
  /** It is never wider than its parent, whatever its own width says. */
  /** `rigid`: nor does it give way to its neighbours. */
  readonly fitsParent?: boolean | 'rigid'
  /** Keeps its proportions, width to height. */
  readonly ratio?: number
  /** Bottom first. */
  readonly fills: readonly UiFill[]
  readonly border?: UiBorder
  readonly corners: Corners
  readonly effects: readonly Effect[]
  readonly opacity: number
  readonly blend: Blend
  readonly rotationDeg: number
  readonly clip: boolean
  /** How far the box reaches over its place in the flow on every side: a stroke takes no room. */
  readonly bleedPx: number
  /** Of a text: room around its words, in px, so that it is larger to press. */
  readonly room?: Sides
  /** Field path of the design layer → token name. */
  readonly tokens: Readonly<Record<string, string>>
}

/** Where activating a node leads: a page of the same project, an address that was checked, or nowhere yet. */
export type UiLink =
  /** `id`: what the place it will lead to can be called, from its words. */
  | { readonly kind: 'nowhere'; readonly id: string }
  | { readonly kind: 'page'; readonly page: string }
  | { readonly kind: 'address'; readonly url: string }
  /** A part of the same page, by its id. */
  | { readonly kind: 'section'; readonly id: string }

/** What pressing a button does. */
export type UiAct =
  /** Shows a panel of the page, by its id. */
  | { readonly kind: 'open'; readonly panel: string; readonly as: PanelKind }
  /** Puts the panel away it stands in. */
  | { readonly kind: 'close'; readonly panel: string; readonly as: PanelKind }
  /** Shows and hides a part of the page in turns, by its id. */
  | { readonly kind: 'toggle'; readonly target: string; readonly startsShown: boolean }
  /** Shows a part of the page in the place of those of the same group. */
  | {
      readonly kind: 'tab'
      readonly target: string
      readonly group: string
      readonly startsShown: boolean
      /** What it shows is not drawn: it is chosen, and nothing more. */
      readonly isEmpty?: boolean
    }
  /** Counts a number up or down, by the id of its field. */
  | { readonly kind: 'step'; readonly target: string; readonly by: 1 | -1 }

/** When a part of a page is shown. */
export type UiWhen =
  | { readonly kind: 'toggle'; readonly startsShown: boolean }
  | { readonly kind: 'tab'; readonly group: string; readonly startsShown: boolean }

/** Another screen that is shown over a page. */
export type UiPanel = {
  readonly id: string
  /** Key of the screen. */
  readonly layer: string
  readonly kind: PanelKind
  readonly side: PanelSide
  /** Its accessible name. */
  readonly label: string
  readonly root: UiNode
}

/** What a node is like from a width of the window on, up to the next step. */
export type UiStep = {
  /** In px; the first step begins at 0. */
  readonly fromPx: number
  /** Absent: it is not shown. */
  readonly node?: UiNode | undefined
  /** Its place among its siblings where that is not the one it has in the tree; 0: as in the tree. */
  readonly order: number
}

/** How a node looks while it, or what it stands in, is in a state. */
export type UiState = {
  readonly state: StateName
  /** Whose state: its own, or that of the box around it which is marked as an owner. */
  readonly of: 'self' | 'owner'
  /** What the state is of holds the control that is in it, and is none itself. */
  readonly isWithin: boolean
  /** The node as it looks then; what is in it plays no part. */
  readonly node: UiNode
}

/** What a component of the codebase is given. */
export type UiGiven =
  | { readonly kind: 'literal'; readonly value: Literal }
  /** So many of the node's children, those of the slots before it left out. */
  | { readonly kind: 'content'; readonly count: number }
  | { readonly kind: 'picture'; readonly asset: string }
  | { readonly kind: 'link'; readonly link: UiLink }
  /** `submits`: it sends its form. */
  | { readonly kind: 'press'; readonly act?: UiAct; readonly submits: boolean }

/** A component of the codebase that is written in the place of a node. */
export type UiUse = {
  readonly component: CodeComponent
  readonly given: readonly { readonly prop: CodeProp; readonly value: UiGiven }[]
}

type UiCommon = {
  /** Key of the layer this node stands for. */
  readonly layer: string
  readonly name: string
  /** How it is where it is shown widest, when it has steps; else at every width. */
  readonly style: UiStyle
  /** From narrow to wide; absent: the same at every width. */
  readonly steps?: readonly UiStep[]
  /** Where something refers to it. */
  readonly id?: string
  /** It is shown only when something was pressed. */
  readonly when?: UiWhen
  /** It is an instance of the part with this id. */
  readonly part?: string
  /** The codebase has a component for it: what is in the node is what that is given. */
  readonly use?: UiUse
  readonly hover?: Hover
  readonly entrance?: Entrance
  readonly states?: readonly UiState[]
  /** What is in it looks different when this is in a state. */
  readonly isOwner?: boolean
  /** No state is drawn of it: it answers the pointer in a plain way. */
  readonly reacts?: 'darkens' | 'fills' | 'underlines'
  /** What it is in what holds it: an item of a list or what stands between two, a cell of a table. */
  readonly item?:
    | 'listitem'
    | 'spacer'
    | 'rowspacer'
    | 'caption'
    | 'rowgroup'
    | 'row'
    | 'cell'
    | 'columnheader'
    | 'term'
    | 'definition'
    | 'summary'
  /** It is pressed, and one of a menu. */
  readonly isMenuItem?: boolean
  /** Of a tree at one step: a place among its siblings that a person has said. */
  readonly order?: number
  /** It is only to be seen: a click on it reaches what lies under it. */
  readonly isInert?: boolean
  /** Of a tree at one step: it is not shown there. */
  readonly isHidden?: boolean
}

/** A piece of a text: characters in one style, or the end of a line. */
export type UiRun =
  | { readonly kind: 'text'; readonly text: string; readonly style: Partial<TextStyle> }
  /** `shownAt`: for each of the text's steps, whether the line ends here; absent: always. */
  | { readonly kind: 'break'; readonly shownAt?: readonly boolean[] }

/** What becomes of the answers of a form. */
export type UiForm = {
  readonly id: string
  /** What it is called: by its heading or its button. */
  readonly name: string
  readonly fields: readonly UiField[]
  readonly to: FormRuling['to']
  /** The page that is shown when they were sent; absent: a message. */
  readonly success?: string | undefined
  /** What is said when they were sent or could not be; absent: the usual words. */
  readonly sent?: string
  readonly failed?: string
}

export type UiField = {
  readonly id: string
  /** By which its answer is known; radio buttons of a group have one. */
  readonly name: string
  readonly label: string
  readonly control: UiControlKind
  readonly isRequired: boolean
  readonly isDisabled: boolean
  /** What it has to begin with; of a tick: whether it is on. */
  readonly start?: string | boolean
}

export type UiBoxRole =
  | 'complementary'
  | 'search'
  | 'group'
  | 'radiogroup'
  | 'figure'
  | 'progressbar'
  | 'tablist'
  | 'article'
  | 'dialog'
  | 'menu'
  | 'status'
  | 'alert'
  | 'descriptionlist'
  /** A row that shows and hides what belongs to it. */
  | 'disclosure'
  /** What is drawn of a control that stands in it and is not seen itself. */
  | 'label'
  | 'main'
  | 'banner'
  | 'contentinfo'
  | 'navigation'
  | 'form'
  | 'list'
  | 'table'
  | 'button'

export type UiBox = UiCommon & {
  readonly type: 'box'
  readonly role?: UiBoxRole
  /** Several pages have it in common: what it is in all of them. */
  readonly shared?: 'banner' | 'navigation' | 'contentinfo'
  /** It is a section of a long page, written in a file of its own: what it is called, in words. */
  readonly section?: string
  /** Of a list: its order matters. */
  readonly isOrdered?: boolean
  /** Of a table whose cells all stand in one grid: how many make a row. */
  readonly columns?: number
  /** Of a button: it sends its form. */
  readonly submits?: boolean
  /** Of a button: what else it does. */
  readonly act?: UiAct
  /** Of a form. */
  readonly form?: UiForm
  /** Of a group of controls: id of the text that names it. */
  readonly labelledBy?: string
  /** Of a label: id of its control. */
  readonly labelFor?: string
  /** Of a disclosure: it is open at first; name of those of which one is open at a time. */
  readonly isOpen?: boolean
  readonly oneOf?: string
  /** Of a progress bar: how far it is, from 0 to 100. */
  readonly percent?: number
  readonly link?: UiLink
  /** Accessible name, where the content has no text to give one. */
  readonly label?: string
  /** It folds away behind the button that shows this menu, where `style.folds` says so. */
  readonly menu?: string
  readonly children: readonly UiNode[]
}
/** The button that shows a menu that is folded away. */
export type UiMenuButton = UiCommon & {
  readonly type: 'menu-button'
  /** The menu it shows. */
  readonly menu: string
  readonly label: string
  readonly children: readonly UiNode[]
}
export type UiText = UiCommon & {
  readonly type: 'text'
  readonly level?: 1 | 2 | 3 | 4 | 5 | 6
  readonly link?: UiLink
  readonly isButton?: boolean
  /** Of a button: it sends its form; what else it does. */
  readonly submits?: boolean
  readonly act?: UiAct
  /** It names the control with this id. */
  readonly labelFor?: string
  readonly textStyle: TextStyle
  readonly align: 'start' | 'centre' | 'end' | 'justify'
  /** Whether lines break where the width asks for it, or only where the text says so. */
  readonly wraps: boolean
  /** A word that is longer than the line breaks rather than reach out of it. */
  readonly breaksWords?: boolean
  readonly runs: readonly UiRun[]
}
export type UiImage = UiCommon & {
  readonly type: 'image'
  readonly asset: string
  readonly fit: 'cover' | 'contain' | 'fill'
  /** Which part is seen, where it covers and is cut off; its middle when absent. */
  readonly focus?: Focus
  readonly alt: string
  readonly link?: UiLink
}
/** A control of a form that the person at the page fills in. */
export type UiControl = UiCommon & {
  readonly type: 'control'
  readonly control: UiControlKind
  /** By which labels name it. */
  readonly id: string
  /** Of radio buttons: the name of all of which one is chosen. */
  readonly group?: string
  /** Accessible name, where no label gives one. */
  readonly label?: string
  /** Id of the text that says more about it. */
  readonly describedBy?: string
  readonly isInvalid?: boolean
  readonly isDisabled?: boolean
  readonly isRequired?: boolean
  /** Words that are shown while it is empty. */
  readonly hint?: string
  /** What it has to begin with; of a select what is chosen. */
  readonly value?: string
  readonly isOn?: boolean
  /** Of a number: buttons beside it count it up and down. */
  readonly isStepped?: boolean
  readonly textStyle?: TextStyle
  /** The colour of the hint. */
  readonly hintColor?: string
  /** Field path of the text in it → token name. */
  readonly textTokens: Readonly<Record<string, string>>
  /** From its edges to its words, in px. */
  readonly padding: Sides
}
type UiTick = 'checkbox' | 'radio' | 'switch'
export type UiControlKind = InputType | 'textarea' | 'select' | 'range' | 'file' | UiTick

const TICKS: ReadonlySet<UiControlKind> = new Set<UiTick>(['checkbox', 'radio', 'switch'])

/** Whether a control is on or off, and shows no words. */
export const isTick = (kind: UiControlKind): boolean => TICKS.has(kind)

export type UiNode = UiBox | UiText | UiImage | UiMenuButton | UiControl

/** A node with each of its children changed; the node itself where that changes nothing. */
export const mapChildren = (node: UiNode, change: (child: UiNode) => UiNode): UiNode => {
  if (!('children' in node)) return node
  const children = node.children.map(change)
  const isSame = children.every((child, i) => child === node.children[i])
  return isSame ? node : ({ ...node, children } as UiNode)
}

/** A node as it is where it is shown widest, and at each of its steps. */
export const looksOf = (node: UiNode): readonly UiNode[] => [
  node,
  ...(node.steps ?? []).flatMap((step) => step.node ?? []),
]

/** All that is in a node, in reading order. */
export const insideOf = (node: UiNode): readonly UiNode[] =>
  'children' in node ? node.children.flatMap((child) => [child, ...insideOf(child)]) : []

/** What stands in a box for the layout: boxes that take no part in it are looked through. */
export const childrenInLayout = (node: UiNode): readonly UiNode[] =>
  node.type !== 'box'
    ? []
    : node.children.flatMap((child) =>
        child.type === 'box' && child.style.arrange.kind === 'contents'
          ? childrenInLayout(child)
          : [child],
      )

export type UiPage = {
  /** Key of the screen, or of the layer that was selected. */
  readonly key: string
  /** Keys of all screens it was made of, its own among them. */
  readonly artboards: readonly string[]
  /** The widths it was drawn at, in px, the widest first. */
  readonly widths: readonly number[]
  readonly name: string
  /** What it is about, in a sentence or two. */
  readonly description?: string | undefined
  readonly root: UiNode
  /** What is shown over it on demand. */
  readonly panels?: readonly UiPanel[]
  readonly widthPx: number
  readonly heightPx: number
}

/** Where a part comes from. */
export type PartOrigin =
  /** A component of the design, by the key of its set. */
  | { readonly kind: 'component'; readonly component: string }
  /** Structure that repeats. */
  | { readonly kind: 'found' }
  /** A person has said it. */
  | { readonly kind: 'said' }

/** What is written once and used in several places. */
export type UiPart = {
  /** Key of its first instance: the same from run to run, and from edition to edition. */
  readonly id: string
  /** In words: `Sighting card`. */
  readonly name: string
  /** What a person has said of what its component is given. */
  readonly props?: PartRuling['props']
  readonly origin: PartOrigin
  /** Keys of the layers its instances stand for, in reading order. */
  readonly instances: readonly string[]
  /** From 0 to 1. */
  readonly confidence: number
  /** Why, in short sentences. */
  readonly evidence: readonly string[]
  /** Elements that are written once instead of several times. */
  readonly saved: number
}

/** Everything a page shows: itself, and what is shown over it. */
export const rootsOf = ({ root, panels = [] }: UiPage): readonly UiNode[] => [
  root,
  ...panels.map((panel) => panel.root),
]

/** The keys of the screens that are seen on a page: those it was made of, and those shown over it. */
export const screensOf = ({ artboards, panels = [] }: UiPage): readonly string[] => [
  ...artboards,
  ...panels.map((panel) => panel.layer),
]

/** A file the pages show: a picture from the design, or a drawing made from vector layers. */
export type UiAsset = {
  readonly id: string
  /** Wanted file name without extension. */
  readonly name: string
  readonly content:
    | {
        readonly kind: 'bytes'
        readonly base64: string
        readonly extension: string
        /** Its own size in px, where it is known. */
        readonly size?: { readonly width: number; readonly height: number }
        /** It is delivered as wide as this, in px, in the format its ending says. */
        readonly scaledTo?: number
      }
    | { readonly kind: 'svg'; readonly text: string }
}

/** Moves what holds a node by `px` against the edge it is held at: a larger box begins earlier. */
export const moveAnchor = (anchor: Anchor, px: number): Anchor => {
  switch (anchor.edge) {
    case 'start':
    case 'end':
      return { ...anchor, px: roundPx(anchor.px + px) }
    case 'both':
      return { ...anchor, before: roundPx(anchor.before + px), after: roundPx(anchor.after + px) }
    case 'centre':
    case 'scale':
      return anchor
  }
}
