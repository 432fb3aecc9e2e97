import { Global, Module } from '@nestjs/common'
import { TypeOrmModule } from '@nestjs/typeorm'
import { createDatabaseOptions } from './database'
import { WritesService } from './writes.service'

@Global()
@Module({})
export class DatabaseModule {
  /** The database in a file, or in memory. One that cannot be opened is not tried again. */
  static on(file: string) {
    return {
      module: DatabaseModule,
      imports: [TypeOrmModule.forRoot({ ...createDatabaseOptions(file), retryAttempts: 1 })],
      providers: [WritesService],
      exports: [WritesService],
    }
  }
}
