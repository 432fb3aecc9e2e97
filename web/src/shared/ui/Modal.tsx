import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react'
import type { ReactNode } from 'react'

type Props = {
  readonly title: string
  readonly isOpen: boolean
  readonly onClose: () => void
  readonly size?: 'wide'
  readonly children: ReactNode
}

export const Modal = ({ title, isOpen, onClose, size, children }: Props) => (
  <Dialog open={isOpen} onClose={onClose} className="relative z-40">
    <DialogBackdrop className="fixed inset-0 bg-ink/30" />
    <div
      className={`fixed inset-0 flex items-start justify-center overflow-auto ${size === 'wide' ? 'p-8' : 'p-16'}`}
    >
      <DialogPanel
        className={`w-full rounded border border-ink bg-sheet p-5 shadow-lg ${size === 'wide' ? 'max-w-6xl' : 'max-w-xl'}`}
      >
        <DialogTitle className="text-lg font-semibold">{title}</DialogTitle>
        {children}
      </DialogPanel>
    </div>
  </Dialog>
)
