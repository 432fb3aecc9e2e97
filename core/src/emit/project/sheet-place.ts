import type { StylingId } from '../styling/styling.js'

/** The style sheet that a page begins with: its folder and name as plain CSS would have them. */
export type SheetBase = { readonly folder: string; readonly stem: string }

/** The file of it in a styling: SCSS has a folder of its own for its many files. */
export const sheetPath = (styling: StylingId, { folder, stem }: SheetBase): string =>
  styling === 'scss' ? `${folder}/styles/index.scss` : `${folder}/${stem}.css`
