import type { Conventions } from '../codebase/codebase.js'
import type { HouseStyle } from './house-style.js'

/** How most files of a codebase are written, where a person has not said otherwise. */
export const byConventions = (
  { quotes, semicolons, indent, width, trailingCommas, fileNames }: Conventions,
  said: HouseStyle,
): HouseStyle => ({
  ...said,
  code: {
    ...(quotes === undefined ? {} : { quotes }),
    ...(semicolons === undefined ? {} : { semicolons }),
    ...(indent === undefined ? {} : { indent }),
    ...(width === undefined ? {} : { width }),
    ...(trailingCommas === undefined ? {} : { trailingCommas }),
    ...said.code,
  },
  files: { ...(fileNames === undefined ? {} : { names: fileNames }), ...said.files },
})
