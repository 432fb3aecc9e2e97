import type { DeliveredFault } from '@unimorph/core/deliver'
import type {
  Box,
  Choice,
  Codebase,
  Covered,
  Design,
  Edit,
  EmittedComponent,
  EmittedFile,
  Emitted,
  Entrance,
  Font,
  FontNeed,
  ContrastPair,
  FormRuling,
  Glossary,
  GlossaryProblem,
  Grain,
  HouseStyle,
  Hover,
  InputFile,
  LayerType,
  Library,
  Link,
  Note,
  StylingId,
  Suggested,
  Summary,
  TargetId,
  TokenCode,
  TokenProposal,
  TokenType,
  UiPart,
} from '@unimorph/core'
import type { LayerDetails } from './inspect-layer'
import type { NamedRole } from './roles'
import type { WidthAnswer, WidthFaults } from './widths'
import type { ArrangedBox, Comparison, MendAnswer, MendChoice, StructureReport } from './structure'

/** A row of the outline: a layer with what a list needs to know of it. */
export type LayerRow = {
  readonly key: string
  readonly name: string
  readonly type: LayerType
  readonly depth: number
  readonly childCount: number
  readonly screen: string
  /** In the screen's coordinates. */
  readonly box: Box
  readonly visible: boolean
  /** Whether edits can address it: layers inside an instance belong to its component. */
  readonly editable: boolean
  readonly text?: string
}

export type ScreenDrawing = {
  readonly key: string
  readonly name: string
  readonly width: number
  readonly height: number
  /** SVG documents of its size that lie over each other, the first lowest. */
  readonly sheets: readonly string[]
}

/** What a layer does: when it is pressed, under the pointer, and when it comes in. */
export type Behaviour = {
  readonly press?: Link
  readonly hover?: Hover
  readonly entrance?: Entrance
}

export type Drawn = {
  readonly screens: readonly ScreenDrawing[]
  readonly layers: readonly LayerRow[]
  /** Of the layers that do something, by their keys. */
  readonly behaviour: Readonly<Record<string, Behaviour>>
  /** What a person has said about forms, by the key of the layer. */
  readonly forms: Readonly<Record<string, FormRuling>>
}

/** A form of the delivered pages. */
export type FormRow = {
  readonly layer: string
  readonly id: string
  readonly name: string
  readonly fields: readonly { readonly label: string; readonly isRequired: boolean }[]
}

/** A page of the delivered project, with where it leads. */
export type FlowRow = {
  readonly key: string
  readonly name: string
  /** It is shown over other pages. */
  readonly isPanel: boolean
  readonly to: readonly {
    readonly key: string
    readonly kind: 'leads' | 'opens'
    /** The layers that are pressed for it. */
    readonly layers: readonly string[]
  }[]
}

/** Code as it is run here, with the style sheet it needs: where each component has a sheet of its own, in one sheet. */
export type Running = Pick<Emitted, 'files' | 'pages' | 'components'> & {
  readonly target: TargetId
  readonly css: string
}

export type Converted = {
  /** What it was converted to, which may no longer be what is set. */
  readonly target: TargetId
  readonly files: readonly EmittedFile[]
  /** What files that a person or the style of the house has put elsewhere would be called, by their paths. */
  readonly origins: Readonly<Record<string, string>>
  readonly pages: Emitted['pages']
  readonly forms: readonly FormRow[]
  readonly flow: readonly FlowRow[]
  /** What is written once, and the components of the target it became. */
  readonly parts: readonly UiPart[]
  readonly detached: readonly string[]
  readonly refused: readonly string[]
  /** Layers of which a person has said that their parts are given them. */
  readonly slots: readonly string[]
  readonly components: readonly EmittedComponent[]
  /** The language its texts are in, said or told by their words. */
  readonly language: string | undefined
  readonly notes: readonly Note[]
  /** What of the files cannot work: faults of ours. */
  readonly faults: readonly DeliveredFault[]
  /** The same as it is run here, without the keys of layers. */
  readonly alone: Running
  readonly elapsedMs: number
}

/** The codebase whose components are used, and what its glossary says. */
export type CodebaseInUse = { readonly entries: Glossary; readonly codebase: Codebase }

/** What the glossary has for the design as it was last drawn. */
export type GlossaryReport = {
  readonly things: readonly Covered[]
  readonly suggested: Suggested
  readonly problems: readonly GlossaryProblem[]
}

/** The code of a target, to be read beside that of another. */
export type Translated = Pick<Converted, 'target' | 'files' | 'origins' | 'pages'>

export type ConvertRequest = {
  readonly edits: readonly Edit[]
  readonly target: TargetId
  readonly select: readonly string[]
  readonly derivesStates: boolean
  readonly language: string | undefined
  readonly grain: Grain | undefined
  readonly styling: StylingId
  readonly house: HouseStyle
  readonly library: Library | undefined
}

/** What was read of some files, before it is accepted. The design itself stays in the worker. */
export type Preview = {
  readonly name: string
  readonly summary: Summary
  readonly thumbnails: Readonly<Record<string, string>>
}
export type IntakeAnswer = {
  readonly preview: Preview | undefined
  readonly notes: readonly Note[]
  readonly fonts: readonly InputFile[]
}

export type TokenRow = {
  readonly name: string
  readonly type: TokenType
  /** By mode, aliases followed; a mode without a value of its own is left out. */
  readonly values: Readonly<Record<string, unknown>>
  /** Name of the token it is an alias of, in the first mode. */
  readonly alias?: string
  readonly useCount: number
  /** How it is written in code. */
  readonly code: TokenCode
}
export type TokenList = {
  readonly modes: readonly string[]
  readonly tokens: readonly TokenRow[]
  readonly proposals: readonly TokenProposal[]
}

/** A line of a text as it is drawn, in the screen's coordinates. */
export type TextPiece = {
  readonly text: string
  readonly x: number
  readonly baseline: number
  readonly width: number
  readonly size: number
  readonly family: string
  readonly weight: number
  readonly italic: boolean
  readonly spacing: number
  readonly endsLine: boolean
}

export type NamedFile = { readonly name: string; readonly content: string | Uint8Array }

export type ExportKind = 'json' | 'svg' | 'tokens'

/** What can be asked of the worker, with what it answers. */
export type Engine = {
  /** Those of some font families whose names occur in the files. */
  findFamilies(files: readonly InputFile[], families: readonly string[]): string[]
  intake(files: readonly InputFile[], fonts: readonly Font[]): IntakeAnswer
  /** The design that was read last, with the chosen screens. */
  accept(choice: Choice): Design
  /** Makes a stored design the one the other calls are about. */
  open(document: unknown): { name: string; fontNeeds: readonly FontNeed[] }
  /** Fonts at hand: they measure and draw the texts, and are delivered. */
  useFonts(fonts: readonly Font[]): void
  draw(edits: readonly Edit[]): Drawn
  /** About the design as it was last drawn. */
  inspect(key: string): LayerDetails | undefined
  listTokens(): TokenList
  /** Text and ground colours that stand on one another, those with the least to spare first. */
  listPairs(): readonly ContrastPair[]
  listTexts(screen: string): TextPiece[]
  /** What makes worse code in the design as it was last drawn, and its grades. */
  report(): StructureReport
  /** How a screen is at every width, as it was last drawn. */
  widths(screen: string): WidthAnswer | undefined
  /** What the layers of a screen are, as it was last drawn. */
  roles(screen: string): readonly NamedRole[]
  /** Where the screen that was asked about last breaks or looks wrong; gives way to all other calls. Nothing if it changed. */
  faults(): WidthFaults | undefined
  /** The edits that mend some findings, each checked to keep the look. */
  mend(choice: MendChoice): MendAnswer
  /** How a screen is arranged, as it was last drawn. */
  listArranged(screen: string): ArrangedBox[]
  /** The code and layers of a screen without and with some edits. */
  compare(
    before: readonly Edit[],
    after: readonly Edit[],
    screen: string,
    target: TargetId,
  ): Comparison
  /** The drawing of one layer, or the picture it shows. */
  layerFile(key: string, kind: 'svg' | 'svg-current-color' | 'picture'): NamedFile | undefined
  /** The design with its edits, in a format others read. */
  export(kind: ExportKind): NamedFile[]
  convert(request: ConvertRequest): Converted
  /** What is run of a conversion, with the keys of layers on its elements; sooner there than all that is said of it. */
  run(request: ConvertRequest): Running
  /** The same in another target: its code alone, which is not run. */
  translate(request: ConvertRequest): Translated
  /** Makes the code of a target ready to be asked for. */
  translateAhead(request: ConvertRequest): void
  /** The codebase whose components the next conversions use; none when undefined. */
  useCodebase(codebase: CodebaseInUse | undefined): void
  /** What the codebase has for the design as it was last drawn. */
  glossary(target: TargetId): GlossaryReport | undefined
  /** Files in a ZIP archive. */
  pack(files: readonly EmittedFile[]): Uint8Array
}

export type EngineCall = {
  readonly id: number
  readonly method: keyof Engine
  readonly args: readonly unknown[]
}
export type Progress = { readonly done: number; readonly of: number; readonly label: string }
export type EngineAnswer =
  | { readonly id: number; readonly kind: 'done'; readonly value: unknown }
  | { readonly id: number; readonly kind: 'failed'; readonly message: string }
  | { readonly id: number; readonly kind: 'progress'; readonly progress: Progress }
