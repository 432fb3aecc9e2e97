import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react'
import type { ReactNode } from 'react'

type Props = {
  readonly title: string
  readonly isOpen: boolean
  readonly onClose: () => void
  readonly size?: 'broad' | 'wide'
  readonly children: ReactNode
}

const WIDTHS = { narrow: 'max-w-xl', broad: 'max-w-3xl', wide: 'max-w-6xl' } as const

export const Modal = ({ title, isOpen, onClose, size, children }: Props) => (
  <Dialog open={isOpen} onClose={onClose} className="relative z-40">
    <DialogBackdrop className="fixed inset-0 bg-ink/30" />
    <div
      className={`fixed inset-0 flex items-start justify-center overflow-auto ${size === 'wide' ? 'p-8' : 'p-16'}`}
    >
      <DialogPanel
        className={`w-full rounded border border-ink bg-sheet p-5 shadow-lg ${WIDTHS[size ?? 'narrow']}`}
      >
        <DialogTitle className="text-lg font-semibold">{title}</DialogTitle>
        {children}
      </DialogPanel>
    </div>
  </Dialog>
)
