import { readFileSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { buildProject, convertFiles, writeFiles, type ConvertOptions } from '@unimorph/cli'
import type { EmittedFile, SettingsFile } from '@unimorph/core'
import { cached, hashOf, hashOfBuilt, hashOfTools, listFiles } from './cache.js'

const ROOT = resolve(import.meta.dirname, '../..')

/** The demo designs, by name. */
export const demo = (name: string): string => join(ROOT, 'demo/designs', name)

export type SiteOptions = Pick<ConvertOptions, 'styling' | 'units'> & {
  /** What a settings file would say. */
  readonly settings?: Partial<SettingsFile>
}

export type Site = {
  /** The project as it was delivered. */
  readonly project: string
  /** What its own tools built of it. */
  readonly site: string
}

let codeHash: string | undefined
let toolHash: string | undefined

const convertTo = async (
  folder: string,
  design: string,
  target: string,
  { settings = {}, ...options }: SiteOptions,
): Promise<readonly EmittedFile[]> => {
  const config = join(folder, 'unimorph.config.json')
  writeFileSync(config, JSON.stringify(settings))
  const made = await convertFiles([design], { ...options, target, config })
  if (made.ok) return made.files
  throw new Error(made.notes.map(({ message }) => message).join('\n'))
}

/**
 * A design as a delivered project: converted in this process, once for each state of the code. Returns the folder of the
 * project; nobody may write into it.
 */
export const project = async (
  design: string,
  target: string,
  options: SiteOptions = {},
): Promise<string> => {
  codeHash ??= hashOfBuilt('core', 'fonts', 'codebase', 'cli')
  const key = hashOf(codeHash, design, readFileSync(design), target, JSON.stringify(options))
  const folder = await cached(`project-${key}`, async (draft) => {
    const files = await convertTo(draft, design, target, options)
    writeFiles(join(draft, 'project'), files, { force: false })
  })
  return join(folder, 'project')
}

const hashOfFolder = (folder: string): string =>
  hashOf(...listFiles(folder).flatMap((path) => [path.slice(folder.length), readFileSync(path)]))

/**
 * The site that a delivered project's own tools build. The only place that builds delivered projects in the flows: once for
 * each content and each version of the tools.
 */
export const builtSite = async (folder: string): Promise<string> => {
  toolHash ??= hashOf(hashOfTools(), readFileSync(join(ROOT, 'cli/dist/build-command.js')))
  const key = hashOf(toolHash, hashOfFolder(folder))
  return cached(`site-${key}`, (draft) => buildProject(folder, draft))
}

/** A design as a delivered project, and the site that is built of it. */
export const site = async (
  design: string,
  target: string,
  options: SiteOptions = {},
): Promise<Site> => {
  const made = await project(design, target, options)
  return { project: made, site: await builtSite(made) }
}
