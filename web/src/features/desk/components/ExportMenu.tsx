import { SETTINGS_FILE, toKebab, writeSettings } from '@unimorph/core'
import type { ExportKind, NamedFile } from '../../../engine/protocol'
import { messageOf } from '../../../shared/lib/api'
import { saveAs } from '../../../shared/lib/save-as'
import { zipFiles } from '../../../shared/lib/zip'
import { showProblem } from '../../../shared/lib/toast-store'
import { ActionMenu } from '../../../shared/ui/ActionMenu'
import { useDesk } from '../model/desk-store'

const KINDS: readonly { readonly kind: ExportKind; readonly label: string }[] = [
  { kind: 'json', label: 'Design as JSON' },
  { kind: 'svg', label: 'Screens as SVG' },
  { kind: 'tokens', label: 'Tokens' },
]

const typeOf = (name: string): string =>
  name.endsWith('.svg') ? 'image/svg+xml' : 'application/json'

/** Saves one file as it is, several in an archive. */
export const saveFiles = (files: readonly NamedFile[], archive: string): void => {
  const only = files[0]
  if (!only) return
  if (files.length === 1) {
    saveAs(only.content, only.name, typeOf(only.name))
    return
  }
  saveAs(zipFiles(files), archive, 'application/zip')
}

/** Takes the design itself away, with the edits made to it, or the settings for the command line. */
export const ExportMenu = () => {
  const project = useDesk((s) => s.project)
  const settings = useDesk((s) => s.settings)
  const exportDesign = useDesk((s) => s.export)
  const take = (kind: ExportKind): void => {
    exportDesign(kind)
      .then((files) => saveFiles(files, `${toKebab(project?.name ?? '', 'design')}-${kind}.zip`))
      .catch((error: unknown) => showProblem(messageOf(error)))
  }
  return (
    <ActionMenu
      anchor="bottom start"
      className="inline-flex h-7 items-center gap-2 rounded-sm border border-rule bg-sheet px-2.5 whitespace-nowrap hover:border-ink"
      actions={[
        ...KINDS.map(({ kind, label }) => [label, () => take(kind)] as const),
        ['Settings', () => saveAs(writeSettings(settings), SETTINGS_FILE, 'application/json')],
      ]}
    >
      Export
      <span aria-hidden className="text-soft">
        ▾
      </span>
    </ActionMenu>
  )
}
