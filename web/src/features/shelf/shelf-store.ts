import { create } from 'zustand'
import { api, messageOf, type Project, type RemovedProject } from '../../shared/lib/api'
import { showProblem, useToasts } from '../../shared/lib/toast-store'

type ShelfStore = {
  readonly projects: readonly Project[] | undefined
  readonly problem: string | undefined
  /** What lies in the bin; undefined until it is asked for. */
  readonly bin: readonly RemovedProject[] | undefined
  load(): Promise<void>
  rename(id: string, name: string): Promise<void>
  duplicate(id: string): Promise<void>
  remove(project: Project): Promise<void>
  loadBin(): Promise<void>
  restore(id: string): Promise<void>
  deleteForGood(id: string): Promise<void>
}

export const useShelf = create<ShelfStore>((set, get) => {
  /** Does something to the shelf, then shows it as the server has it. */
  const change = async (work: () => Promise<unknown>): Promise<void> => {
    try {
      await work()
    } catch (error) {
      showProblem(messageOf(error))
    }
    await get().load()
  }
  return {
    projects: undefined,
    problem: undefined,
    bin: undefined,
    async load() {
      try {
        set({ projects: await api.listProjects(), problem: undefined })
      } catch (error) {
        set({ problem: messageOf(error) })
      }
    },
    async loadBin() {
      try {
        set({ bin: await api.listBin() })
      } catch (error) {
        showProblem(messageOf(error))
      }
    },
    restore: (id) => change(() => api.restoreProject(id)).then(get().loadBin),
    deleteForGood: (id) => change(() => api.deleteForGood(id)).then(get().loadBin),
    rename: (id, name) => change(() => api.renameProject(id, name)),
    duplicate: (id) => change(() => api.duplicateProject(id)),
    remove: (project) =>
      change(async () => {
        await api.removeProject(project.id)
        useToasts.getState().show({
          text: `${project.name} was removed.`,
          tone: 'plain',
          action: {
            label: 'Undo',
            run: () => void change(() => api.restoreProject(project.id)),
          },
        })
      }),
  }
})
