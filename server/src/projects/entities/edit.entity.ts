import { Column, Entity, JoinColumn, ManyToOne, PrimaryGeneratedColumn } from 'typeorm'
import { ProjectEntity } from './project.entity'

/** One change a person made. Undo removes it; the ids give the order. */
@Entity('edits')
export class EditEntity {
  @PrimaryGeneratedColumn('increment')
  id: number

  @Column({ type: 'varchar' })
  projectId: string

  @ManyToOne(() => ProjectEntity, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'projectId', foreignKeyConstraintName: 'edits_project' })
  project: ProjectEntity

  @Column({ type: 'text' })
  document: string

  @Column({ type: 'integer' })
  createdAt: number
}
