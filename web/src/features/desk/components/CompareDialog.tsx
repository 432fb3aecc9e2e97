import { useEffect, useState } from 'react'
import type { Edit } from '@unimorph/core'
import type { Comparison } from '../../../engine/structure'
import { messageOf } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { useDesk } from '../model/desk-store'

type Props = {
  readonly title: string
  readonly edits: readonly Edit[]
  readonly onApply: () => void
  readonly onClose: () => void
}

const PANE = 'absolute inset-0 overflow-auto p-3 font-mono text-xs leading-5 whitespace-pre'

/** Lines that stand on one side alone are marked, so that the eye finds them while the edge moves. */
const Lines = ({ text, other, mark }: { text: string; other: string; mark: string }) => {
  const known = new Set(other.split('\n').map((line) => line.trim()))
  return text.split('\n').map((line, i) => (
    <div key={i} className={known.has(line.trim()) ? '' : mark}>
      {line || ' '}
    </div>
  ))
}

/** The code and the layers before and after some edits, one over the other with an edge that is moved. */
export const CompareDialog = ({ title, edits, onApply, onClose }: Props) => {
  const compare = useDesk((s) => s.compare)
  const screen = useDesk((s) => s.screen)
  const [comparison, setComparison] = useState<Comparison>()
  const [shows, setShows] = useState<'code' | 'tree'>('code')
  const [edge, setEdge] = useState(50)
  useEffect(() => {
    if (!screen) return
    compare(edits, screen)
      .then(setComparison)
      .catch((error: unknown) => showProblem(messageOf(error)))
  }, [compare, edits, screen])
  const [before, after] = [comparison?.before[shows] ?? '', comparison?.after[shows] ?? '']
  return (
    <Modal title={title} isOpen onClose={onClose} size="wide">
      <div className="mt-3 flex items-center gap-2">
        <Button aria-pressed={shows === 'code'} onClick={() => setShows('code')}>
          Code
        </Button>
        <Button aria-pressed={shows === 'tree'} onClick={() => setShows('tree')}>
          Layers
        </Button>
        <span className="min-w-0 flex-1 truncate text-xs text-soft">{comparison?.path}</span>
        <label className="flex items-center gap-2 text-xs">
          Before
          <input
            type="range"
            min={0}
            max={100}
            value={edge}
            aria-label="Edge between before and after"
            onChange={(event) => setEdge(event.target.valueAsNumber)}
            className="w-56 accent-[#2a6340]"
          />
          After
        </label>
      </div>
      <div className="relative mt-3 h-[52vh] overflow-hidden rounded-sm border border-rule bg-paper">
        {comparison ? (
          <>
            <div className={PANE} aria-label="After">
              <Lines text={after} other={before} mark="bg-settled/15" />
            </div>
            <div
              className={`${PANE} bg-sheet`}
              aria-label="Before"
              style={{ clipPath: `inset(0 ${edge}% 0 0)` }}
            >
              <Lines text={before} other={after} mark="bg-problem/15" />
            </div>
            <div
              aria-hidden
              className="absolute inset-y-0 w-px bg-ink"
              style={{ left: `${100 - edge}%` }}
            />
          </>
        ) : (
          <p className="p-3 text-soft">Converting both …</p>
        )}
      </div>
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={onClose}>Close</Button>
        <Button tone="main" onClick={onApply}>
          Apply
        </Button>
      </div>
    </Modal>
  )
}
