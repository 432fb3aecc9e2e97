import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { NoteList } from '../../../shared/ui/NoteList'
import { useImport } from '../model/import-store'
import { Review } from './Review'

const Bar = ({ share }: { readonly share: number }) => (
  <div
    role="progressbar"
    aria-label="Progress"
    aria-valuemin={0}
    aria-valuemax={100}
    aria-valuenow={Math.round(share * 100)}
    className="mt-3 h-1.5 rounded-sm bg-rule"
  >
    <div className="h-full rounded-sm bg-settled" style={{ width: `${share * 100}%` }} />
  </div>
)

/** Shows an import under way, what is in the files before they are taken in, or why they cannot be. */
export const ImportDialog = () => {
  const state = useImport((s) => s.state)
  const cancel = useImport((s) => s.cancel)
  const close = useImport((s) => s.close)
  switch (state.kind) {
    case 'idle':
      return null
    case 'review':
      return <Review key={state.preview.name} review={state} />
    case 'busy':
      return (
        <Modal title="Opening" isOpen onClose={cancel}>
          <p role="status" className="mt-3">
            {state.step} …
          </p>
          {state.share !== undefined && <Bar share={state.share} />}
          <div className="mt-5 flex justify-end">
            <Button onClick={cancel}>Cancel</Button>
          </div>
        </Modal>
      )
    case 'failed':
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
}
