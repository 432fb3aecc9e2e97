import { Injectable } from '@nestjs/common'
import { DataSource } from 'typeorm'
import { WritesService } from '../database/writes.service'
import { FontEntity } from './entities/font.entity'

@Injectable()
export class FontsRepository {
  constructor(
    private readonly source: DataSource,
    private readonly writes: WritesService,
  ) {}

  private get fonts() {
    return this.source.getRepository(FontEntity)
  }

  /** Without their bytes. */
  findAll(): Promise<Pick<FontEntity, 'id' | 'fileName' | 'format' | 'face'>[]> {
    return this.fonts.find({
      select: { id: true, fileName: true, format: true, face: true },
      order: { createdAt: 'ASC', id: 'ASC' },
    })
  }

  find(id: string): Promise<FontEntity | null> {
    return this.fonts.findOneBy({ id })
  }

  save(font: FontEntity): Promise<FontEntity> {
    return this.writes.run((manager) => manager.getRepository(FontEntity).save(font))
  }

  async delete(id: string): Promise<boolean> {
    const { affected } = await this.writes.run((manager) =>
      manager.getRepository(FontEntity).delete({ id }),
    )
    return (affected ?? 0) > 0
  }
}
