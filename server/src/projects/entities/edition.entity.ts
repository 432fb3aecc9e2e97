import { Column, Entity, JoinColumn, ManyToOne, PrimaryGeneratedColumn, Unique } from 'typeorm'
import { ProjectEntity } from './project.entity'

/** One imported design. Never changed after it was stored. */
@Entity('editions')
@Unique('editions_number', ['projectId', 'number'])
export class EditionEntity {
  @PrimaryGeneratedColumn('uuid')
  id: string

  @Column({ type: 'varchar' })
  projectId: string

  @ManyToOne(() => ProjectEntity, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'projectId', foreignKeyConstraintName: 'editions_project' })
  project: ProjectEntity

  /** Counts from 1 within the project. */
  @Column({ type: 'integer' })
  number: number

  /** JSON of the design; the bytes of its pictures are in `assets`. */
  @Column({ type: 'text' })
  document: string

  /** JSON of what was noted when the files were read. */
  @Column({ type: 'text' })
  notes: string

  @Column({ type: 'integer' })
  screenCount: number

  @Column({ type: 'integer' })
  createdAt: number
}
