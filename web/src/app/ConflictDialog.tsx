import { useConflicts } from '../shared/lib/conflicts-store'
import { Button } from '../shared/ui/Button'
import { Modal } from '../shared/ui/Modal'

const shown = (value: unknown): string =>
  value === undefined ? 'not set' : typeof value === 'string' ? value : JSON.stringify(value)

/** Asks whose changes hold, of what was changed here and in another window at once. */
export const ConflictDialog = () => {
  const asked = useConflicts((s) => s.asked)
  if (!asked) return null
  const { what, conflicts, answer } = asked
  return (
    <Modal
      title={`The ${what} changed in another window, too`}
      isOpen
      // Who does not decide takes nothing from the other.
      onClose={() => answer('theirs')}
      size="broad"
    >
      <p className="mt-1 text-soft">
        All other changes of both are kept. Choose for what both changed.
      </p>
      <div
        className="mt-3 max-h-[50vh] overflow-auto"
        tabIndex={0}
        role="region"
        aria-label="What both changed"
      >
        <table className="w-full table-fixed text-left text-xs">
          <thead>
            <tr className="border-b border-ink">
              {['What', 'Here', 'In the other window'].map((title) => (
                <th key={title} scope="col" className="px-2 py-1 font-semibold">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {conflicts.map(({ path, mine, theirs }) => (
              <tr key={path} className="border-b border-rule align-top">
                <th scope="row" className="px-2 py-1 font-mono font-normal break-words">
                  {path}
                </th>
                {[mine, theirs].map((value, side) => (
                  <td key={side} className="px-2 py-1 font-mono break-words">
                    {shown(value)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={() => answer('theirs')}>Keep theirs</Button>
        <Button tone="main" onClick={() => answer('mine')}>
          Keep mine
        </Button>
      </div>
    </Modal>
  )
}
