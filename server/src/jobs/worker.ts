import { worker } from 'workerpool'
import { JOBS, type JobName } from './jobs'
import { outcomeOf } from './outcome'

// What a process runs that does the server's heavy work.
worker(
  Object.fromEntries(
    Object.entries(JOBS).map(([name, job]) => [
      name satisfies string as JobName,
      (...args: unknown[]) =>
        outcomeOf(() => (job as (...args: unknown[]) => Promise<unknown>)(...args)),
    ]),
  ),
)
