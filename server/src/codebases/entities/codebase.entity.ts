import { Column, Entity, JoinColumn, OneToOne, PrimaryColumn } from 'typeorm'
import { ProjectEntity } from '../../projects/entities/project.entity'

/** The codebase whose components a project uses. */
@Entity('codebases')
export class CodebaseEntity {
  @PrimaryColumn({ type: 'varchar' })
  projectId: string

  @OneToOne(() => ProjectEntity, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'projectId', foreignKeyConstraintName: 'codebases_project' })
  project: ProjectEntity

  /** Its folder on this machine. */
  @Column({ type: 'text' })
  folder: string
}
