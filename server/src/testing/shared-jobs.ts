import { JobsService } from '../jobs/jobs.service'

/** Processes that all servers of a test file use, one after the other: starting them takes longer than what they do. */
export class SharedJobs extends JobsService {
  override async onApplicationShutdown(): Promise<void> {
    // The next server needs them.
  }

  end(): Promise<void> {
    return super.onApplicationShutdown()
  }
}
