import { useEffect, useState } from 'react'
import { TARGETS, type TargetId } from '@unimorph/core'
import { Link, useLocation, useParams } from 'react-router'
import { Button } from '../../../shared/ui/Button'
import { copyText } from '../../../shared/lib/copy-text'
import { useHome } from '../../intake'
import { useDesk } from '../model/desk-store'
import { useAloneKey } from '../model/use-alone-key'
import { useFollowCodebase } from '../model/use-follow-codebase'
import { useOtherWindows } from '../model/use-other-windows'
import { useLanes } from '../model/lanes-store'
import { DeskBar } from './DeskBar'
import { Lane } from './Lane'
import { OutlineLane } from './OutlineLane'
import { Separator } from './Separator'
import { Source } from './Source'
import { StylingSelect } from './StylingSelect'
import { Stage } from './Stage'
import { StageTools } from './StageTools'
import { Thread } from './Thread'

const FOLDED = 32

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && /^(input|textarea)$/i.test(target.tagName)

/** The targets in their order, each a key press away: Alt+1 to Alt+5. */
const useTargetKeys = (): void => {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent): void => {
      const [, digit] = /^Digit([1-5])$/.exec(event.code) ?? []
      if (!event.altKey || event.ctrlKey || event.metaKey || digit === undefined) return
      event.preventDefault()
      const { settings, changeSettings } = useDesk.getState()
      const target = Object.keys(TARGETS)[Number(digit) - 1] as TargetId
      if (target !== settings.target) changeSettings({ target })
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [])
}

/** Undo and redo from anywhere on the desk. */
const useUndoKeys = (): void => {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent): void => {
      if (
        !(event.ctrlKey || event.metaKey) ||
        event.key.toLowerCase() !== 'z' ||
        isTyping(event.target)
      )
        return
      event.preventDefault()
      const { undo, redo } = useDesk.getState()
      void (event.shiftKey ? redo() : undo())
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [])
}

const CopyButton = ({ path }: { readonly path: string | undefined }) => {
  const content = useDesk(
    (s) => (s.early ?? s.converted)?.files.find((f) => f.path === path)?.content,
  )
  if (content?.kind !== 'text') return null
  return <Button onClick={() => copyText(content.text, path)}>Copy</Button>
}

/** The source text, the translation and the running result of one project, side by side. */
export const Desk = () => {
  const { id = '' } = useParams()
  const open = useDesk((s) => s.open)
  const close = useDesk((s) => s.close)
  const project = useDesk((s) => s.project)
  const problem = useDesk((s) => s.problem)
  const isBusy = useDesk((s) => s.isBusy)
  const elapsedMs = useDesk((s) => s.converted?.elapsedMs)
  const fileCount = useDesk((s) => s.converted?.files.length)
  const selection = useDesk((s) => s.selection)
  const layerCount = useDesk((s) => s.drawn?.layers.length)
  const lanes = useLanes()
  const [path, setPath] = useState<string>()
  useUndoKeys()
  useTargetKeys()
  useAloneKey()
  useFollowCodebase()
  useOtherWindows()

  // Taking in an edition of the same project leads here again; its own visit opens it anew.
  const { key: visit } = useLocation()
  const setHome = useHome((s) => s.setHome)

  useEffect(() => {
    void open(id)
    return close
  }, [id, visit, open, close])
  useEffect(() => {
    if (project) setHome({ id: project.id, name: project.name, edition: project.edition })
    return () => setHome(undefined)
  }, [project, setHome])
  useEffect(() => {
    document.title = project ? `${project.name} · Unimorph` : 'Unimorph'
  }, [project])

  if (problem) {
    return (
      <main className="mx-auto max-w-md p-10">
        <h1 className="text-xl font-semibold">This project cannot be opened</h1>
        <p role="alert" className="mt-2">
          {problem}
        </p>
        <Link to="/" className="mt-4 inline-block text-settled underline">
          Back to the shelf
        </Link>
      </main>
    )
  }
  return (
    <div className="flex h-full flex-col">
      <DeskBar />
      <main className="flex min-h-0 flex-1">
        <div style={{ width: lanes.outlineFolded ? FOLDED : lanes.outline }} className="shrink-0">
          <Lane title="Outline" isFolded={lanes.outlineFolded} onFold={() => lanes.fold('outline')}>
            <OutlineLane />
          </Lane>
        </div>
        <Separator
          label="Width of the outline"
          value={lanes.outline}
          min={180}
          max={600}
          grows="right"
          onChange={(w) => lanes.resize('outline', w)}
        />
        <div
          className="min-w-0 flex-1"
          style={lanes.stageFolded ? { flex: `0 0 ${FOLDED}px` } : {}}
        >
          <Lane
            title="Stage"
            isFolded={lanes.stageFolded}
            onFold={() => lanes.fold('stage')}
            tools={<StageTools />}
          >
            <Stage />
          </Lane>
        </div>
        <Separator
          label="Width of the source"
          value={lanes.source}
          min={220}
          max={1000}
          grows="left"
          onChange={(w) => lanes.resize('source', w)}
        />
        <div
          style={
            lanes.sourceFolded
              ? { width: FOLDED }
              : lanes.stageFolded
                ? { flex: 1 }
                : { width: lanes.source }
          }
          className="min-w-0 shrink-0"
        >
          <Lane
            title="Source"
            isFolded={lanes.sourceFolded}
            onFold={() => lanes.fold('source')}
            tools={
              <>
                <StylingSelect />
                <CopyButton path={path} />
              </>
            }
          >
            <Source path={path} onPath={setPath} />
          </Lane>
        </div>
      </main>
      <Thread />
      <div
        role="status"
        className="flex h-7 shrink-0 items-center gap-4 border-t border-rule px-3 text-xs text-soft"
      >
        <span>{layerCount === undefined ? 'Opening …' : `${layerCount} layers`}</span>
        <span>{selection.length > 0 ? `${selection.length} selected` : 'Nothing selected'}</span>
        <span className="flex-1" />
        <span>
          {isBusy
            ? 'Converting …'
            : elapsedMs !== undefined &&
              `${fileCount} files, converted in ${Math.round(elapsedMs)} ms`}
        </span>
      </div>
    </div>
  )
}
