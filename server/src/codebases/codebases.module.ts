import { Module, type DynamicModule } from '@nestjs/common'
import { ChangesService } from './changes.service'
import { CodebasesController } from './codebases.controller'
import { CodebasesRepository } from './codebases.repository'
import { CodebasesService } from './codebases.service'
import { CODEBASE_FOLDERS, type CodebaseFolders } from './folders'

@Module({})
export class CodebasesModule {
  static on(folders: CodebaseFolders): DynamicModule {
    return {
      module: CodebasesModule,
      controllers: [CodebasesController],
      providers: [
        ChangesService,
        CodebasesRepository,
        CodebasesService,
        { provide: CODEBASE_FOLDERS, useValue: folders },
      ],
      exports: [CodebasesService],
    }
  }
}
