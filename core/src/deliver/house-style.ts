import type { Script } from '../emit/target.js'
import type { Units } from '../emit/styling/units.js'
import { prettierOptions, type CodeStyle } from './code-style.js'
import type { FileLayout } from './file-layout.js'

/** What a house wants of delivered code. */
export type HouseStyle = {
  readonly code?: CodeStyle | undefined
  readonly files?: FileLayout | undefined
  /** React alone is written in both; TypeScript when absent. */
  readonly script?: Script | undefined
  /** What lengths are in, which is decided when they are emitted. */
  readonly units?: Units | undefined
  /** What the names of components begin with, which is decided when they are emitted. */
  readonly prefix?: string | undefined
}

/** Whether code is delivered otherwise than a target writes it. */
export const hasHouseStyle = ({ code, files, script }: HouseStyle): boolean =>
  script === 'javascript' ||
  Object.keys(prettierOptions(code ?? {})).length > 0 ||
  Object.keys(files ?? {}).length > 0
