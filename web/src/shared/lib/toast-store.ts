import { create } from 'zustand'

export type Toast = {
  readonly id: number
  readonly text: string
  readonly tone: 'plain' | 'problem'
  readonly action?: { readonly label: string; readonly run: () => void }
}

type ToastStore = {
  readonly toasts: readonly Toast[]
  show(toast: Omit<Toast, 'id'>): void
  dismiss(id: number): void
}

let nextId = 1

/** Short messages at the bottom of the window. One with an action stays longer. */
export const useToasts = create<ToastStore>((set, get) => ({
  toasts: [],
  show(toast) {
    const id = nextId++
    set({ toasts: [...get().toasts.slice(-2), { ...toast, id }] })
    setTimeout(() => get().dismiss(id), toast.action || toast.tone === 'problem' ? 12_000 : 5000)
  },
  dismiss: (id) => set({ toasts: get().toasts.filter((t) => t.id !== id) }),
}))

export const showProblem = (text: string): void =>
  useToasts.getState().show({ text, tone: 'problem' })

export const showPlain = (text: string): void => useToasts.getState().show({ text, tone: 'plain' })
