import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import type { Dependency } from '../shared/versions.js'
import { NODE_VERSION } from './node-version.js'

/** What decides which rules a project's code can be looked at by. */
export type LintNeeds = {
  readonly isPlain: boolean
  /** Tags of the components that stand on a button or a link. */
  readonly pressed: readonly string[]
}

/** How the code of a target is linted: by rules that its framework's people recommend, and those of accessibility. */
export type Linting = {
  readonly command: string
  readonly tools: readonly Dependency[]
  readonly files: (needs: LintNeeds) => readonly EmittedFile[]
  /** What npm is told where a tool does not know the newest linter yet. */
  readonly overrides?: Readonly<Record<string, unknown>>
}

/** What version control leaves out, and which Node the project is for. `made`: folders that tools write to. */
export const projectTools = (made: readonly string[]): EmittedFile[] => [
  textFile('.gitignore', ['node_modules', ...made, '*.log', '.DS_Store', ''].join('\n')),
  textFile('.nvmrc', `${NODE_VERSION}\n`),
]

/** What a README says of them. */
export const ABOUT_TOOLS = '`npm run lint` looks for mistakes; `npm run format` formats all files.'
