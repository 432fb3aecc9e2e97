import { Column, Entity, PrimaryColumn } from 'typeorm'

/** A font file that was added, stored once by its content. */
@Entity('fonts')
export class FontEntity {
  /** SHA-256 of the bytes, in hex. */
  @PrimaryColumn({ type: 'text' })
  id: string

  @Column({ type: 'text' })
  fileName: string

  @Column({ type: 'text' })
  format: string

  /** JSON of what layout needs to know of it. */
  @Column({ type: 'text' })
  face: string

  @Column({ type: 'blob' })
  bytes: Buffer

  @Column({ type: 'integer' })
  createdAt: number
}
