import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react'
import type { ReactNode } from 'react'

type Props = {
  readonly title: string
  readonly isOpen: boolean
  readonly onClose: () => void
  readonly children: ReactNode
}

export const Modal = ({ title, isOpen, onClose, children }: Props) => (
  <Dialog open={isOpen} onClose={onClose} className="relative z-40">
    <DialogBackdrop className="fixed inset-0 bg-ink/30" />
    <div className="fixed inset-0 flex items-start justify-center overflow-auto p-16">
      <DialogPanel className="w-full max-w-xl rounded border border-ink bg-sheet p-5 shadow-lg">
        <DialogTitle className="text-lg font-semibold">{title}</DialogTitle>
        {children}
      </DialogPanel>
    </div>
  </Dialog>
)
