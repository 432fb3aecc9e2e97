import { useMemo } from 'react'
import { TARGETS } from '@unimorph/core'
import type { Translated } from '../../../engine/protocol'
import { useDesk } from '../model/desk-store'
import { findLayerAtOffset, findThread } from '../model/threads'
import { CodeView } from './CodeView'

const NOTHING: readonly never[] = []

/** The code of another target for what is selected: the file its code is in, else that of the screen. */
export const BesideCode = ({ translated }: { readonly translated: Translated }) => {
  const { target, files, pages } = translated
  const layers = useDesk((s) => s.drawn?.layers)
  const primary = useDesk((s) => s.selection.at(-1))
  const screen = useDesk((s) => s.screen)
  const select = useDesk((s) => s.select)
  const thread = useMemo(
    () => (primary && layers ? findThread(files, layers, primary) : undefined),
    [files, layers, primary],
  )
  const path = thread?.path ?? (screen ? pages[screen]?.path : undefined)
  const file = files.find((one) => one.path === path) ?? files[0]
  if (file?.content.kind !== 'text') return null
  return (
    <section aria-label={`${TARGETS[target].label}, beside`} className="flex h-full flex-col">
      <h3 className="flex items-baseline gap-2 border-b border-rule px-3 py-1 text-xs">
        <span className="font-semibold">{TARGETS[target].label}</span>
        <span className="truncate font-mono text-soft">{file.path}</span>
      </h3>
      <div className="min-h-0 flex-1">
        <CodeView
          path={file.path}
          text={file.content.text}
          spans={thread?.spans ?? NOTHING}
          onPlace={(offset) => {
            const layer = findLayerAtOffset(file, offset)
            if (layer) select([layer])
          }}
        />
      </div>
    </section>
  )
}
