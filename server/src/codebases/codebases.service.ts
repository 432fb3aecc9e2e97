import { existsSync, readFileSync } from 'node:fs'
import { rm } from 'node:fs/promises'
import { dirname, join, resolve } from 'node:path'
import { Inject, Injectable, type OnApplicationBootstrap } from '@nestjs/common'
import { filter, map, type Observable } from 'rxjs'
import {
  EMPTY_GLOSSARY,
  GLOSSARY_FILE,
  packagesOf,
  readGlossary,
  writeGlossary,
  type Codebase,
  type Glossary,
} from '@unimorph/core'
import { storageProblem } from '../database/storage-error'
import { badInput, badRequest, notFound } from '../http/problem'
import { needVersion, versionOf } from '../http/version'
import { JobsService } from '../jobs/jobs.service'
import { ChangesService, type Changes } from './changes.service'
import { CodebasesRepository } from './codebases.repository'
import { CODEBASE_FOLDERS, isAllowed, listCodebases, type CodebaseFolders } from './folders'
import { removeUnused } from './unpack'

export type Choice = {
  readonly folder: string
  readonly name: string
  /** Whether it is one of the demo's. */
  readonly isDemo: boolean
}
export type ProjectCodebase = {
  readonly folder: string
  readonly codebase: Codebase
  readonly glossary: Glossary
  /** Goes with what changes the glossary. */
  readonly glossaryVersion: string
  /** Why the glossary's file cannot be read; it is then left as it is. */
  readonly problem?: string
}

export type SavedGlossary = { readonly glossary: Glossary; readonly version: string }

const readText = (path: string): string | undefined => {
  try {
    return readFileSync(path, 'utf8')
  } catch {
    return undefined
  }
}

/** Codebases are read, and nothing of them is run; of them only the glossary is written. */
@Injectable()
export class CodebasesService implements OnApplicationBootstrap {
  /** Glossaries as they were written here, by folder: no change that anybody has to be told. */
  private readonly written = new Map<string, string>()

  constructor(
    private readonly repository: CodebasesRepository,
    private readonly watched: ChangesService,
    private readonly jobs: JobsService,
    @Inject(CODEBASE_FOLDERS) private readonly folders: CodebaseFolders,
  ) {}

  async list(): Promise<readonly Choice[]> {
    const { nameOfFolder } = await import('@unimorph/codebase')
    const { demo } = this.folders
    return listCodebases(this.folders).map((folder) => ({
      folder,
      name: nameOfFolder(folder),
      isDemo: demo !== undefined && dirname(folder) === resolve(demo),
    }))
  }

  async choose(projectId: string, folder: string): Promise<ProjectCodebase> {
    await this.needProject(projectId)
    if (!isAllowed(folder, this.folders)) {
      throw badRequest(
        `${folder} may not be read. Start the server with --codebase ${folder} to allow it.`,
      )
    }
    await this.repository.save(projectId, folder)
    return this.scan(folder)
  }

  /** The codebase that was there before is replaced when all of the new one is on the disk, and not sooner. */
  async upload(projectId: string, data: string): Promise<ProjectCodebase> {
    await this.needProject(projectId)
    const before = await this.repository.find(projectId)
    const folder = await this.jobs.run('unpack', data, this.folders.uploads, projectId)
    await this.repository.save(projectId, folder)
    if (before && dirname(before.folder) === resolve(this.folders.uploads)) {
      await rm(before.folder, { recursive: true, force: true })
    }
    return this.scan(folder)
  }

  /** What an upload that was cut off has left. */
  async onApplicationBootstrap(): Promise<void> {
    const { uploads } = this.folders
    const used = await this.repository.findFolders()
    await removeUnused(uploads, new Set(used))
  }

  async remove(projectId: string): Promise<void> {
    await this.needProject(projectId)
    await this.repository.remove(projectId)
  }

  /** The folder of a project's codebase; undefined where it has none, or may not read it any more. */
  async folderOf(projectId: string): Promise<string | undefined> {
    const chosen = await this.repository.find(projectId)
    return chosen && isAllowed(chosen.folder, this.folders) ? chosen.folder : undefined
  }

  /** The codebase of a project, scanned; undefined where it has none. */
  async find(projectId: string): Promise<ProjectCodebase | undefined> {
    await this.needProject(projectId)
    const folder = await this.folderOf(projectId)
    return folder === undefined ? undefined : this.scan(folder)
  }

  /** What changes in the codebase of a project, but for what is written here. */
  async changes(projectId: string): Promise<Observable<Changes>> {
    await this.needProject(projectId)
    const folder = await this.folderOf(projectId)
    if (folder === undefined) throw notFound('codebase')
    const isOwn = (path: string): boolean =>
      path === GLOSSARY_FILE && this.written.get(folder) === readText(join(folder, path))
    // Nothing is told of what changed here alone; that nothing has changed yet is told, as the beginning.
    return this.watched.of(folder).pipe(
      filter((one) => 'problem' in one || one.paths.length === 0 || !one.paths.every(isOwn)),
      map((one) =>
        'problem' in one ? one : { ...one, paths: one.paths.filter((path) => !isOwn(path)) },
      ),
    )
  }

  private async scan(folder: string): Promise<ProjectCodebase> {
    const read = await this.readGlossary(folder)
    const codebase = await this.jobs.run('scanCodebase', folder, packagesOf(read.glossary))
    return { folder, codebase, ...read }
  }

  /** `wanted`: the version of the glossary that is changed; any when undefined. */
  async saveGlossary(
    projectId: string,
    document: unknown,
    wanted: string | undefined,
  ): Promise<SavedGlossary> {
    await this.needProject(projectId)
    const folder = await this.folderOf(projectId)
    if (folder === undefined) throw notFound('codebase')
    const read = readGlossary(document)
    if (!read.ok) throw badInput(read.notes)
    const { LeadsOutside, writeInside } = await import('@unimorph/codebase/folder')
    const { glossary, glossaryVersion, problem } = await this.readGlossary(folder)
    if (problem !== undefined)
      throw badRequest(`${problem} Mend the file first; nothing was written.`)
    needVersion(wanted, glossaryVersion, 'The glossary was', () => glossary)
    const text = writeGlossary(read.value)
    try {
      this.written.set(folder, text)
      writeInside(folder, GLOSSARY_FILE, text)
    } catch (error) {
      const why = error instanceof LeadsOutside ? `: ${error.message}` : '.'
      if (storageProblem(error)?.status === 507) throw error
      throw badRequest(`${join(folder, GLOSSARY_FILE)} cannot be written${why}`)
    }
    return { glossary: read.value, version: versionOf(text) }
  }

  private async readGlossary(
    folder: string,
  ): Promise<Pick<ProjectCodebase, 'glossary' | 'glossaryVersion' | 'problem'>> {
    const path = join(folder, GLOSSARY_FILE)
    const none = { glossary: EMPTY_GLOSSARY, glossaryVersion: versionOf('') }
    if (!existsSync(path)) return none
    const { readInside } = await import('@unimorph/codebase/folder')
    const text = readInside(folder, GLOSSARY_FILE)
    if (text === undefined)
      return {
        ...none,
        problem: `${path} cannot be read, or leads out of its folder.`,
      }
    try {
      const read = readGlossary(JSON.parse(text))
      if (read.ok) return { glossary: read.value, glossaryVersion: versionOf(text) }
      return { ...none, problem: read.notes[0]!.message }
    } catch {
      return { ...none, problem: `${path} is not valid JSON.` }
    }
  }

  private async needProject(id: string): Promise<void> {
    if (!(await this.repository.hasProject(id))) throw notFound('project')
  }
}
