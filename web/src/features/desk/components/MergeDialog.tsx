import { useState } from 'react'
import type { TokenRow } from '../../../engine/protocol'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'

type Props = {
  readonly token: TokenRow
  readonly others: readonly TokenRow[]
  readonly onDone: (into: string) => void
  readonly onClose: () => void
}

/** Asks which token another one becomes part of. */
export const MergeDialog = ({ token, others, onDone, onClose }: Props) => {
  const [into, setInto] = useState(others[0]?.name ?? '')
  return (
    <Modal title={`Merge ${token.name}`} isOpen onClose={onClose}>
      {others.length === 0 ? (
        <p className="mt-3">There is no other token of its kind to merge it into.</p>
      ) : (
        <label className="mt-4 block">
          <span className="text-soft">What uses it will use</span>
          <select
            value={into}
            onChange={(event) => setInto(event.target.value)}
            className="mt-1 block h-9 w-full rounded-sm border border-rule bg-paper px-2"
          >
            {others.map((other) => (
              <option key={other.name}>{other.name}</option>
            ))}
          </select>
        </label>
      )}
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={onClose}>Cancel</Button>
        <Button tone="main" disabled={into === ''} onClick={() => onDone(into)}>
          Merge
        </Button>
      </div>
    </Modal>
  )
}
