import { create } from 'zustand'
import type { Choice, InputFile, Note } from '@unimorph/core'
import { Cancelled, createEngine, type EngineClient } from '../../../engine/engine'
import type { Preview, Progress } from '../../../engine/protocol'
import { api, messageOf } from '../../../shared/lib/api'
import { loadFamilies, useFonts } from '../../../shared/lib/fonts-store'
import { showProblem } from '../../../shared/lib/toast-store'

/** The project on the desk, to which files may be added as a new edition. */
export type Home = { readonly id: string; readonly name: string; readonly edition: number }

export type ImportState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'busy'; readonly step: string; readonly share?: number }
  | {
      readonly kind: 'review'
      readonly preview: Preview
      readonly notes: readonly Note[]
      readonly fonts: readonly InputFile[]
      readonly name: string
      readonly into: Home | undefined
    }
  | { readonly kind: 'failed'; readonly notes: readonly Note[] }

type ImportStore = {
  readonly state: ImportState
  /** Reads files and shows what is in them. */
  read(files: readonly File[], home: Home | undefined): Promise<void>
  /** Takes in what was read; resolves to the project it went to, or to undefined when that failed. */
  accept(name: string, choice: Choice, into: Home | undefined): Promise<string | undefined>
  cancel(): void
  close(): void
}

const engine: EngineClient = createEngine()

const projectName = (file: string, designName: string): string => {
  const stem = file.replace(/\.[^.]+$/, '')
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

const readInputs = (files: readonly File[]): Promise<InputFile[]> =>
  Promise.all(
    files.map(async (f) => ({ name: f.name, bytes: new Uint8Array(await f.arrayBuffer()) })),
  )

const describeProgress = ({ done, of, label }: Progress): ImportState => ({
  kind: 'busy',
  step: of > 1 ? `Reading ${label}, ${done + 1} of ${of}` : `Reading ${label}`,
  share: (done + 0.5) / (of + 1),
})

export const useImport = create<ImportStore>((set, get) => {
  engine.onProgress((progress) => set({ state: describeProgress(progress) }))

  const fail = (error: unknown): void => {
    if (error instanceof Cancelled) set({ state: { kind: 'idle' } })
    else set({ state: { kind: 'failed', notes: [problem(messageOf(error))] } })
  }
  return {
    state: { kind: 'idle' },
    async read(files, home) {
      if (files.length === 0) return
      const what = files.length === 1 ? files[0]!.name : `${files.length} files`
      set({ state: { kind: 'busy', step: `Reading ${what}, ${megabytes(files)}` } })
      try {
        const [inputs, atHand] = await Promise.all([readInputs(files), useFonts.getState().load()])
        const families = [...new Set(atHand.map((font) => font.family))]
        const named = await engine.call('findFamilies', inputs, families)
        const faces = await loadFamilies(atHand, named)
        const { preview, notes, fonts } = await engine.call('intake', inputs, faces)
        if (!preview && fonts.length > 0 && notes.every((n) => n.code === 'intake/no-design')) {
          // Nothing but fonts: they are added, and that is all there is to it.
          await useFonts.getState().add(toFiles(fonts))
          set({ state: { kind: 'idle' } })
          return
        }
        if (!preview) set({ state: { kind: 'failed', notes } })
        else {
          const name = projectName(files[0]!.name, preview.name)
          set({ state: { kind: 'review', preview, notes, fonts, name, into: home } })
        }
      } catch (error) {
        fail(error)
      }
    },
    async accept(name, choice, into) {
      const { state } = get()
      if (state.kind !== 'review') return undefined
      const { notes, fonts } = state
      set({ state: { kind: 'busy', step: 'Storing the design', share: 0.9 } })
      try {
        if (fonts.length > 0) {
          await useFonts
            .getState()
            .add(toFiles(fonts))
            .catch((error: unknown) => {
              showProblem(messageOf(error))
            })
        }
        const design = await engine.call('accept', choice)
        const project = into
          ? await api.createEdition(into.id, design, notes)
          : await api.createProject(name, design, notes)
        set({ state: { kind: 'idle' } })
        return project.id
      } catch (error) {
        fail(error)
        return undefined
      }
    },
    cancel: () => {
      engine.cancel()
      set({ state: { kind: 'idle' } })
    },
    close: () => set({ state: { kind: 'idle' } }),
  }
})

const toFiles = (fonts: readonly InputFile[]): File[] =>
  fonts.map(({ name, bytes }) => new File([bytes as BlobPart], name.split('/').at(-1)!))
