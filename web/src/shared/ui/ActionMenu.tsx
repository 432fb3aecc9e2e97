import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react'
import type { ReactNode } from 'react'

type Props = {
  /** Accessible name, where what the button shows does not say enough. */
  readonly label?: string
  readonly children: ReactNode
  readonly className: string
  readonly anchor: 'bottom start' | 'bottom end'
  readonly actions: readonly (readonly [label: string, run: () => void])[]
}

/** A button with a list of things to do. */
export const ActionMenu = ({ label, children, className, anchor, actions }: Props) => (
  <Menu>
    <MenuButton {...(label ? { 'aria-label': label } : {})} className={className}>
      {children}
    </MenuButton>
    <MenuItems
      anchor={anchor}
      className="z-40 max-h-[70vh] overflow-auto rounded-sm border border-ink bg-sheet py-1 shadow-md focus:outline-none"
    >
      {actions.map(([name, run]) => (
        <MenuItem key={name}>
          <button
            type="button"
            onClick={run}
            className="block w-full min-w-36 px-3 py-1 text-left data-focus:bg-tint"
          >
            {name}
          </button>
        </MenuItem>
      ))}
    </MenuItems>
  </Menu>
)
