import { useEffect, useState } from 'react'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { useShelf } from '../shelf-store'

const formatDay = (time: number): string =>
  new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' }).format(time)

/** What was removed and can still be had back; or be deleted for good, when that is confirmed. */
export const BinDialog = ({ onClose }: { readonly onClose: () => void }) => {
  const { bin, loadBin, restore, deleteForGood } = useShelf()
  const [sure, setSure] = useState<string>()
  useEffect(() => {
    void loadBin()
  }, [loadBin])
  return (
    <Modal title="Bin" isOpen onClose={onClose} size="broad">
      <p className="mt-1 text-soft">
        Projects you removed stay here for 30 days. Then they are deleted for good.
      </p>
      {bin?.length === 0 && (
        <p className="py-4">The bin is empty. Remove a project on the shelf to put it here.</p>
      )}
      <ul className="mt-3 max-h-[50vh] overflow-auto">
        {bin?.map(({ id, name, removedAt, goneAt }) => (
          <li key={id} className="flex items-center gap-2 border-t border-rule py-2">
            <span className="min-w-0 flex-1">
              <span className="block truncate font-semibold">{name}</span>
              <span className="block text-xs text-soft">
                Removed {formatDay(removedAt)}, deleted for good on {formatDay(goneAt)}
              </span>
            </span>
            <Button aria-label={`Restore ${name}`} onClick={() => void restore(id)}>
              Restore
            </Button>
            {sure === id ? (
              <Button
                aria-label={`Delete ${name} for good; this cannot be undone`}
                className="border-problem text-problem"
                onClick={() => void deleteForGood(id)}
              >
                Delete, no undo
              </Button>
            ) : (
              <Button aria-label={`Delete ${name} for good …`} onClick={() => setSure(id)}>
                Delete for good …
              </Button>
            )}
          </li>
        ))}
      </ul>
      <div className="mt-4 flex justify-end">
        <Button onClick={onClose}>Close</Button>
      </div>
    </Modal>
  )
}
