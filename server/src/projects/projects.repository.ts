import { createHash } from 'node:crypto'
import { Injectable } from '@nestjs/common'
import {
  DataSource,
  In,
  IsNull,
  LessThan,
  Not,
  type EntityManager,
  type FindOptionsWhere,
} from 'typeorm'
import type { Asset } from '@unimorph/core'
import { WritesService } from '../database/writes.service'
import { AssetEntity } from './entities/asset.entity'
import { EditEntity } from './entities/edit.entity'
import { EditionEntity } from './entities/edition.entity'
import { ProjectEntity } from './entities/project.entity'

/** A picture of a stored design: where its bytes are. */
type StoredAsset = Omit<Asset, 'data'> & { hash: string }

/** An edition names its pictures in its document. */
const DELETE_UNUSED_ASSETS = `
  DELETE FROM assets WHERE hash NOT IN (
    SELECT json_extract(asset.value, '$.hash')
    FROM editions, json_each(editions.document, '$.assets') AS asset
  )`

/** The only file that knows the tables. */
@Injectable()
export class ProjectsRepository {
  constructor(
    private readonly source: DataSource,
    private readonly writes: WritesService,
  ) {}

  /** Runs everything in `work`, or nothing of it. */
  inTransaction<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.writes.run(work)
  }

  findProjects(): Promise<ProjectEntity[]> {
    return this.source
      .getRepository(ProjectEntity)
      .find({ where: { removedAt: IsNull() }, order: { updatedAt: 'DESC', id: 'ASC' } })
  }

  findProject(id: string, manager?: EntityManager): Promise<ProjectEntity | null> {
    return (manager ?? this.source.manager).getRepository(ProjectEntity).findOneBy({ id })
  }

  /** Whether there ever was a project, also one in the bin. */
  async hasAny(): Promise<boolean> {
    return (await this.source.getRepository(ProjectEntity).count()) > 0
  }

  /** Adds a project. */
  addProject(project: Partial<ProjectEntity>, manager: EntityManager): Promise<ProjectEntity> {
    const repository = manager.getRepository(ProjectEntity)
    return repository.save(repository.create(project))
  }

  /** Changes these fields of a project, and no other: somebody else may be changing those. */
  async changeProject(
    id: string,
    changes: Partial<Omit<ProjectEntity, 'id'>>,
    manager?: EntityManager,
  ): Promise<void> {
    const change = async (within: EntityManager): Promise<void> => {
      await within.getRepository(ProjectEntity).update({ id }, changes)
    }
    await (manager ? change(manager) : this.writes.run(change))
  }

  findEditions(
    projectId: string,
  ): Promise<Pick<EditionEntity, 'id' | 'number' | 'screenCount' | 'createdAt'>[]> {
    return this.source.getRepository(EditionEntity).find({
      select: { id: true, number: true, screenCount: true, createdAt: true },
      where: { projectId },
      order: { number: 'ASC' },
    })
  }

  findLatestEdition(projectId: string, manager?: EntityManager): Promise<EditionEntity | null> {
    return (manager ?? this.source.manager)
      .getRepository(EditionEntity)
      .findOne({ where: { projectId }, order: { number: 'DESC' } })
  }

  findEdition(projectId: string, number: number): Promise<EditionEntity | null> {
    return this.source.getRepository(EditionEntity).findOneBy({ projectId, number })
  }

  saveEdition(edition: Partial<EditionEntity>, manager: EntityManager): Promise<EditionEntity> {
    const repository = manager.getRepository(EditionEntity)
    return repository.save(repository.create(edition))
  }

  findEdits(projectId: string): Promise<EditEntity[]> {
    return this.source
      .getRepository(EditEntity)
      .find({ where: { projectId }, order: { id: 'ASC' } })
  }

  saveEdit(edit: Partial<EditEntity>, manager: EntityManager): Promise<EditEntity> {
    const repository = manager.getRepository(EditEntity)
    return repository.save(repository.create(edit))
  }

  async deleteEdit(projectId: string, id: number, manager: EntityManager): Promise<boolean> {
    const { affected } = await manager.getRepository(EditEntity).delete({ id, projectId })
    return (affected ?? 0) > 0
  }

  /** Stores the pictures of a design by content and returns the design's JSON without their bytes. */
  async storeDocument(document: Record<string, unknown>, manager: EntityManager): Promise<string> {
    const assets = (document['assets'] ?? {}) as Record<string, Asset>
    const stored: Record<string, StoredAsset> = {}
    const repository = manager.getRepository(AssetEntity)
    for (const [id, { data, ...asset }] of Object.entries(assets)) {
      const bytes = Buffer.from(data, 'base64')
      const hash = createHash('sha256').update(bytes).digest('hex')
      if (!(await repository.existsBy({ hash }))) {
        await repository.insert({ hash, mime: asset.mime, bytes })
      }
      stored[id] = { ...asset, hash }
    }
    return JSON.stringify({ ...document, assets: stored })
  }

  /** The design as it was stored, with the bytes of its pictures. */
  async loadDocument(json: string): Promise<Record<string, unknown>> {
    const document = JSON.parse(json) as { assets: Record<string, StoredAsset> }
    const hashes = Object.values(document.assets).map((asset) => asset.hash)
    const found = await this.source.getRepository(AssetEntity).findBy({ hash: In(hashes) })
    const bytes = new Map(found.map((asset) => [asset.hash, asset.bytes]))
    const assets: Record<string, Asset> = {}
    for (const [id, { hash, ...asset }] of Object.entries(document.assets)) {
      assets[id] = { ...asset, data: (bytes.get(hash) ?? Buffer.alloc(0)).toString('base64') }
    }
    return { ...document, assets }
  }

  /** What lies in the bin, the last that was put there first. */
  findRemoved(): Promise<ProjectEntity[]> {
    return this.source
      .getRepository(ProjectEntity)
      .find({ where: { removedAt: Not(IsNull()) }, order: { removedAt: 'DESC', id: 'ASC' } })
  }

  /** Deletes for good what was put into the bin before `time`. */
  async purge(time: number): Promise<void> {
    await this.delete({ removedAt: LessThan(time) })
  }

  /** Deletes one project for good, which must lie in the bin; whether it did. */
  async deleteRemoved(id: string): Promise<boolean> {
    return this.delete({ id, removedAt: Not(IsNull()) })
  }

  /** Deletes projects, with the pictures that no other has. */
  private delete(which: FindOptionsWhere<ProjectEntity>): Promise<boolean> {
    return this.writes.run(async (manager) => {
      const { affected } = await manager.getRepository(ProjectEntity).delete(which)
      if (!affected) return false
      await manager.query(DELETE_UNUSED_ASSETS)
      return true
    })
  }
}
