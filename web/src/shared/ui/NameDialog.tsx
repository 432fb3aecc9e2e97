import { useState } from 'react'
import { Button } from './Button'
import { Modal } from './Modal'

type Props = {
  readonly title: string
  readonly initial: string
  readonly action?: string
  readonly onDone: (name: string) => void
  readonly onClose: () => void
}

/** Asks for a name. */
export const NameDialog = ({ title, initial, action = 'Rename', onDone, onClose }: Props) => {
  const [name, setName] = useState(initial)
  const clean = name.trim()
  return (
    <Modal title={title} isOpen onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (clean) onDone(clean)
        }}
      >
        <label className="mt-4 block">
          <span className="text-soft">Name</span>
          <input
            autoFocus
            value={name}
            maxLength={200}
            onChange={(event) => setName(event.target.value)}
            onFocus={(event) => event.target.select()}
            className="mt-1 block h-9 w-full rounded-sm border border-rule bg-paper px-3"
          />
        </label>
        <div className="mt-5 flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" tone="main" disabled={!clean}>
            {action}
          </Button>
        </div>
      </form>
    </Modal>
  )
}
