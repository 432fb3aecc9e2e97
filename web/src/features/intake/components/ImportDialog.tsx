import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { NoteList } from '../../../shared/ui/NoteList'
import { useImport } from '../model/import-store'

/** Shows an import under way, with a way out, or why there was none. */
export const ImportDialog = () => {
  const state = useImport((s) => s.state)
  const cancel = useImport((s) => s.cancel)
  const close = useImport((s) => s.close)
  if (state.kind === 'idle') return null
  if (state.kind === 'busy') {
    return (
      <Modal title="Opening" isOpen onClose={cancel}>
        <p role="status" className="mt-3">
          {state.step} …
        </p>
        <div className="mt-5 flex justify-end">
          <Button onClick={cancel}>Cancel</Button>
        </div>
      </Modal>
    )
  }
  return (
    <Modal title="This could not be opened" isOpen onClose={close}>
      <div className="mt-3">
        <NoteList notes={state.notes} />
      </div>
      <p className="mt-2 text-soft">Your projects are as they were.</p>
      <div className="mt-5 flex justify-end">
        <Button tone="main" onClick={close}>
          Close
        </Button>
      </div>
    </Modal>
  )
}
