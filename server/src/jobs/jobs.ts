import type { Note } from '@unimorph/core'
import type { SourceFileDto } from '../previews/dto/bundle.dto'
import type { Bundle } from '../previews/bundler'
import type { RuntimeName } from '../previews/runtimes'

type Codebase = import('@unimorph/core', { with: { 'resolution-mode': 'import' } }).Codebase
type ScanCache = import('@unimorph/codebase', { with: { 'resolution-mode': 'import' } }).ScanCache

/** What a check says: the design as it is stored, or why it cannot be. */
export type CheckedDesign =
  | { readonly document: Record<string, unknown>; readonly screenCount: number }
  | { readonly notes: readonly Note[] }

/** Scans of so many codebases are kept, to read only what has changed the next time. */
const MOST_CACHES = 4
const caches = new Map<string, ScanCache>()

const cacheOf = async (folder: string): Promise<ScanCache> => {
  const { createCache } = await import('@unimorph/codebase')
  const cache = caches.get(folder) ?? createCache()
  // The one used last is the last to go.
  caches.delete(folder)
  caches.set(folder, cache)
  const [oldest] = caches.keys()
  if (caches.size > MOST_CACHES) caches.delete(oldest!)
  return cache
}

/**
 * What takes so long that everything else would wait for it: it runs in processes of its own, over plain data, and loads
 * what it needs when it is asked for the first time. Nothing of it knows the database.
 */
export const JOBS = {
  async checkDesign(document: unknown): Promise<CheckedDesign> {
    const { readDesign, writeDesign } = await import('@unimorph/core')
    const read = readDesign(document)
    if (!read.ok) return { notes: read.notes }
    const written = writeDesign(read.value) as Record<string, unknown>
    return { document: written, screenCount: read.value.screens.length }
  },

  /** The first screen as a drawing; a document that is no design any more has notes. */
  async drawThumbnail(document: unknown): Promise<string | { readonly notes: readonly Note[] }> {
    const { drawLayer, readDesign, resolveInstances } = await import('@unimorph/core')
    const read = readDesign(document)
    if (!read.ok) return { notes: read.notes }
    return drawLayer(resolveInstances(read.value)[0]!, { assets: read.value.assets })
  },

  /** From 0 to 100, the mean of the screens; nothing for a document that is no design any more. */
  async gradeDesign(document: unknown): Promise<number | undefined> {
    const { createTableMeasure, findAll, readDesign } = await import('@unimorph/core')
    const read = readDesign(document)
    if (!read.ok) return undefined
    const { grades } = findAll(read.value, createTableMeasure())
    const sum = grades.reduce((total, grade) => total + grade.points, 0)
    return Math.round((sum / Math.max(1, grades.length)) * 10) / 10
  },

  async bundleApp(files: readonly SourceFileDto[], codebase?: string): Promise<Bundle> {
    const { bundleApp } = await import('../previews/bundler.js')
    return bundleApp(files, codebase)
  },

  async runtimeScript(name: RuntimeName): Promise<string> {
    const { runtimeScript } = await import('../previews/runtimes.js')
    return runtimeScript(name)
  },

  /** Scans the codebase in a folder, and of its packages those in `packages`. */
  async scanCodebase(folder: string, packages: readonly string[]): Promise<Codebase> {
    const { scanCodebase, withPackages } = await import('@unimorph/codebase')
    const cache = await cacheOf(folder)
    return withPackages(await scanCodebase(folder, cache), folder, packages, cache)
  },

  async backUp(data: string, file: string): Promise<void> {
    const { backUp } = await import('../backups/back-up.js')
    await backUp(data, file)
  },

  /** Unpacks an archive, as base64; returns its folder. */
  async unpack(archive: string, uploads: string, project: string): Promise<string> {
    const { unpack } = await import('../codebases/unpack.js')
    return unpack(Buffer.from(archive, 'base64'), uploads, project)
  },
}

export type Jobs = typeof JOBS
export type JobName = keyof Jobs
