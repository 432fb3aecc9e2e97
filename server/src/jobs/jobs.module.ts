import { Global, Module } from '@nestjs/common'
import { JobsService } from './jobs.service'

@Global()
@Module({})
export class JobsModule {
  static with(jobs: JobsService) {
    return {
      module: JobsModule,
      providers: [{ provide: JobsService, useValue: jobs }],
      exports: [JobsService],
    }
  }
}
