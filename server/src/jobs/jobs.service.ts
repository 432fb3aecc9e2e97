import { resolve } from 'node:path'
import {
  Injectable,
  Logger,
  ServiceUnavailableException,
  UnprocessableEntityException,
  type OnApplicationShutdown,
} from '@nestjs/common'
import { pool, Promise as PoolPromise, TerminateError } from 'workerpool'
import type { JobName, Jobs } from './jobs'
import { valueOf, type JobOutcome } from './outcome'

/** The same file for the server that is built and for tests of its sources: processes run what is built. */
const SCRIPT = resolve(__dirname, '../../dist/jobs/worker.js')
const MOST_AT_ONCE = 2
const MOST_WAITING = 200
/** So many characters of what a process said before its end go to the log. */
const MOST_SAID = 4000
/** Memory of a process for its data, in MB. */
export const MEMORY_MB = 1024

/** What a job does, as a person would say, and after how many seconds it is stopped. */
const LIMITS: Readonly<Record<JobName, { readonly what: string; readonly seconds: number }>> = {
  checkDesign: { what: 'Checking the design', seconds: 60 },
  drawThumbnail: { what: 'Drawing the first screen', seconds: 20 },
  gradeDesign: { what: 'Grading the edition', seconds: 60 },
  bundleApp: { what: 'Building the preview', seconds: 120 },
  runtimeScript: { what: 'Building what the preview runs on', seconds: 60 },
  scanCodebase: { what: 'Scanning the codebase', seconds: 180 },
  backUp: { what: 'Writing the backup', seconds: 1800 },
  unpack: { what: 'Unpacking the archive', seconds: 180 },
}

export type JobSettings = {
  readonly script?: string
  readonly memoryMb?: number
  readonly limits?: Partial<typeof LIMITS>
}

/**
 * Heavy work, in at most two processes at once and with limits of time and memory: what is too much for them is ended, and
 * said to the one who asked; everything else is answered meanwhile.
 */
@Injectable()
export class JobsService implements OnApplicationShutdown {
  private readonly log = new Logger('Jobs')
  private readonly workers
  private readonly limits

  constructor({ script = SCRIPT, memoryMb = MEMORY_MB, limits }: JobSettings = {}) {
    this.limits = { ...LIMITS, ...limits }
    this.workers = pool(script, {
      workerType: 'process',
      maxWorkers: MOST_AT_ONCE,
      maxQueueSize: MOST_WAITING,
      // A process that is stuck does not clean up.
      workerTerminateTimeout: 100,
      emitStdStreams: true,
      forkOpts: {
        // Documents pass without being written as JSON.
        serialization: 'advanced',
        execArgv: [`--max-old-space-size=${String(memoryMb)}`],
      },
    })
  }

  /** Has one process ready, so that the first who asks does not wait for it; that it cannot be started, the first job says. */
  async warm(): Promise<void> {
    await Promise.resolve(this.workers.exec('methods')).catch(() => undefined)
  }

  /** Throws what the job throws, and UnprocessableEntityException where it was too much for its limits. */
  async run<N extends JobName>(
    name: N,
    ...args: Parameters<Jobs[N]>
  ): Promise<Awaited<ReturnType<Jobs[N]>>> {
    return valueOf(await this.within(name, args))
  }

  private async within<N extends JobName>(
    name: N,
    args: unknown[],
  ): Promise<JobOutcome<Awaited<ReturnType<Jobs[N]>>>> {
    const { what, seconds } = this.limits[name]
    let said = ''
    const listen = ({ stderr = '' }: { readonly stderr?: string }): void => {
      said = (said + stderr).slice(-MOST_SAID)
    }
    try {
      const running = this.workers.exec(name, args, { on: listen }).timeout(seconds * 1000)
      return (await running) as JobOutcome<Awaited<ReturnType<Jobs[N]>>>
    } catch (error) {
      if (error instanceof PoolPromise.TimeoutError)
        throw new UnprocessableEntityException(
          `${what} took longer than ${String(seconds)} s and was stopped. Nothing was changed.`,
        )
      if (error instanceof TerminateError) {
        this.log.error(`${what} ended its process. ${said}`)
        throw new UnprocessableEntityException(
          `${what} needed more memory than it may have, or failed, and was ended. Nothing was changed.`,
        )
      }
      if ((error as Error).message.startsWith('Max queue size'))
        throw new ServiceUnavailableException(
          'The server has too much to do. Wait a moment, then try again.',
        )
      throw error
    }
  }

  async onApplicationShutdown(): Promise<void> {
    await this.workers.terminate(true)
  }
}
