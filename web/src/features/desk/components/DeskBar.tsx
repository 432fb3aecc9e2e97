import { useState } from 'react'
import { Link } from 'react-router'
import { TARGETS, toKebab, type TargetId } from '@unimorph/core'
import { messageOf } from '../../../shared/lib/api'
import { saveAs } from '../../../shared/lib/save-as'
import { showProblem } from '../../../shared/lib/toast-store'
import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { NameDialog } from '../../../shared/ui/NameDialog'
import { ThemeButton } from '../../../shared/ui/ThemeButton'
import { useDesk, type Scope } from '../model/desk-store'
import { ExportMenu } from './ExportMenu'
import { NotesPanel } from './NotesPanel'

const TARGET_OPTIONS = Object.values(TARGETS).map(({ id, label }) => ({
  value: id as TargetId,
  label,
}))

const fileName = (project: string, target: string): string =>
  `${toKebab(project, 'project')}-${target}.zip`

type ScopeKind = Scope['kind']

/** The bar above the lanes: the project, what is converted into what, and taking it away. */
export const DeskBar = () => {
  const { project, settings, scope, selection, screen, edits, undone, converted } = useDesk()
  const { changeSettings, setScope, undo, redo, rename, pack } = useDesk()
  const [isRenaming, setIsRenaming] = useState(false)
  if (!project) return null

  const scopeOptions: { value: ScopeKind; label: string; hint?: string }[] = [
    { value: 'all', label: 'All screens' },
    { value: 'screen', label: 'This screen' },
    {
      value: 'layers',
      label: scope.kind === 'layers' ? `${scope.keys.length} selected` : 'Selected layers',
      ...(selection.length === 0 ? { hint: 'select some first' } : {}),
    },
  ]
  const changeScope = (kind: ScopeKind): void => {
    if (kind === 'all') setScope({ kind })
    else if (kind === 'screen' && screen) setScope({ kind, screen })
    else if (kind === 'layers' && selection.length > 0) setScope({ kind, keys: selection })
    else showProblem('Select one or more layers first, in the outline or on the stage.')
  }
  const deliver = (): void => {
    pack()
      .then((bytes) => saveAs(bytes, fileName(project.name, settings.target), 'application/zip'))
      .catch((error: unknown) => showProblem(messageOf(error)))
  }

  return (
    <header className="flex h-12 shrink-0 items-center gap-2 overflow-x-auto border-b border-ink bg-sheet px-3">
      <Link
        to="/"
        aria-label="Shelf"
        title="Shelf"
        className="flex items-center gap-2 rounded-sm px-1"
      >
        <img src="/mark.svg" alt="" className="size-6" />
      </Link>
      <h1 className="min-w-0 truncate text-base font-semibold">
        <button type="button" title="Rename project" onClick={() => setIsRenaming(true)}>
          {project.name}
        </button>
      </h1>
      <span className="text-xs whitespace-nowrap text-soft">edition {project.edition}</span>
      <span className="flex-1" />
      <Button
        tone="bare"
        disabled={edits.length === 0}
        onClick={() => void undo()}
        title="Undo (Ctrl+Z)"
      >
        Undo
      </Button>
      <Button
        tone="bare"
        disabled={undone.length === 0}
        onClick={() => void redo()}
        title="Redo (Ctrl+Shift+Z)"
      >
        Redo
      </Button>
      <NotesPanel />
      <ExportMenu />
      <Choice label="Convert" value={scope.kind} options={scopeOptions} onChange={changeScope} />
      <Choice
        label="to"
        value={settings.target}
        options={TARGET_OPTIONS}
        onChange={(target) => changeSettings({ target })}
      />
      <ThemeButton />
      <Button tone="main" disabled={!converted || converted.files.length === 0} onClick={deliver}>
        Download ZIP
      </Button>
      {isRenaming && (
        <NameDialog
          title="Rename project"
          initial={project.name}
          onClose={() => setIsRenaming(false)}
          onDone={(name) => {
            setIsRenaming(false)
            void rename(name)
          }}
        />
      )}
    </header>
  )
}
