import type { StylingId } from '../styling/styling.js'

/** The style sheet that a page begins with: its folder and name as plain CSS would have them. */
export type SheetBase = { readonly folder: string; readonly stem: string }

/** The file of it in a styling: SCSS has a folder of its own for its many files. */
export const sheetPath = (styling: StylingId, { folder, stem }: SheetBase): string =>
  styling === 'scss' ? `${folder}/styles/index.scss` : `${folder}/${stem}.css`

export const folderOfPath = (path: string): string =>
  path.slice(0, Math.max(0, path.lastIndexOf('/')))

/** `src/screens` to `src/assets` → `../assets`; what lies below begins with `./`. */
export const relativePath = (from: string, to: string): string => {
  const here = from.split('/').filter(Boolean)
  const there = to.split('/').filter(Boolean)
  let common = 0
  while (common < here.length && here[common] === there[common]) common++
  const up = here.slice(common).map(() => '..')
  return [...(up.length === 0 ? ['.'] : up), ...there.slice(common)].join('/')
}
