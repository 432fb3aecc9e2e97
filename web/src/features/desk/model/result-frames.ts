/** A frame that a page runs in, or waits for one. */
export type Frame = {
  readonly id: number
  /** What it shows or is about to show; none while it only waits. */
  readonly html: string | undefined
  readonly isReady: boolean
}

/**
 * The frames of a running result: the one that is shown, perhaps one that is being filled with a newer page, and perhaps an
 * empty one that has loaded already, so that the next page need not wait for that. A frame shows one page in its life, so
 * that nothing of a page goes on running in another.
 */
export type Frames = {
  readonly frames: readonly Frame[]
  /** The frame that is seen. */
  readonly shown: number | undefined
  readonly nextId: number
}

export type FrameEvent =
  | { readonly kind: 'want'; readonly html: string }
  | { readonly kind: 'ready'; readonly id: number }
  | { readonly kind: 'shown'; readonly id: number; readonly keepsSpare: boolean }

const add = (state: Frames, html: string | undefined): Frames => ({
  ...state,
  frames: [...state.frames, { id: state.nextId, html, isReady: false }],
  nextId: state.nextId + 1,
})

/** Frames for a page that was not shown before. */
export const beginWith = (html: string): Frames =>
  add({ frames: [], shown: undefined, nextId: 0 }, html)

const isSpare = ({ html }: Frame): boolean => html === undefined

const want = (state: Frames, html: string): Frames => {
  // Another page that was on its way is no longer wanted.
  const frames = state.frames.filter(
    (frame) => frame.id === state.shown || isSpare(frame) || frame.html === html,
  )
  if (frames.some((frame) => frame.html === html)) return { ...state, frames }
  const spare = frames.find(isSpare)
  if (!spare) return add({ ...state, frames }, html)
  return { ...state, frames: frames.map((frame) => (frame === spare ? { ...frame, html } : frame)) }
}

/** What the frames are after something happened. */
export const changeFrames = (state: Frames, event: FrameEvent): Frames => {
  if (event.kind === 'want') return want(state, event.html)
  const { id } = event
  if (!state.frames.some((frame) => frame.id === id)) return state
  if (event.kind === 'ready') {
    const frames = state.frames.map((frame) =>
      frame.id === id ? { ...frame, isReady: true } : frame,
    )
    return { ...state, frames }
  }
  const frames = state.frames.filter((frame) => frame.id === id || isSpare(frame))
  const next = { ...state, frames, shown: id }
  return event.keepsSpare && !frames.some(isSpare) ? add(next, undefined) : next
}
