import type {
  Codebase,
  Design,
  Edit,
  Font,
  FontFormat,
  Glossary,
  Note,
  SettingsFile,
} from '@unimorph/core'
import { tellOthers } from './other-windows'

export type Project = {
  readonly id: string
  readonly name: string
  readonly createdAt: number
  readonly updatedAt: number
  readonly screenCount: number
  readonly edition: number
}

/** What is kept of a project's settings: those of its file that have no path, and no choice of layers. */
export type Settings = Readonly<
  Required<Pick<SettingsFile, 'target' | 'styling'>> &
    Pick<
      SettingsFile,
      | 'derivesStates'
      | 'language'
      | 'grain'
      | 'library'
      | 'script'
      | 'prefix'
      | 'units'
      | 'pictures'
      | 'templates'
      | 'rules'
      | 'extras'
      | 'code'
      | 'files'
    >
>

export type Answer = {
  readonly id: number
  readonly at: number
  readonly values: Readonly<Record<string, string>>
}
export type FontSummary = {
  readonly id: string
  readonly family: string
  readonly weight: number | readonly [number, number]
  readonly italic: boolean
  readonly format: FontFormat
  readonly origin: 'shipped' | 'added'
  readonly fileName: string
}
export type StoredEdit = { readonly id: number; readonly edit: Edit }
/** What is worked on of a project. */
export type ProjectState = Project & {
  readonly edits: readonly StoredEdit[]
  readonly settings: Settings
  /** Goes with what changes the settings. */
  readonly settingsVersion: string
}
export type ProjectDetail = ProjectState & {
  readonly design: unknown
  readonly notes: readonly Note[]
}
/** A project in the bin: when it was put there, and when it goes for good; in ms since 1970. */
export type RemovedProject = {
  readonly id: string
  readonly name: string
  readonly removedAt: number
  readonly goneAt: number
}

export type CodebaseChoice = {
  readonly folder: string
  readonly name: string
  readonly isDemo: boolean
}
/** The codebase of a project, and what its glossary says; `problem`: why that cannot be read. */
export type ProjectCodebase = {
  readonly folder: string
  readonly codebase: Codebase
  readonly glossary: Glossary
  /** Goes with what changes the glossary. */
  readonly glossaryVersion: string
  readonly problem?: string
}

/** An answer of the server that is not a success, with its message for people. */
export class ApiError extends Error {
  constructor(
    message: string,
    readonly status: number,
    /** All the server said. */
    readonly answer: unknown = {},
  ) {
    super(message)
  }
}

const OFFLINE =
  'The server does not answer. Start it with npm start, then try again; nothing was lost.'

/** `version`: of what is changed; the server refuses to change another. */
const request = async <T>(
  method: string,
  path: string,
  body?: unknown,
  version?: string,
): Promise<T> => {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...(version === undefined ? {} : { 'if-match': `"${version}"` }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
  } catch {
    throw new ApiError(OFFLINE, 0)
  }
  if (response.ok && method !== 'GET') tellOthers(path)
  if (response.status === 204) return undefined as T
  const answer = (await response.json().catch(() => ({}))) as { message?: string | string[] }
  if (response.ok) return answer as T
  const message = Array.isArray(answer.message) ? answer.message.join('; ') : answer.message
  const said = message ?? `The server answered ${response.status}.`
  throw new ApiError(said, response.status, answer)
}

export type EditionGrade = { readonly edition: number; readonly points: number }
export type PreviewFile = { path: string; encoding: 'text' | 'base64'; content: string }
/** A script, and the runtimes whose packages it finds in its page. */
export type Bundle =
  | { readonly script: string; readonly runtimes: readonly string[] }
  | { readonly errors: readonly string[] }

/** Where the answers of a form are kept for trying out. */
export const answersPath = (id: string, form: string): string => `/projects/${id}/answers/${form}`

export const api = {
  listProjects: () => request<Project[]>('GET', '/projects'),
  getProject: (id: string) => request<ProjectDetail>('GET', `/projects/${id}`),
  getState: (id: string) => request<ProjectState>('GET', `/projects/${id}/state`),
  listBin: () => request<RemovedProject[]>('GET', '/bin'),
  deleteForGood: (id: string) => request<void>('DELETE', `/bin/${id}`),
  createProject: (name: string, design: Design, notes: readonly Note[]) =>
    request<Project>('POST', '/projects', { name, design, notes }),
  createEdition: (id: string, design: Design, notes: readonly Note[]) =>
    request<Project>('POST', `/projects/${id}/editions`, { design, notes }),
  gradeEditions: (id: string) => request<EditionGrade[]>('GET', `/projects/${id}/grades`),
  listFonts: () => request<FontSummary[]>('GET', '/fonts'),
  getFont: (id: string) => request<Font>('GET', `/fonts/${id}`),
  addFont: (name: string, data: string) => request<FontSummary>('POST', '/fonts', { name, data }),
  removeFont: (id: string) => request<void>('DELETE', `/fonts/${id}`),
  renameProject: (id: string, name: string) =>
    request<Project>('PATCH', `/projects/${id}`, { name }),
  duplicateProject: (id: string) => request<Project>('POST', `/projects/${id}/duplicate`),
  removeProject: (id: string) => request<void>('DELETE', `/projects/${id}`),
  restoreProject: (id: string) => request<Project>('POST', `/projects/${id}/restore`),
  addEdit: (id: string, edit: Edit) =>
    request<StoredEdit>('POST', `/projects/${id}/edits`, { edit }),
  removeEdit: (id: string, editId: number) =>
    request<void>('DELETE', `/projects/${id}/edits/${editId}`),
  changeSettings: (id: string, settings: Settings, version: string) =>
    request<{ settings: Settings; version: string }>(
      'PUT',
      `/projects/${id}/settings`,
      settings,
      version,
    ),
  addAnswer: (id: string, form: string, values: Readonly<Record<string, string>>) =>
    request<Answer>('POST', answersPath(id, form), values),
  listAnswers: (id: string, form: string) => request<Answer[]>('GET', answersPath(id, form)),
  clearAnswers: (id: string, form: string) => request<void>('DELETE', answersPath(id, form)),
  bundle: (files: readonly PreviewFile[], project?: string) =>
    request<Bundle>('POST', '/previews', { files, ...(project === undefined ? {} : { project }) }),
  /** The script of a framework that bundled code finds in its page. */
  runtime: async (name: string): Promise<string> => {
    const response = await fetch(`/api/previews/runtimes/${name}`)
    if (!response.ok) throw new ApiError(`The runtime of ${name} is not there.`, response.status)
    return response.text()
  },
  listCodebases: () => request<CodebaseChoice[]>('GET', '/codebases'),
  getCodebase: async (id: string): Promise<ProjectCodebase | undefined> => {
    const found = await request<ProjectCodebase | object>('GET', `/projects/${id}/codebase`)
    return 'codebase' in found ? found : undefined
  },
  chooseCodebase: (id: string, folder: string) =>
    request<ProjectCodebase>('PUT', `/projects/${id}/codebase`, { folder }),
  sendCodebase: (id: string, name: string, data: string) =>
    request<ProjectCodebase>('POST', `/projects/${id}/codebase`, { name, data }),
  /** Hears when files of a project's codebase change, or why that cannot be seen; returns what stops it. */
  followCodebase: (
    id: string,
    onChange: (paths: readonly string[]) => void,
    onProblem: (message: string) => void,
  ): (() => void) => {
    const events = new EventSource(`/api/projects/${id}/codebase/changes`)
    events.onmessage = ({ data }) => {
      const told = JSON.parse(String(data)) as { paths?: readonly string[]; problem?: string }
      if (told.problem !== undefined) onProblem(told.problem)
      if (told.paths && told.paths.length > 0) onChange(told.paths)
    }
    return () => events.close()
  },
  removeCodebase: (id: string) => request<void>('DELETE', `/projects/${id}/codebase`),
  saveGlossary: (id: string, glossary: Glossary, version: string) =>
    request<{ glossary: Glossary; version: string }>(
      'PUT',
      `/projects/${id}/codebase/glossary`,
      { glossary },
      version,
    ),
}

export const messageOf = (error: unknown): string =>
  error instanceof Error ? error.message : String(error)
