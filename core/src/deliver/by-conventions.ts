import type { Conventions } from '../codebase/codebase.js'
import type { HouseStyle } from './house-style.js'

/** How most files of a codebase are written, where a person has not said otherwise. */
export const byConventions = (
  { fileNames, imports: _imports, ...code }: Conventions,
  said: HouseStyle,
): HouseStyle => ({
  ...said,
  code: { ...code, ...said.code },
  files: { ...(fileNames === undefined ? {} : { names: fileNames }), ...said.files },
})
