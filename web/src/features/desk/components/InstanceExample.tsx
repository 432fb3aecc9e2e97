import { useState } from 'react'
import { useDesk } from '../model/desk-store'
import { findThread } from '../model/threads'
import { LayerPicture } from './LayerPicture'

const MOST_LINES = 14

/** Lines without the room that all of them begin with; the first begins where its code does. */
const dedent = (code: string): string => {
  const [first = '', ...rest] = code.split('\n')
  const rooms = rest.filter((line) => line.trim() !== '').map((line) => line.search(/\S/))
  const room = rooms.length === 0 ? 0 : Math.min(...rooms)
  const lines = [first, ...rest.map((line) => line.slice(room))]
  return lines.length <= MOST_LINES
    ? lines.join('\n')
    : [...lines.slice(0, MOST_LINES), '…'].join('\n')
}

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
  const code =
    content?.kind === 'text' && span ? dedent(content.text.slice(span.start, span.end)) : undefined
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
