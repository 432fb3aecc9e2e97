import type { Converted, Drawn, Engine, LayerRow, Running } from '../engine/protocol'

type Call = { readonly method: string; readonly args: readonly unknown[] }
type Handler = (...args: never[]) => unknown

/** Takes the place of the worker: answers calls from a table, and remembers them. */
export const fakeEngine = {
  calls: [] as Call[],
  handlers: {} as Partial<Record<keyof Engine, Handler>>,
  cancelled: 0,
  reset(): void {
    fakeEngine.calls = []
    fakeEngine.handlers = {}
    fakeEngine.cancelled = 0
  },
  /** The arguments of all calls of one method, in their order. */
  argsOf: (method: keyof Engine): readonly (readonly unknown[])[] =>
    fakeEngine.calls.filter((call) => call.method === method).map(({ args }) => args),
}

/** What `engine/engine` exports, for `jest.mock`. */
export const engineModule = () => {
  class Cancelled extends Error {}
  return {
    Cancelled,
    createEngine: () => ({
      async call(method: keyof Engine, ...args: unknown[]) {
        fakeEngine.calls.push({ method, args })
        const handler = fakeEngine.handlers[method] as ((...all: unknown[]) => unknown) | undefined
        return handler?.(...args)
      },
      onProgress: () => undefined,
      cancel: () => void fakeEngine.cancelled++,
    }),
  }
}

export const row = (key: string, rest: Partial<LayerRow> = {}): LayerRow => ({
  key,
  name: key,
  type: 'frame',
  depth: 0,
  childCount: 0,
  screen: 'home',
  box: { x: 0, y: 0, width: 100, height: 40 },
  visible: true,
  editable: true,
  ...rest,
})

export const drawn = (rest: Partial<Drawn> = {}): Drawn => ({
  screens: [{ key: 'home', name: 'Home', width: 400, height: 300, sheets: [] }],
  layers: [row('home', { childCount: 1 }), row('title', { type: 'text', depth: 1 })],
  behaviour: {},
  forms: {},
  ...rest,
})

export const running = (rest: Partial<Running> = {}): Running => ({
  target: 'html',
  files: [],
  pages: {},
  components: [],
  css: '',
  ...rest,
})

export const converted = (rest: Partial<Converted> = {}): Converted => ({
  target: 'html',
  files: [],
  origins: {},
  pages: {},
  forms: [],
  flow: [],
  parts: [],
  detached: [],
  refused: [],
  slots: [],
  components: [],
  language: 'en',
  notes: [],
  faults: [],
  alone: running(),
  elapsedMs: 5,
  ...rest,
})
