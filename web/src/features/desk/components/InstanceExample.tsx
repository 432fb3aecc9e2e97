import { useState } from 'react'
import { useDesk } from '../model/desk-store'
import { excerpt } from '../model/excerpt'
import { findThread } from '../model/threads'
import { LayerPicture } from './LayerPicture'

/** One instance after the other: what it looks like, and the code it gives. */
export const InstanceExample = ({ layers }: { readonly layers: readonly string[] }) => {
  const rows = useDesk((s) => s.drawn?.layers)
  const files = useDesk((s) => s.converted?.files)
  const [at, setAt] = useState(0)
  const key = layers[Math.min(at, layers.length - 1)]
  if (key === undefined || !rows || !files) return null
  const thread = findThread(files, rows, key)
  const content = files.find(({ path }) => path === thread?.path)?.content
  const span = thread?.spans[0]
  const code = content?.kind === 'text' && span ? excerpt(content.text, span) : undefined
  const step = (by: number): void => setAt((now) => (now + by + layers.length) % layers.length)
  return (
    <figure className="mb-3">
      <div className="overflow-hidden">
        <LayerPicture row={rows.find((row) => row.key === key)} />
      </div>
      {layers.length > 1 && (
        <div className="mt-1 flex items-center gap-1 text-soft tabular-nums">
          <button
            type="button"
            aria-label="Instance before"
            className="h-6 w-6 rounded-sm hover:bg-tint"
            onClick={() => step(-1)}
          >
            ‹
          </button>
          <span>
            {Math.min(at, layers.length - 1) + 1} of {layers.length}
          </span>
          <button
            type="button"
            aria-label="Next instance"
            className="h-6 w-6 rounded-sm hover:bg-tint"
            onClick={() => step(1)}
          >
            ›
          </button>
        </div>
      )}
      {code !== undefined && (
        <figcaption className="mt-1">
          <pre
            role="region"
            aria-label="The code it gives"
            tabIndex={0}
            className="overflow-x-auto rounded-sm border border-rule bg-sheet p-2 font-mono text-[11px]/4"
          >
            {code}
          </pre>
        </figcaption>
      )}
    </figure>
  )
}
