import type {
  Box,
  Design,
  Edit,
  EmittedFile,
  Emitted,
  InputFile,
  LayerType,
  Note,
  TargetId,
} from '@unimorph/core'

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
  readonly svg: string
}

export type Drawn = {
  readonly screens: readonly ScreenDrawing[]
  readonly layers: readonly LayerRow[]
}

export type Converted = {
  /** What it was converted to, which may no longer be what is set. */
  readonly target: TargetId
  readonly files: readonly EmittedFile[]
  readonly pages: Emitted['pages']
  readonly notes: readonly Note[]
  /** The same code with the layers' keys on its elements, and its compiled style sheet. */
  readonly preview: { readonly files: readonly EmittedFile[]; readonly css: string }
  readonly elapsedMs: number
}

export type ConvertRequest = {
  readonly edits: readonly Edit[]
  readonly target: TargetId
  readonly select: readonly string[]
}

/** What can be asked of the worker, with what it answers. */
export type Engine = {
  intake(files: readonly InputFile[]): { design: Design | undefined; notes: readonly Note[] }
  /** Makes a stored design the one the other calls are about. */
  open(document: unknown): { name: string }
  draw(edits: readonly Edit[]): Drawn
  convert(request: ConvertRequest): Converted
  /** The delivered files in a ZIP archive. */
  pack(files: readonly EmittedFile[]): Uint8Array
}

export type EngineCall = {
  readonly id: number
  readonly method: keyof Engine
  readonly args: readonly unknown[]
}
export type EngineAnswer =
  | { readonly id: number; readonly ok: true; readonly value: unknown }
  | { readonly id: number; readonly ok: false; readonly message: string }
