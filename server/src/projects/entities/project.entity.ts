import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm'

@Entity('projects')
export class ProjectEntity {
  @PrimaryGeneratedColumn('uuid')
  id: string

  @Column({ type: 'text' })
  name: string

  /** JSON of the settings a person chose. */
  @Column({ type: 'text' })
  settings: string

  /** Milliseconds since 1970. */
  @Column({ type: 'integer' })
  createdAt: number

  @Column({ type: 'integer' })
  updatedAt: number

  /** Set while the project lies in the bin, from where it can be restored. */
  @Column({ type: 'integer', nullable: true })
  removedAt: number | null
}
