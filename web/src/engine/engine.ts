import type { Engine, EngineAnswer, EngineCall, Progress } from './protocol'

type Waiting = { resolve(value: unknown): void; reject(error: Error): void }

/** Thrown to whoever waits for a call that was cancelled. */
export class Cancelled extends Error {}

export type EngineClient = {
  call<K extends keyof Engine>(
    method: K,
    ...args: Parameters<Engine[K]>
  ): Promise<ReturnType<Engine[K]>>
  /** Called while a call is under way. */
  onProgress(listener: (progress: Progress) => void): void
  /** Stops whatever is under way. The next call starts a fresh worker. */
  cancel(): void
}

/** The conversion engine in a worker of its own, so that nothing it does blocks typing or scrolling. */
export const createEngine = (): EngineClient => {
  let worker: Worker | undefined
  let nextId = 1
  let listener: (progress: Progress) => void = () => undefined
  const waiting = new Map<number, Waiting>()

  const failAll = (error: Error): void => {
    for (const { reject } of waiting.values()) reject(error)
    waiting.clear()
  }
  const start = (): Worker => {
    const started = new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' })
    started.onmessage = ({ data }: MessageEvent<EngineAnswer>) => {
      if (data.kind === 'progress') {
        listener(data.progress)
        return
      }
      const call = waiting.get(data.id)
      waiting.delete(data.id)
      if (data.kind === 'done') call?.resolve(data.value)
      else call?.reject(new Error(data.message))
    }
    started.onerror = (event) => {
      failAll(new Error(event.message || 'The converter stopped. Reload the page.'))
      started.terminate()
      worker = undefined
    }
    return started
  }
  return {
    call(method, ...args) {
      worker ??= start()
      const id = nextId++
      const call: EngineCall = { id, method, args }
      return new Promise((resolve, reject) => {
        waiting.set(id, { resolve: resolve as (value: unknown) => void, reject })
        worker!.postMessage(call)
      })
    },
    onProgress(next) {
      listener = next
    },
    cancel() {
      worker?.terminate()
      worker = undefined
      failAll(new Cancelled('cancelled'))
    },
  }
}
