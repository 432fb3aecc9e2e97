import { useState } from 'react'
import type { Note } from '@unimorph/core'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { NoteList } from '../../../shared/ui/NoteList'
import { useDesk } from '../model/desk-store'

const ORDER = { error: 0, warning: 1, info: 2 } as const

const count = (notes: readonly Note[], severity: Note['severity']): number =>
  notes.filter((n) => n.severity === severity).length

/** What was noted on the way from the file to the code: how much, and on demand what. */
export const NotesPanel = () => {
  const project = useDesk((s) => s.project)
  const drawn = useDesk((s) => s.drawn)
  const converted = useDesk((s) => s.converted)
  const select = useDesk((s) => s.select)
  const [isOpen, setIsOpen] = useState(false)
  const all = [...(project?.notes ?? []), ...(converted?.notes ?? [])].sort(
    (a, b) => ORDER[a.severity] - ORDER[b.severity],
  )
  const known = new Set(drawn?.layers.map((l) => l.key))
  const serious = count(all, 'error') + count(all, 'warning')
  return (
    <>
      <Button onClick={() => setIsOpen(true)}>
        Notes
        <span className={serious > 0 ? 'font-semibold text-doubt' : 'text-soft'}>
          {serious > 0 ? `${serious} ! of ${all.length}` : all.length}
        </span>
      </Button>
      <Modal title="Notes" isOpen={isOpen} onClose={() => setIsOpen(false)}>
        <div
          className="mt-2 max-h-[60vh] overflow-auto"
          tabIndex={0}
          role="region"
          aria-label="List of notes"
        >
          {all.length === 0 ? (
            <p className="py-3 text-soft">
              Nothing to note: everything in the design was carried over.
            </p>
          ) : (
            <NoteList
              notes={all.map((n) =>
                n.where.layer && !known.has(n.where.layer) ? { ...n, where: {} } : n,
              )}
              onShow={(layer) => {
                setIsOpen(false)
                select([layer])
              }}
            />
          )}
        </div>
        <div className="mt-4 flex justify-end">
          <Button tone="main" onClick={() => setIsOpen(false)}>
            Close
          </Button>
        </div>
      </Modal>
    </>
  )
}
