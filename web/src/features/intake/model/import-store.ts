import { create } from 'zustand'
import type { Note } from '@unimorph/core'
import { Cancelled, createEngine, type EngineClient } from '../../../engine/engine'
import { api, messageOf } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'

export type ImportState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'busy'; readonly step: string }
  | { readonly kind: 'failed'; readonly notes: readonly Note[] }

type ImportStore = {
  readonly state: ImportState
  /** Reads files into a new project. Resolves to its id, or to undefined when there is none. */
  importFiles(files: readonly File[]): Promise<string | undefined>
  cancel(): void
  close(): void
}

const engine: EngineClient = createEngine()

const projectName = (files: readonly File[], designName: string): string => {
  const stem = (files[0]?.name ?? '').replace(/\.[^.]+$/, '')
  const name = designName === 'Untitled' ? stem : designName
  return (name.charAt(0).toUpperCase() + name.slice(1)).slice(0, 200) || 'Untitled'
}

const problem = (message: string): Note => ({
  code: 'app/import',
  severity: 'error',
  message,
  where: {},
  help: '',
})

const megabytes = (files: readonly File[]): string =>
  `${(files.reduce((sum, f) => sum + f.size, 0) / 1_000_000).toFixed(1)} MB`

export const useImport = create<ImportStore>((set) => ({
  state: { kind: 'idle' },
  async importFiles(files) {
    if (files.length === 0) return undefined
    const count = files.length === 1 ? files[0]!.name : `${files.length} files`
    set({ state: { kind: 'busy', step: `Reading ${count}, ${megabytes(files)}` } })
    try {
      const inputs = await Promise.all(
        files.map(async (f) => ({ name: f.name, bytes: new Uint8Array(await f.arrayBuffer()) })),
      )
      const { design, notes } = await engine.call('intake', inputs)
      if (!design) {
        set({ state: { kind: 'failed', notes } })
        return undefined
      }
      set({ state: { kind: 'busy', step: 'Storing the project' } })
      const project = await api.createProject(projectName(files, design.name), design, notes)
      set({ state: { kind: 'idle' } })
      const unread = new Set(notes.filter((n) => n.severity === 'error').map((n) => n.where.file))
      if (unread.size > 0) showProblem(`${[...unread].join(', ')} could not be read; see Notes.`)
      return project.id
    } catch (error) {
      if (error instanceof Cancelled) set({ state: { kind: 'idle' } })
      else set({ state: { kind: 'failed', notes: [problem(messageOf(error))] } })
      return undefined
    }
  },
  cancel: () => engine.cancel(),
  close: () => set({ state: { kind: 'idle' } }),
}))
