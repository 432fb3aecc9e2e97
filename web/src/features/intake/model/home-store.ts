import { create } from 'zustand'
import type { Home } from './import-store'

type HomeStore = { readonly home: Home | undefined; setHome(home: Home | undefined): void }

/** Which project lies on the desk. The desk says so. */
export const useHome = create<HomeStore>((set) => ({
  home: undefined,
  setHome: (home) => set({ home }),
}))
