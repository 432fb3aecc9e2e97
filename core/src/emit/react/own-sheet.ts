import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import type { UnitSpelling } from '../project/units.js'
import type { Styling } from '../styling/styling.js'
import type { Import } from './imports.js'

export const classReference: NonNullable<UnitSpelling['classReference']> = () => ({
  inMarkup: (name) => `styles.${name}`,
  inCode: (name) => `styles.${name}`,
})

type OwnSheet = { readonly imports: readonly Import[]; readonly files: readonly EmittedFile[] }

/** The style sheet that lies beside a component, and what imports it; `path` is that of the component without its ending. */
export const ownSheet = (path: string, sheet: string | undefined, { scope }: Styling): OwnSheet => {
  if (sheet === undefined) return { imports: [], files: [] }
  const from = `./${path.slice(path.lastIndexOf('/') + 1)}`
  return scope === 'object'
    ? {
        imports: [{ names: '{ styles }', from: `${from}.styles` }],
        files: [textFile(`${path}.styles.ts`, sheet)],
      }
    : {
        imports: [{ names: 'styles', from: `${from}.module.css` }],
        files: [textFile(`${path}.module.css`, sheet)],
      }
}
