import { Injectable } from '@nestjs/common'
import { DataSource } from 'typeorm'
import { WritesService } from '../database/writes.service'
import { ProjectEntity } from '../projects/entities/project.entity'
import { AnswerEntity } from './entities/answer.entity'

/** The only file that knows the table of answers. */
@Injectable()
export class AnswersRepository {
  constructor(
    private readonly source: DataSource,
    private readonly writes: WritesService,
  ) {}

  private get answers() {
    return this.source.getRepository(AnswerEntity)
  }

  async hasProject(id: string): Promise<boolean> {
    const project = await this.source.getRepository(ProjectEntity).findOneBy({ id })
    return project !== null && project.removedAt === null
  }

  count(projectId: string, form: string): Promise<number> {
    return this.answers.countBy({ projectId, form })
  }

  save(answer: Partial<AnswerEntity>): Promise<AnswerEntity> {
    return this.writes.run((manager) => manager.getRepository(AnswerEntity).save(answer))
  }

  list(projectId: string, form: string): Promise<AnswerEntity[]> {
    return this.answers.find({ where: { projectId, form }, order: { id: 'ASC' } })
  }

  async clear(projectId: string, form: string): Promise<void> {
    await this.writes.run((manager) =>
      manager.getRepository(AnswerEntity).delete({ projectId, form }),
    )
  }
}
