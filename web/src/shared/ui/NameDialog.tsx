import { useState } from 'react'
import { Button } from './Button'
import { Modal } from './Modal'

type Props = {
  readonly title: string
  readonly initial: string
  readonly action?: string
  readonly label?: string
  /** What is wrong with a name, in a sentence. */
  readonly findProblem?: (name: string) => string | undefined
  readonly onDone: (name: string) => void
  readonly onClose: () => void
}

/** Asks for a name. */
export const NameDialog = ({
  title,
  initial,
  action = 'Rename',
  label = 'Name',
  findProblem,
  onDone,
  onClose,
}: Props) => {
  const [name, setName] = useState(initial)
  const clean = name.trim()
  const problem = clean === '' ? undefined : findProblem?.(clean)
  return (
    <Modal title={title} isOpen onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (clean && !problem) onDone(clean)
        }}
      >
        <label className="mt-4 block">
          <span className="text-soft">{label}</span>
          <input
            autoFocus
            value={name}
            maxLength={200}
            onChange={(event) => setName(event.target.value)}
            onFocus={(event) => event.target.select()}
            aria-invalid={problem !== undefined}
            className="mt-1 block h-9 w-full rounded-sm border border-rule bg-paper px-3"
          />
        </label>
        {problem && (
          <p role="alert" className="mt-1 text-sm text-problem">
            {problem}
          </p>
        )}
        <div className="mt-5 flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" tone="main" disabled={!clean || problem !== undefined}>
            {action}
          </Button>
        </div>
      </form>
    </Modal>
  )
}
