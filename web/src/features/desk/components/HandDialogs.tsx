import { useState } from 'react'
import type { Box, Edit } from '@unimorph/core'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'

type Fields<K extends string> = Readonly<Record<K, number>>

const FIELD = 'mt-1 block h-8 w-full rounded-sm border border-rule bg-paper px-2'

const NumberField = ({
  label,
  value,
  least,
  onChange,
}: {
  label: string
  value: number
  least?: number
  onChange: (value: number) => void
}) => (
  <label className="block">
    <span className="text-xs text-soft">{label}</span>
    <input
      type="number"
      step="any"
      min={least}
      value={Number.isNaN(value) ? '' : value}
      onChange={(event) => onChange(event.target.valueAsNumber)}
      className={FIELD}
    />
  </label>
)

const isWhole = (fields: Fields<string>): boolean =>
  Object.values(fields).every((value) => Number.isFinite(value))

type BoxProps = {
  readonly title: string
  readonly explanation: string
  readonly initial: Box
  readonly action: string
  readonly onDone: (box: Box) => void
  readonly onClose: () => void
}

/** Asks for a box in the coordinates of the layer's container. */
export const BoxDialog = ({ title, explanation, initial, action, onDone, onClose }: BoxProps) => {
  const [box, setBox] = useState(initial)
  const isPossible = isWhole(box) && box.width >= 0 && box.height >= 0
  const set = (name: keyof Box) => (value: number) => setBox({ ...box, [name]: value })
  return (
    <Modal title={title} isOpen onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (isPossible) onDone(box)
        }}
      >
        <p className="mt-2 text-soft">{explanation}</p>
        <div className="mt-4 grid grid-cols-4 gap-3">
          <NumberField label="From the left" value={box.x} onChange={set('x')} />
          <NumberField label="From the top" value={box.y} onChange={set('y')} />
          <NumberField label="Width" least={0} value={box.width} onChange={set('width')} />
          <NumberField label="Height" least={0} value={box.height} onChange={set('height')} />
        </div>
        <div className="mt-5 flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" tone="main" disabled={!isPossible}>
            {action}
          </Button>
        </div>
      </form>
    </Modal>
  )
}

const ALIGN = ['start', 'centre', 'end', 'stretch'] as const
const DISTRIBUTE = ['start', 'centre', 'end', 'between'] as const

const Select = <T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string
  value: T
  options: readonly T[]
  onChange: (value: T) => void
}) => (
  <label className="block">
    <span className="text-xs text-soft">{label}</span>
    <select value={value} onChange={(event) => onChange(event.target.value as T)} className={FIELD}>
      {options.map((option) => (
        <option key={option}>{option}</option>
      ))}
    </select>
  </label>
)

type LayoutProps = {
  readonly layer: string
  readonly onDone: (edit: Edit) => void
  readonly onClose: () => void
}

/** Asks for the auto layout of a frame: direction, gap, padding and alignment. */
export const LayoutDialog = ({ layer, onDone, onClose }: LayoutProps) => {
  const [kind, setKind] = useState<'row' | 'column'>('row')
  const [align, setAlign] = useState<(typeof ALIGN)[number]>('start')
  const [distribute, setDistribute] = useState<(typeof DISTRIBUTE)[number]>('start')
  const [lengths, setLengths] = useState({ gap: 8, top: 0, right: 0, bottom: 0, left: 0 })
  const isPossible = isWhole(lengths) && Object.values(lengths).every((value) => value >= 0)
  const set = (name: keyof typeof lengths) => (value: number) =>
    setLengths({ ...lengths, [name]: value })
  const { gap, ...padding } = lengths
  return (
    <Modal title="Set auto layout" isOpen onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (!isPossible) return
          const layout = { kind, gap, padding, align, distribute, wrap: false }
          onDone({ kind: 'set-layout', layer, layout })
        }}
      >
        <p className="mt-2 text-soft">
          The code follows what is set here, even where the drawing stands otherwise.
        </p>
        <div className="mt-4 grid grid-cols-4 gap-3">
          <Select label="Direction" value={kind} options={['row', 'column']} onChange={setKind} />
          <NumberField label="Gap" least={0} value={gap} onChange={set('gap')} />
          <Select label="Across" value={align} options={ALIGN} onChange={setAlign} />
          <Select label="Along" value={distribute} options={DISTRIBUTE} onChange={setDistribute} />
          <NumberField label="Padding, top" least={0} value={lengths.top} onChange={set('top')} />
          <NumberField label="Right" least={0} value={lengths.right} onChange={set('right')} />
          <NumberField label="Bottom" least={0} value={lengths.bottom} onChange={set('bottom')} />
          <NumberField label="Left" least={0} value={lengths.left} onChange={set('left')} />
        </div>
        <div className="mt-5 flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button onClick={() => onDone({ kind: 'set-layout', layer, layout: null })}>
            Automatic
          </Button>
          <Button type="submit" tone="main" disabled={!isPossible}>
            Set
          </Button>
        </div>
      </form>
    </Modal>
  )
}
