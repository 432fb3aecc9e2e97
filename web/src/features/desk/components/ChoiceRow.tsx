import type { ReactNode } from 'react'

type Props = {
  readonly isChosen: boolean
  readonly onChoose: () => void
  readonly children: ReactNode
}

/** A row of a list of which one is chosen. */
export const ChoiceRow = ({ isChosen, onChoose, children }: Props) => (
  <li className={`border-l-2 ${isChosen ? 'border-settled bg-tint' : 'border-transparent'}`}>
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      className="flex w-full items-baseline gap-2 px-3 py-0.5 text-left text-xs hover:bg-tint"
    >
      {children}
    </button>
  </li>
)
