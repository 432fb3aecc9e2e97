import { separateWords } from '../../text/names.js'
import type { Folder } from '../project/units.js'

/** `TideTable` → `tide-table` */
export const toFileName = (name: string): string => separateWords(name, '-')

/** The element of a component that has one of its own. */
export const elementOf = (name: string): string => `app-${toFileName(name)}`

/** The attribute that makes an element a component, or gives it a directive. */
export const attributeOf = (name: string): string => `app${name}`

/** The folder of files of one kind. */
export const folderPath = (folder: Folder | 'icons'): string => `src/app/${folder}`

/** The file of a component without its ending. */
export const pathOf = (folder: Folder | 'icons', name: string): string =>
  `${folderPath(folder)}/${toFileName(name)}`
