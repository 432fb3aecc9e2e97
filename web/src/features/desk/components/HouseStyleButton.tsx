import { useState } from 'react'
import { Button } from '../../../shared/ui/Button'
import { HouseStyle } from './HouseStyle'

/** Opens the settings of how code is written and where files lie. */
export const HouseStyleButton = () => {
  const [isOpen, setIsOpen] = useState(false)
  return (
    <>
      <Button
        tone="bare"
        title="How code is written, what files are called and where they lie"
        onClick={() => setIsOpen(true)}
      >
        House style
      </Button>
      {isOpen && <HouseStyle onClose={() => setIsOpen(false)} />}
    </>
  )
}
