import { Column, Entity, PrimaryColumn } from 'typeorm'

/** A picture, stored once by its content. */
@Entity('assets')
export class AssetEntity {
  /** SHA-256 of the bytes, in hex. */
  @PrimaryColumn({ type: 'text' })
  hash: string

  @Column({ type: 'text' })
  mime: string

  @Column({ type: 'blob' })
  bytes: Buffer
}
