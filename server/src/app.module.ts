import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { Module, type DynamicModule } from '@nestjs/common'
import { ServeStaticModule } from '@nestjs/serve-static'
import { AnswersModule } from './answers/answers.module'
import { CodebasesModule } from './codebases/codebases.module'
import type { CodebaseFolders } from './codebases/folders'
import { DatabaseModule } from './database/database.module'
import { JobsModule } from './jobs/jobs.module'
import type { JobsService } from './jobs/jobs.service'
import { FontsModule } from './fonts/fonts.module'
import { PreviewsController } from './previews/previews.controller'
import { ProjectsModule } from './projects/projects.module'

const WEB = resolve(__dirname, '../../web/dist')

@Module({})
export class AppModule {
  /** The whole server on a database file; the interface is served where it was built. */
  static on(database: string, codebases: CodebaseFolders, jobs: JobsService): DynamicModule {
    const site = existsSync(join(WEB, 'index.html'))
      ? [ServeStaticModule.forRoot({ rootPath: WEB, exclude: ['/api/{*rest}', '/preview'] })]
      : []
    return {
      module: AppModule,
      imports: [
        DatabaseModule.on(database),
        JobsModule.with(jobs),
        AnswersModule,
        CodebasesModule.on(codebases),
        FontsModule,
        ProjectsModule,
        ...site,
      ],
      controllers: [PreviewsController],
    }
  }
}
