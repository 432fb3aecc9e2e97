import { create } from 'zustand'

/** `strip`: the result at all its widths beside one another. */
export type StageView = 'both' | 'design' | 'result' | 'strip'
/** What the pointer does on the design: pick layers, or select and copy its text. */
export type Pointer = 'layers' | 'text'
/** A scale, or one that follows the room there is: the width of the screen, or all of it. */
export type Zoom = 'fit' | 'whole' | number

export const SMALLEST_ZOOM = 0.05
export const LARGEST_ZOOM = 8

export const clampZoom = (zoom: number): number =>
  Math.min(LARGEST_ZOOM, Math.max(SMALLEST_ZOOM, zoom))

const STEPS = [0.05, 0.1, 0.25, 0.5, 0.75, 1, 1.5, 2, 4, 8]

/** The next step of the scale, up or down. */
export const stepZoom = (scale: number, direction: 1 | -1): number =>
  direction > 0
    ? (STEPS.find((step) => step > scale * 1.01) ?? LARGEST_ZOOM)
    : (STEPS.findLast((step) => step < scale * 0.99) ?? SMALLEST_ZOOM)

type StageStore = {
  readonly view: StageView
  readonly zoom: Zoom
  readonly pointer: Pointer
  /** Whether pressing something in the running result selects its layer, or uses it. */
  readonly picks: boolean
  /** Width of the running result, in px; absent: as the shown screen was drawn. */
  readonly width: number | undefined
  /** Whether one layer is shown alone: the one pointed at, or else the selected one. */
  readonly isAlone: boolean
  set(change: Partial<Omit<StageStore, 'set'>>): void
}

/** How the stage shows things. Not kept: a project opens as it is drawn. */
export const useStage = create<StageStore>((set) => ({
  view: 'both',
  zoom: 'fit',
  pointer: 'layers',
  picks: true,
  width: undefined,
  isAlone: false,
  set,
}))
