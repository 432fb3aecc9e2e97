import { create } from 'zustand'
import { api, messageOf, type Answer } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { useDesk } from './desk-store'

type FormsStore = {
  /** What was filled into each form for trying out, by the form's id. */
  readonly answers: Readonly<Record<string, readonly Answer[]>>
  load(form: string): Promise<void>
  add(form: string, values: Readonly<Record<string, string>>): Promise<void>
  clear(form: string): Promise<void>
}

/** Answers of forms of the running result, kept by the server. */
export const useForms = create<FormsStore>((set, get) => {
  const keep = (form: string, list: readonly Answer[]): void =>
    set({ answers: { ...get().answers, [form]: list } })
  const withProject = async (work: (id: string) => Promise<void>): Promise<void> => {
    const id = useDesk.getState().project?.id
    if (id === undefined) return
    try {
      await work(id)
    } catch (error) {
      showProblem(messageOf(error))
    }
  }
  return {
    answers: {},
    load: (form) => withProject(async (id) => keep(form, await api.listAnswers(id, form))),
    add: (form, values) =>
      withProject(async (id) => {
        await api.addAnswer(id, form, values)
        keep(form, await api.listAnswers(id, form))
      }),
    clear: (form) =>
      withProject(async (id) => {
        await api.clearAnswers(id, form)
        keep(form, [])
      }),
  }
})
