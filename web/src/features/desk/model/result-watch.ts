/** Long enough for a pane to have heard of a new result. */
const HEARD_MS = 60

const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms))

/** What a pane shows: the newest result, or one before it. */
export type Shows = 'newest' | 'older'

/** Tells when a new result is seen, to work that would hold that up. */
export type ResultWatch = {
  /** The pane says what it shows; undefined when it goes. */
  say(shows: Shows | undefined): void
  /** Waits until the newest result is seen, but no longer than this; not at all where there is no pane. */
  seen(mostMs: number): Promise<void>
}

export const createResultWatch = (): ResultWatch => {
  let shows: Shows | undefined
  let waiting: (() => void)[] = []
  return {
    say(now) {
      shows = now
      if (now === 'older') return
      for (const go of waiting) go()
      waiting = []
    },
    async seen(mostMs) {
      if (shows === undefined) return
      await pause(HEARD_MS)
      if (shows !== 'older') return
      await Promise.race([new Promise<void>((go) => waiting.push(go)), pause(mostMs)])
    },
  }
}

/** Of the result on the stage. */
export const resultWatch = createResultWatch()
