import type { Entry, Glossary } from '@unimorph/core'
import { create } from 'zustand'
import type { GlossaryReport } from '../../../engine/protocol'
import { api, messageOf, type CodebaseChoice, type ProjectCodebase } from '../../../shared/lib/api'
import type { KeyOf } from '../../../shared/lib/merge'
import { saveMerged } from '../../../shared/lib/save-merged'
import { toBase64 } from '../../../shared/lib/to-base64'
import { showProblem } from '../../../shared/lib/toast-store'
import { useDesk } from './desk-store'
import { createLatest } from './latest'
import { createQueue } from './queue'

/** So sure a proposal is taken with all others that are. */
export const SURE = 0.85

/** What tells entries apart: the thing of the design, and where they hold. */
const nameOfEntry: KeyOf = (entry) => {
  const { design, when, leads } = entry as Entry
  return [Object.entries(design), Object.entries(when ?? {}), leads ?? []].flat(3).join(' ')
}

/** So many changes can be taken back. */
const MOST_PAST = 100

type GlossaryStore = {
  readonly report: GlossaryReport | undefined
  /** Codebases on the server's machine; undefined until they are asked for. */
  readonly choices: readonly CodebaseChoice[] | undefined
  /** What the glossary was before each change that can be taken back, the oldest first. */
  readonly past: readonly { readonly project: string; readonly glossary: Glossary }[]
  /** What changed in the codebase when it was scanned by itself. */
  readonly changed: readonly string[]
  /** A codebase is being scanned. */
  readonly isScanning: boolean
  load(): Promise<void>
  clear(): void
  listChoices(): Promise<void>
  choose(folder: string): Promise<void>
  send(file: File): Promise<void>
  scanAgain(): Promise<void>
  /** Scans what changed; `paths`: the files that are known to have. */
  followChanges(paths: readonly string[]): Promise<void>
  /** Uses the codebase and the glossary as another window left them. */
  catchUp(): Promise<void>
  leave(): Promise<void>
  /** Writes the glossary, and uses it. */
  save(change: (glossary: Glossary) => Glossary): Promise<void>
  /** Takes the last change back. */
  undo(): Promise<void>
}

/** What the codebase of the project has for what the design shows. */
export const useGlossary = create<GlossaryStore>((set, get) => {
  const latest = createLatest()
  /** What changed while a scan was going on. */
  let missed: readonly string[] = []
  const scanning = async (work: () => Promise<void>): Promise<void> => {
    set({ isScanning: true })
    try {
      await work()
    } catch (error) {
      showProblem(messageOf(error))
    } finally {
      set({ isScanning: false })
      const paths = missed
      missed = []
      if (paths.length > 0) void get().followChanges(paths)
    }
  }
  /** Without what was before, which is not ours to bring back once others have changed the glossary. */
  const forgetPast = (project: string): void =>
    set({ past: get().past.filter((one) => one.project !== project) })
  /** Uses a project's codebase and glossary as the server has them now; `paths`: the files that are known to have changed. */
  const readAgain = async (
    project: string,
    before: ProjectCodebase | undefined,
    paths: readonly string[],
  ): Promise<void> => {
    const found = await api.getCodebase(project)
    const isSame = JSON.stringify(found) === JSON.stringify(before)
    if (isSame || useDesk.getState().project?.id !== project) return
    const isOurs =
      found?.folder === before?.folder &&
      JSON.stringify(found?.glossary) === JSON.stringify(before?.glossary)
    if (!isOurs) forgetPast(project)
    set({ changed: paths })
    await useDesk.getState().setCodebase(found)
    if (get().report) await get().load()
  }
  const take = async (
    work: (id: string) => Promise<ProjectCodebase | undefined>,
  ): Promise<void> => {
    const { project, setCodebase } = useDesk.getState()
    if (!project) return
    set({ changed: [] })
    forgetPast(project.id)
    await scanning(async () => {
      const found = await work(project.id)
      if (useDesk.getState().project?.id !== project.id) return
      await setCodebase(found)
      await get().load()
    })
  }
  /** Changes are written one after the other: what is taken back is what was said last. */
  const inTurn = createQueue()
  /** Writes a glossary and uses it; whether that was possible. Where others changed it meanwhile, the past is forgotten. */
  const write = async (change: (glossary: Glossary) => Glossary): Promise<boolean> => {
    const { project, codebase, setCodebase } = useDesk.getState()
    if (!project || !codebase) return false
    const mine = change(codebase.glossary)
    try {
      const saved = await saveMerged<Glossary>({
        what: 'glossary',
        base: { value: codebase.glossary, version: codebase.glossaryVersion },
        mine,
        keyOf: nameOfEntry,
        save: async (value, version) => {
          const { glossary, version: next } = await api.saveGlossary(project.id, value, version)
          return { value: glossary, version: next }
        },
      })
      if (JSON.stringify(saved.value) !== JSON.stringify(mine)) forgetPast(project.id)
      await setCodebase({ ...codebase, glossary: saved.value, glossaryVersion: saved.version })
      await get().load()
      return true
    } catch (error) {
      showProblem(messageOf(error))
      return false
    }
  }
  return {
    report: undefined,
    past: [],
    changed: [],
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
    async followChanges(paths) {
      const { project, codebase } = useDesk.getState()
      if (!project || !codebase) return
      if (get().isScanning) {
        missed = [...missed, ...paths]
        return
      }
      await scanning(() => readAgain(project.id, codebase, paths))
    },
    catchUp: () =>
      inTurn(async () => {
        const { project, codebase } = useDesk.getState()
        if (project) await readAgain(project.id, codebase, [])
      }).catch((error: unknown) => showProblem(messageOf(error))),
    leave: () =>
      take(async (id) => {
        await api.removeCodebase(id)
        return undefined
      }),
    save: (change) =>
      inTurn(async () => {
        const { project, codebase } = useDesk.getState()
        if (!project || !codebase) return
        const before = { project: project.id, glossary: codebase.glossary }
        const { past } = get()
        set({ past: [...past, before].slice(-MOST_PAST) })
        if (!(await write(change))) set({ past })
      }),
    undo: () =>
      inTurn(async () => {
        const id = useDesk.getState().project?.id
        const before = get().past.findLast(({ project }) => project === id)
        if (before && (await write(() => before.glossary)))
          set({ past: get().past.filter((one) => one !== before) })
      }),
  }
})
