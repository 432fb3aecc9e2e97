import { useMemo, useState } from 'react'
import { ActionMenu } from '../../../shared/ui/ActionMenu'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { freeKey, type Box, type Edit } from '@unimorph/core'
import type { LayerRow } from '../../../engine/protocol'
import { messageOf } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { listArrangeActions, type ArrangeAction } from '../model/arrange'
import { useDesk } from '../model/desk-store'
import { rasterise } from '../model/rasterise'
import { BoxDialog, LayoutDialog } from './HandDialogs'

type Asking = Extract<ArrangeAction, { asks: unknown }>

/** A layer's box in the coordinates of what holds it, as edits count it. */
const useOwnBox = (row: LayerRow): Box => {
  const layers = useDesk((s) => s.drawn?.layers) ?? []
  const at = layers.findIndex((layer) => layer.key === row.key)
  const parent = layers.slice(0, at).findLast((layer) => layer.depth === row.depth - 1)
  const round = (value: number): number => Math.round(value * 100) / 100
  const { x, y, width, height } = row.box
  return {
    x: round(x - (parent?.box.x ?? 0)),
    y: round(y - (parent?.box.y ?? 0)),
    width: round(width),
    height: round(height),
  }
}

/** Asks how something is done, where a name does not say it. */
const Question = ({
  action: { asks, layer },
  onDone,
  onClose,
}: {
  action: Asking
  onDone: (edit: Edit) => void
  onClose: () => void
}) => {
  const layers = useDesk((s) => s.drawn?.layers)
  const box = useOwnBox(layer)
  if (asks === 'layout') {
    return <LayoutDialog layer={layer.key} onDone={onDone} onClose={onClose} />
  }
  if (asks === 'crop') {
    return (
      <BoxDialog
        title="Crop the picture"
        explanation="What lies inside this box stays as it is, the rest is cut off."
        initial={box}
        action="Crop"
        onClose={onClose}
        onDone={(cut) =>
          onDone({
            kind: 'crop',
            layer: layer.key,
            box: cut,
            key: freeKey(`${layer.key}-crop`, new Set(layers?.map((row) => row.key))),
          })
        }
      />
    )
  }
  return (
    <BoxDialog
      title="Set the box"
      explanation="Counted from the upper left corner of what holds the layer, in px."
      initial={box}
      action="Set"
      onClose={onClose}
      onDone={(next) => onDone({ kind: 'set-box', layer: layer.key, box: next })}
    />
  )
}

/** What can be done by hand with the selected layers; doing it, and asking first where that is called for. */
export const useArrange = () => {
  const layers = useDesk((s) => s.drawn?.layers)
  const selection = useDesk((s) => s.selection)
  const edit = useDesk((s) => s.edit)
  const select = useDesk((s) => s.select)
  const [asking, setAsking] = useState<ArrangeAction>()
  const actions = useMemo(() => {
    const all = layers ?? []
    const chosen = new Set(selection)
    const rows = all.filter((row) => chosen.has(row.key))
    return listArrangeActions(rows, new Set(all.map((row) => row.key)))
  }, [layers, selection])
  const layerFile = useDesk((s) => s.layerFile)
  const close = (): void => setAsking(undefined)
  /** What was made is what a person goes on with. */
  const apply = async (made: Edit): Promise<void> => {
    await edit(made)
    if ('key' in made) select([made.key])
  }
  const finish = (made: Edit): void => {
    close()
    void apply(made)
  }
  const makePicture = async ({ key, name, box }: LayerRow): Promise<void> => {
    const file = await layerFile(key, 'svg')
    if (typeof file?.content !== 'string') throw new Error('This layer cannot be drawn.')
    const picture = await rasterise(file.content, box.width, box.height)
    const keys = new Set((layers ?? []).map((row) => row.key))
    const made = freeKey(`${key}-picture`, keys)
    await apply({ kind: 'make-graphic', layers: [key], key: made, name, picture })
  }
  const run = (action: ArrangeAction): void => {
    if ('asks' in action && action.asks === 'picture') {
      makePicture(action.layer).catch((error: unknown) => showProblem(messageOf(error)))
    } else if ('asks' in action || action.warning) setAsking(action)
    else void apply(action.edit)
  }
  const question =
    asking &&
    ('asks' in asking ? (
      <Question action={asking} onDone={finish} onClose={close} />
    ) : (
      <Modal title={asking.label} isOpen onClose={() => setAsking(undefined)}>
        <p className="mt-3">{asking.warning}</p>
        <div className="mt-5 flex justify-end gap-2">
          <Button onClick={() => setAsking(undefined)}>Cancel</Button>
          <Button tone="main" onClick={() => finish(asking.edit)}>
            {asking.label} anyway
          </Button>
        </div>
      </Modal>
    ))
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
