import { Injectable } from '@nestjs/common'
import { DataSource } from 'typeorm'
import { WritesService } from '../database/writes.service'
import { ProjectEntity } from '../projects/entities/project.entity'
import { CodebaseEntity } from './entities/codebase.entity'

/** The only file that knows the table of codebases. */
@Injectable()
export class CodebasesRepository {
  constructor(
    private readonly source: DataSource,
    private readonly writes: WritesService,
  ) {}

  private get codebases() {
    return this.source.getRepository(CodebaseEntity)
  }

  async hasProject(id: string): Promise<boolean> {
    const project = await this.source.getRepository(ProjectEntity).findOneBy({ id })
    return project !== null && project.removedAt === null
  }

  find(projectId: string): Promise<CodebaseEntity | null> {
    return this.codebases.findOneBy({ projectId })
  }

  /** The folders of all projects, also of those in the bin. */
  async findFolders(): Promise<readonly string[]> {
    return (await this.codebases.find()).map(({ folder }) => folder)
  }

  save(projectId: string, folder: string): Promise<CodebaseEntity> {
    return this.writes.run((manager) =>
      manager.getRepository(CodebaseEntity).save({ projectId, folder }),
    )
  }

  async remove(projectId: string): Promise<void> {
    await this.writes.run((manager) => manager.getRepository(CodebaseEntity).delete({ projectId }))
  }
}
