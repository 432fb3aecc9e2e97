import { create } from 'zustand'
import { api, messageOf, type Project } from '../../shared/lib/api'
import { showProblem, useToasts } from '../../shared/lib/toast-store'

type ShelfStore = {
  readonly projects: readonly Project[] | undefined
  readonly problem: string | undefined
  load(): Promise<void>
  rename(id: string, name: string): Promise<void>
  duplicate(id: string): Promise<void>
  remove(project: Project): Promise<void>
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
    async load() {
      try {
        set({ projects: await api.listProjects(), problem: undefined })
      } catch (error) {
        set({ problem: messageOf(error) })
      }
    },
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
