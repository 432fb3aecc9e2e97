import { Outlet } from 'react-router'
import { DropAnywhere, ImportDialog } from '../features/intake'
import { ConflictDialog } from './ConflictDialog'
import { Toasts } from '../shared/ui/Toasts'

/** What surrounds every page: files can be dropped or pasted anywhere, messages appear at the bottom. */
export const Frame = () => (
  <DropAnywhere>
    <Outlet />
    <ImportDialog />
    <ConflictDialog />
    <Toasts />
  </DropAnywhere>
)
