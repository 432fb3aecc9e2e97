import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { readFiles } from '@unimorph/core'
import type { ProjectsService } from '../projects/projects.service'

/** Puts the demo designs on an empty shelf. */
export const loadDemo = async (projects: ProjectsService, folder: string): Promise<void> => {
  if (await projects.hasAny()) return
  for (const name of readdirSync(folder).sort()) {
    const { design, notes } = readFiles([{ name, bytes: readFileSync(join(folder, name)) }])
    if (!design)
      throw new Error(`the demo design ${name} cannot be read: ${notes[0]?.message ?? ''}`)
    await projects.create({
      name: design.name.replace(/^./, (c) => c.toUpperCase()),
      design: design as unknown as Record<string, unknown>,
      notes: notes as unknown as Record<string, unknown>[],
    })
  }
}
