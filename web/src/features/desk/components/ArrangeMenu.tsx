import { useMemo, useState } from 'react'
import { ActionMenu } from '../../../shared/ui/ActionMenu'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { listArrangeActions, type ArrangeAction } from '../model/arrange'
import { useDesk } from '../model/desk-store'

/** What can be done by hand with the selected layers; doing it, and asking first where that is called for. */
export const useArrange = () => {
  const layers = useDesk((s) => s.drawn?.layers)
  const selection = useDesk((s) => s.selection)
  const edit = useDesk((s) => s.edit)
  const [asking, setAsking] = useState<ArrangeAction>()
  const actions = useMemo(() => {
    const all = layers ?? []
    const chosen = new Set(selection)
    const rows = all.filter((row) => chosen.has(row.key))
    return listArrangeActions(rows, new Set(all.map((row) => row.key)))
  }, [layers, selection])
  const run = (action: ArrangeAction): void => {
    if (action.warning) setAsking(action)
    else void edit(action.edit)
  }
  const question = asking && (
    <Modal title={asking.label} isOpen onClose={() => setAsking(undefined)}>
      <p className="mt-3">{asking.warning}</p>
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={() => setAsking(undefined)}>Cancel</Button>
        <Button
          tone="main"
          onClick={() => {
            setAsking(undefined)
            void edit(asking.edit)
          }}
        >
          {asking.label} anyway
        </Button>
      </div>
    </Modal>
  )
  return { actions, run, question }
}

/** The hand's tools for the selected layers. */
export const ArrangeMenu = () => {
  const { actions, run, question } = useArrange()
  if (actions.length === 0) return null
  return (
    <>
      <ActionMenu
        label="Arrange the selected layers"
        className="inline-flex h-6 items-center rounded-sm border border-rule bg-sheet px-2 text-xs hover:border-ink"
        anchor="bottom end"
        actions={actions.map((action) => [action.label, () => run(action)] as const)}
      >
        Arrange
      </ActionMenu>
      {question}
    </>
  )
}
