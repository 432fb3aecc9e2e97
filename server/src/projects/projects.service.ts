import { Injectable } from '@nestjs/common'
import { editSchema, notes, type Note } from '@unimorph/core'
import type { EntityManager } from 'typeorm'
import { badInput, notFound } from '../http/problem'
import { needVersion, versionOf } from '../http/version'
import type { CheckedDesign } from '../jobs/jobs'
import { JobsService } from '../jobs/jobs.service'
import type { CreateEditionDto, CreateProjectDto, SettingsDto } from './dto/requests'
import type { ProjectEntity } from './entities/project.entity'
import { GradeBook, type EditionGrade } from './grades'
import { ProjectsRepository } from './projects.repository'

export type ProjectSummary = {
  id: string
  name: string
  createdAt: number
  updatedAt: number
  screenCount: number
  edition: number
}
/** A project in the bin: when it was put there, and when it goes for good; in ms since 1970. */
export type RemovedProject = { id: string; name: string; removedAt: number; goneAt: number }
export type StoredEdit = { id: number; edit: unknown }
/** What is worked on of a project; the version of its settings goes with what changes them. */
export type ProjectState = ProjectSummary & {
  edits: StoredEdit[]
  settings: unknown
  settingsVersion: string
}
export type ProjectDetail = ProjectState & { design: unknown; notes: unknown }
export type SavedSettings = { settings: SettingsDto; version: string }

type Accepted = Exclude<CheckedDesign, { notes: unknown }>

const DEFAULT_SETTINGS: SettingsDto = { target: 'html', styling: 'tailwind' }
/** So many editions show where things are going. */
const MOST_GRADED = 12
const BIN_MS = 30 * 24 * 60 * 60 * 1000

/** Loads, calls `core`, saves; each change is one transaction, done before it is answered. */
@Injectable()
export class ProjectsService {
  private readonly grades = new GradeBook()

  constructor(
    private readonly repository: ProjectsRepository,
    private readonly jobs: JobsService,
  ) {}

  async list(): Promise<ProjectSummary[]> {
    const projects = await this.repository.findProjects()
    return Promise.all(projects.map((project) => this.summarise(project)))
  }

  async get(id: string): Promise<ProjectDetail> {
    const project = await this.find(id)
    const edition = await this.repository.findLatestEdition(id)
    if (!edition) throw notFound('edition')
    return {
      ...(await this.stateOf(project)),
      design: await this.repository.loadDocument(edition.document),
      notes: JSON.parse(edition.notes),
    }
  }

  /** What may have been changed elsewhere, without the design. */
  async getState(id: string): Promise<ProjectState> {
    return this.stateOf(await this.find(id))
  }

  async create({ name, design, notes }: CreateProjectDto): Promise<ProjectSummary> {
    const checked = await this.check(design)
    const now = Date.now()
    const project = await this.repository.inTransaction(async (manager) => {
      const saved = await this.repository.addProject(
        { name, settings: JSON.stringify(DEFAULT_SETTINGS), createdAt: now, updatedAt: now },
        manager,
      )
      await this.addEdition(saved.id, 1, checked, notes ?? [], manager)
      return saved
    })
    return this.summarise(project)
  }

  async rename(id: string, name: string): Promise<ProjectSummary> {
    await this.find(id)
    await this.repository.changeProject(id, { name, updatedAt: Date.now() })
    return this.summarise(await this.find(id))
  }

  async duplicate(id: string): Promise<ProjectSummary> {
    const project = await this.find(id)
    const edition = await this.repository.findLatestEdition(id)
    const edits = await this.repository.findEdits(id)
    const now = Date.now()
    const copy = await this.repository.inTransaction(async (manager) => {
      const { settings } = project
      const name = `${project.name} copy`
      const saved = await this.repository.addProject(
        { name, settings, createdAt: now, updatedAt: now },
        manager,
      )
      if (edition) {
        const { document, notes, screenCount } = edition
        const fields = { document, notes, screenCount, createdAt: now }
        await this.repository.saveEdition({ ...fields, projectId: saved.id, number: 1 }, manager)
      }
      for (const { document } of edits) {
        await this.repository.saveEdit({ projectId: saved.id, document, createdAt: now }, manager)
      }
      return saved
    })
    return this.summarise(copy)
  }

  async remove(id: string): Promise<void> {
    await this.find(id)
    await this.repository.changeProject(id, { removedAt: Date.now() })
  }

  async restore(id: string): Promise<ProjectSummary> {
    await this.repository.changeProject(id, { removedAt: null })
    return this.summarise(await this.find(id))
  }

  async listEditions(id: string) {
    await this.find(id)
    return this.repository.findEditions(id)
  }

  /** Of the newest editions only: each is looked through in full. */
  async gradeEditions(id: string): Promise<EditionGrade[]> {
    await this.find(id)
    const editions = (await this.repository.findEditions(id)).slice(-MOST_GRADED)
    const grades: EditionGrade[] = []
    for (const { number } of editions) {
      const points = await this.grades.gradeOf(`${id} ${number}`, async () => {
        const edition = await this.repository.findEdition(id, number)
        const stored = edition && (await this.repository.loadDocument(edition.document))
        return stored ? this.jobs.run('gradeDesign', stored) : undefined
      })
      if (points !== undefined) grades.push({ edition: number, points })
    }
    return grades
  }

  async createEdition(id: string, { design, notes }: CreateEditionDto): Promise<ProjectSummary> {
    await this.find(id)
    const checked = await this.check(design)
    await this.repository.inTransaction(async (manager) => {
      await this.touch(id, manager)
      const latest = await this.repository.findLatestEdition(id, manager)
      await this.addEdition(id, (latest?.number ?? 0) + 1, checked, notes ?? [], manager)
    })
    return this.summarise(await this.find(id))
  }

  async addEdit(id: string, edit: unknown): Promise<StoredEdit> {
    await this.find(id)
    const parsed = editSchema.safeParse(edit)
    if (!parsed.success) {
      const issue = parsed.error.issues[0]
      throw badInput([notes.editInvalid(issue?.path.join('.') ?? '', issue?.message ?? '')])
    }
    const saved = await this.repository.inTransaction(async (manager) => {
      const document = JSON.stringify(parsed.data)
      await this.touch(id, manager)
      return this.repository.saveEdit({ projectId: id, document, createdAt: Date.now() }, manager)
    })
    return { id: saved.id, edit: parsed.data }
  }

  async removeEdit(id: string, editId: number): Promise<void> {
    await this.find(id)
    const done = await this.repository.inTransaction(async (manager) => {
      await this.touch(id, manager)
      return this.repository.deleteEdit(id, editId, manager)
    })
    if (!done) throw notFound('edit')
  }

  /** `wanted`: the version of the settings that are changed; any when undefined. */
  async changeSettings(
    id: string,
    settings: SettingsDto,
    wanted: string | undefined,
  ): Promise<SavedSettings> {
    const json = JSON.stringify(settings)
    await this.repository.inTransaction(async (manager) => {
      const project = await this.find(id, manager)
      needVersion(wanted, versionOf(project.settings), 'The settings were', () =>
        JSON.parse(project.settings),
      )
      await this.repository.changeProject(id, { settings: json, updatedAt: Date.now() }, manager)
    })
    return { settings, version: versionOf(json) }
  }

  /** The first screen as a drawing, for the shelf. */
  async drawThumbnail(id: string): Promise<string> {
    const edition = await this.repository.findLatestEdition(id)
    if (!edition) throw notFound('project')
    const document = await this.repository.loadDocument(edition.document)
    const drawn = await this.jobs.run('drawThumbnail', document)
    if (typeof drawn !== 'string') throw badInput(drawn.notes)
    return drawn
  }

  hasAny(): Promise<boolean> {
    return this.repository.hasAny()
  }

  /** What lies in the bin, the last that was put there first. */
  async listRemoved(): Promise<RemovedProject[]> {
    const removed = await this.repository.findRemoved()
    return removed.map(({ id, name, removedAt }) => ({
      id,
      name,
      removedAt: removedAt!,
      goneAt: removedAt! + BIN_MS,
    }))
  }

  /** Deletes a project in the bin for good. */
  async deleteForGood(id: string): Promise<void> {
    if (!(await this.repository.deleteRemoved(id))) throw notFound('project in the bin')
  }

  /** Empties the bin of what has lain there for a month. */
  purge(): Promise<void> {
    return this.repository.purge(Date.now() - BIN_MS)
  }

  /** Notes that a project was changed, within what changes it; it may have been removed since that was asked for. */
  private async touch(id: string, manager: EntityManager): Promise<void> {
    await this.find(id, manager)
    await this.repository.changeProject(id, { updatedAt: Date.now() }, manager)
  }

  private async stateOf(project: ProjectEntity): Promise<ProjectState> {
    const edits = await this.repository.findEdits(project.id)
    return {
      ...(await this.summarise(project)),
      edits: edits.map(({ id, document }) => ({ id, edit: JSON.parse(document) as unknown })),
      settings: JSON.parse(project.settings),
      settingsVersion: versionOf(project.settings),
    }
  }

  private async find(id: string, manager?: EntityManager): Promise<ProjectEntity> {
    const project = await this.repository.findProject(id, manager)
    if (!project || project.removedAt !== null) throw notFound('project')
    return project
  }

  private async check(design: unknown): Promise<Accepted> {
    const checked = await this.jobs.run('checkDesign', design)
    if ('notes' in checked) throw badInput(checked.notes)
    return checked
  }

  private async addEdition(
    projectId: string,
    number: number,
    { document: checked, screenCount }: Accepted,
    notes: readonly (Note | Record<string, unknown>)[],
    manager: EntityManager,
  ): Promise<void> {
    const document = await this.repository.storeDocument({ assets: {}, ...checked }, manager)
    const edition = { projectId, number, document, notes: JSON.stringify(notes), screenCount }
    await this.repository.saveEdition({ ...edition, createdAt: Date.now() }, manager)
  }

  private async summarise(project: ProjectEntity): Promise<ProjectSummary> {
    const editions = await this.repository.findEditions(project.id)
    const latest = editions.at(-1)
    const { id, name, createdAt, updatedAt } = project
    return {
      id,
      name,
      createdAt,
      updatedAt,
      screenCount: latest?.screenCount ?? 0,
      edition: latest?.number ?? 0,
    }
  }
}
