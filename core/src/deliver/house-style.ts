import type { EmitStyle } from '../emit/target.js'
import { prettierOptions, type CodeStyle } from './code-style.js'
import type { FileLayout } from './file-layout.js'

/** What a house wants of delivered code. */
export type HouseStyle = EmitStyle & {
  readonly code?: CodeStyle | undefined
  readonly files?: FileLayout | undefined
}

/** What of it has to be known when code is emitted. */
export const emitStyleOf = ({
  script,
  units,
  prefix,
  pictures,
  templates,
  rules,
  extras,
}: HouseStyle): EmitStyle => ({
  script,
  units,
  prefix,
  pictures,
  templates,
  rules,
  extras,
})

/** Whether code is delivered otherwise than a target writes it. */
export const hasHouseStyle = ({ code, files, script }: HouseStyle): boolean =>
  script === 'javascript' ||
  Object.keys(prettierOptions(code ?? {})).length > 0 ||
  Object.keys(files ?? {}).length > 0
