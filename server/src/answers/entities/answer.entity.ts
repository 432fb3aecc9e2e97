import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryGeneratedColumn } from 'typeorm'
import { ProjectEntity } from '../../projects/entities/project.entity'

/** What somebody filled into a form of the running result. The ids give the order. */
@Entity('answers')
@Index('answers_of_form', ['projectId', 'form'])
export class AnswerEntity {
  @PrimaryGeneratedColumn('increment')
  id: number

  @Column({ type: 'varchar' })
  projectId: string

  @ManyToOne(() => ProjectEntity, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'projectId', foreignKeyConstraintName: 'answers_project' })
  project: ProjectEntity

  /** The id of the form in the delivered pages. */
  @Column({ type: 'text' })
  form: string

  /** JSON of the answers by the names of their fields. */
  @Column({ type: 'text' })
  document: string

  /** Milliseconds since 1970. */
  @Column({ type: 'integer' })
  createdAt: number
}
