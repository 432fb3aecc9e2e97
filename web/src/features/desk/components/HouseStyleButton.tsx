import { useState } from 'react'
import { HouseStyle } from './HouseStyle'

/** Opens the settings of how code is written and where files lie. */
export const HouseStyleButton = () => {
  const [isOpen, setIsOpen] = useState(false)
  return (
    <>
      <button
        type="button"
        className="h-6 rounded-sm border border-rule bg-sheet px-2 hover:border-ink"
        title="How code is written, what files are called and where they lie"
        onClick={() => setIsOpen(true)}
      >
        House style
      </button>
      {isOpen && <HouseStyle onClose={() => setIsOpen(false)} />}
    </>
  )
}
