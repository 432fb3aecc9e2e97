import { useEffect, useMemo, useState } from 'react'
import { isSafePath, type EmittedFile } from '@unimorph/core'
import { copyText } from '../../../shared/lib/copy-text'
import { NameDialog } from '../../../shared/ui/NameDialog'
import { readBuildError, readFault } from '../model/build-errors'
import { useDesk } from '../model/desk-store'
import { snippetOf } from '../model/snippet'
import { findLayerAtOffset, findThread } from '../model/threads'
import { BuildErrors } from './BuildErrors'
import { BesideSelect } from './BesideSelect'
import { BesideCode } from './BesideCode'
import { CodeView } from './CodeView'
import { HouseStyleButton } from './HouseStyleButton'
import { FileTree } from './FileTree'
import { TokenLine } from './TokenLine'

const NOTHING: readonly never[] = []

/** Why a file cannot lie at a path. */
const findPathProblem = (
  path: string,
  from: string,
  files: readonly EmittedFile[],
): string | undefined => {
  if (!isSafePath(path))
    return 'Write a path inside the project, of letters, digits, dots and dashes, as src/ui/Card.tsx.'
  const ending = from.slice(from.lastIndexOf('.'))
  if (!path.endsWith(ending)) return `The name has to end in ${ending}: the code depends on it.`
  const isTaken = files.some(
    (file) => file.path !== from && file.path.toLowerCase() === path.toLowerCase(),
  )
  return isTaken ? `${path} is there already.` : undefined
}

/** The delivered files, with the code of the selected layer marked. */
export const Source = ({
  path,
  onPath,
}: {
  readonly path: string | undefined
  readonly onPath: (path: string) => void
}) => {
  const converted = useDesk((s) => s.converted)
  const layers = useDesk((s) => s.drawn?.layers)
  const selection = useDesk((s) => s.selection)
  const select = useDesk((s) => s.select)
  const screen = useDesk((s) => s.screen)
  const early = useDesk((s) => s.early)
  const shown = early ?? converted
  const files = shown?.files ?? NOTHING
  const primary = selection.at(-1)
  const thread = useMemo(
    () => (primary && layers ? findThread(files, layers, primary) : undefined),
    [files, layers, primary],
  )
  const running = useDesk((s) => s.running)
  const saidByBuild = useDesk((s) => s.buildErrors)
  const errors = useMemo(
    () => [
      ...((early ? undefined : converted?.faults) ?? NOTHING).map((fault) =>
        readFault(fault, files, layers ?? NOTHING),
      ),
      ...saidByBuild.map((said) =>
        readBuildError(said, running?.files ?? NOTHING, files, layers ?? NOTHING),
      ),
    ],
    [early, converted, saidByBuild, running, files, layers],
  )
  const [picked, setPicked] = useState<string>()
  const [renamed, setRenamed] = useState<string>()
  const translated = useDesk((s) => s.translated)
  const beside = useDesk((s) => s.beside)
  const renameFile = useDesk((s) => s.renameFile)

  // Selecting a layer opens the file its code is in, and showing a screen the screen's file.
  useEffect(() => {
    if (thread) setPicked(thread.path)
  }, [thread])
  const pagePath = screen ? shown?.pages[screen]?.path : undefined
  useEffect(() => {
    if (pagePath) setPicked(pagePath)
  }, [pagePath])

  const current = files.find((f) => f.path === picked) ?? files[0]
  useEffect(() => {
    if (current && current.path !== path) onPath(current.path)
  }, [current, path, onPath])

  const wrong = useMemo(
    () =>
      errors.flatMap(({ thread: own, message }) =>
        own && own.path === current?.path
          ? own.spans.slice(0, 1).map((span) => ({ ...span, message }))
          : [],
      ),
    [errors, current?.path],
  )

  if (!current) {
    return (
      <p className="p-4 text-soft">
        {converted ? 'There is no code: nothing is selected for conversion.' : 'Converting …'}
      </p>
    )
  }
  const { content } = current
  return (
    <div className="@container flex h-full flex-col">
      <FileTree files={files} current={current.path} onPick={setPicked} onRename={setRenamed} />
      {renamed !== undefined && (
        <NameDialog
          title="Rename or move file"
          label="Path in the project"
          initial={renamed}
          findProblem={(path) => findPathProblem(path, renamed, files)}
          onClose={() => setRenamed(undefined)}
          onDone={(path) => {
            setRenamed(undefined)
            if (path === renamed) return
            renameFile(shown?.origins[renamed] ?? renamed, path)
            setPicked(path)
          }}
        />
      )}
      <div className="flex shrink-0 items-center gap-2 border-b border-rule px-3 py-1 text-xs">
        <BesideSelect />
        <span className="flex-1" />
        {thread && (
          <button
            type="button"
            title="Copy the code of the selected layer, with its rules"
            className="h-6 rounded-sm border border-rule bg-sheet px-2 hover:border-ink"
            onClick={() => copyText(snippetOf(files, thread.path, thread.spans[0]!), 'The layer')}
          >
            Copy layer
          </button>
        )}
        <HouseStyleButton />
      </div>
      <BuildErrors
        errors={errors}
        onOpen={({ layer, path: said }) => {
          if (layer !== undefined) select([layer])
          const file = files.find((one) => one.path === said || shown?.origins[one.path] === said)
          if (file) setPicked(file.path)
        }}
      />
      <TokenLine />
      <div className="flex min-h-0 flex-1 flex-col @2xl:flex-row">
        <div className="min-h-0 min-w-0 flex-1">
          {content.kind === 'text' ? (
            <CodeView
              path={current.path}
              text={content.text}
              spans={thread?.path === current.path ? thread.spans : NOTHING}
              wrong={wrong}
              onPlace={(offset) => {
                const layer = findLayerAtOffset(current, offset)
                if (layer) select([layer])
              }}
            />
          ) : (
            <p className="p-4 text-soft">
              A picture of {Math.round((content.base64.length * 3) / 4 / 100) / 10} kB. It is part
              of the download.
            </p>
          )}
        </div>
        {translated && translated.target === beside && beside !== shown?.target && (
          <div className="min-h-0 min-w-0 flex-1 border-t border-ink @2xl:border-t-0 @2xl:border-l">
            <BesideCode translated={translated} />
          </div>
        )}
      </div>
    </div>
  )
}
