import { fork } from 'node:child_process'
import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import type { PageRun } from './figures.js'
import type { Job } from './score-page.js'

const WORKER = fileURLToPath(new URL('./worker.js', import.meta.url))

/** Has all jobs done by as many processes as there are processors; the results come in the order of the jobs. */
export const shareOut = async (
  jobs: readonly Job[],
  args: readonly string[],
  onDone: (done: number) => void,
): Promise<readonly PageRun[]> => {
  const results = new Array<PageRun>(jobs.length)
  let next = 0
  let done = 0
  const work = (): Promise<void> =>
    new Promise((resolve, reject) => {
      const child = fork(WORKER, args)
      let current = -1
      child.on('message', (message: PageRun | 'ready') => {
        if (message !== 'ready') {
          results[current] = message
          onDone(++done)
        }
        current = next++
        child.send(jobs[current] ?? 'end')
      })
      child.on('error', reject)
      child.on('exit', (code) => {
        if (code === 0) resolve()
        else
          reject(
            new Error(`the scoring ended with ${code} at ${jobs[current]?.page ?? 'its start'}`),
          )
      })
    })
  await Promise.all(Array.from({ length: availableParallelism() }, work))
  return results
}
