import type { Glossary } from '@unimorph/core'
import { create } from 'zustand'
import type { GlossaryReport } from '../../../engine/protocol'
import { api, messageOf, type CodebaseChoice, type ProjectCodebase } from '../../../shared/lib/api'
import { toBase64 } from '../../../shared/lib/to-base64'
import { showProblem } from '../../../shared/lib/toast-store'
import { useDesk } from './desk-store'
import { createLatest } from './latest'

/** So sure a proposal is taken with all others that are. */
export const SURE = 0.85

type GlossaryStore = {
  readonly report: GlossaryReport | undefined
  /** Codebases on the server's machine; undefined until they are asked for. */
  readonly choices: readonly CodebaseChoice[] | undefined
  /** A codebase is being scanned. */
  readonly isScanning: boolean
  load(): Promise<void>
  clear(): void
  listChoices(): Promise<void>
  choose(folder: string): Promise<void>
  send(file: File): Promise<void>
  scanAgain(): Promise<void>
  leave(): Promise<void>
  /** Writes the glossary, and uses it. */
  save(change: (glossary: Glossary) => Glossary): Promise<void>
}

/** What the codebase of the project has for what the design shows. */
export const useGlossary = create<GlossaryStore>((set, get) => {
  const latest = createLatest()
  const take = async (
    work: (id: string) => Promise<ProjectCodebase | undefined>,
  ): Promise<void> => {
    const { project, setCodebase } = useDesk.getState()
    if (!project) return
    set({ isScanning: true })
    try {
      const found = await work(project.id)
      if (useDesk.getState().project?.id !== project.id) return
      await setCodebase(found)
      await get().load()
    } catch (error) {
      showProblem(messageOf(error))
    } finally {
      set({ isScanning: false })
    }
  }
  return {
    report: undefined,
    choices: undefined,
    isScanning: false,
    load: () =>
      latest.run(async (isNewest) => {
        const report = await useDesk.getState().glossary()
        if (isNewest()) set({ report })
      }),
    clear() {
      latest.drop()
      set({ report: undefined })
    },
    async listChoices() {
      try {
        set({ choices: await api.listCodebases() })
      } catch (error) {
        showProblem(messageOf(error))
      }
    },
    choose: (folder) => take((id) => api.chooseCodebase(id, folder)),
    send: (file) => take(async (id) => api.sendCodebase(id, file.name, await toBase64(file))),
    scanAgain: () => take((id) => api.getCodebase(id)),
    leave: () =>
      take(async (id) => {
        await api.removeCodebase(id)
        return undefined
      }),
    async save(change) {
      const { project, codebase, setCodebase } = useDesk.getState()
      if (!project || !codebase) return
      try {
        const glossary = await api.saveGlossary(project.id, change(codebase.glossary))
        await setCodebase({ ...codebase, glossary })
        await get().load()
      } catch (error) {
        showProblem(messageOf(error))
      }
    },
  }
})
