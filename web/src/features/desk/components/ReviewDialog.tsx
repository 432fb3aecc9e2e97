import { useState } from 'react'
import type { Finding, ReadingChoice } from '@unimorph/core'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { useDesk } from '../model/desk-store'

const WIDE = { width: 260, height: 150 }
const NARROW = { width: 84, height: 150 }
const GAP = 6

type Place = {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

const around = (boxes: readonly Place[]): Place => {
  const x = Math.min(...boxes.map((b) => b.x))
  const y = Math.min(...boxes.map((b) => b.y))
  return {
    x,
    y,
    width: Math.max(...boxes.map((b) => b.x + b.width)) - x,
    height: Math.max(...boxes.map((b) => b.y + b.height)) - y,
  }
}

/** As it is drawn, the groups outlined and the cells numbered in the order they are read. */
const WideSketch = ({ groups }: Pick<ReadingChoice, 'groups'>) => {
  const whole = around(groups.flat())
  const scale = Math.min((WIDE.width - 16) / whole.width, (WIDE.height - 16) / whole.height)
  const place = (box: Place): Place => ({
    x: 8 + (box.x - whole.x) * scale,
    y: 8 + (box.y - whole.y) * scale,
    width: Math.max(6, box.width * scale),
    height: Math.max(6, box.height * scale),
  })
  let order = 0
  return (
    <svg {...WIDE} aria-hidden className="bg-paper">
      {groups.map((group, i) => {
        const edge = place(around(group))
        return (
          <g key={i}>
            <rect
              x={edge.x - 4}
              y={edge.y - 4}
              width={edge.width + 8}
              height={edge.height + 8}
              className="fill-settled/10 stroke-settled"
            />
            {group.map((box, j) => {
              const at = place(box)
              return (
                <g key={j}>
                  <rect {...at} className="fill-sheet stroke-soft" />
                  <text
                    x={at.x + 3}
                    y={at.y + Math.min(11, at.height)}
                    className="fill-ink text-[9px]"
                  >
                    {++order}
                  </text>
                </g>
              )
            })}
          </g>
        )
      })}
    </svg>
  )
}

/** On a narrow screen: everything under each other, in the order it is read. */
const NarrowSketch = ({ groups }: Pick<ReadingChoice, 'groups'>) => {
  const count = groups.flat().length
  const room = NARROW.height - 16 - GAP * (groups.length - 1)
  const height = room / count
  let y = 8
  let order = 0
  return (
    <svg {...NARROW} aria-hidden className="bg-paper">
      {groups.map((group, i) => {
        const top = y
        const rows = group.map((_, j) => {
          const own = y
          y += height
          return (
            <g key={j}>
              <rect
                x={8}
                y={own}
                width={68}
                height={height - 1.5}
                className="fill-sheet stroke-soft"
              />
              <text x={11} y={own + Math.min(11, height - 2)} className="fill-ink text-[9px]">
                {++order}
              </text>
            </g>
          )
        })
        const bottom = y
        y += GAP
        return (
          <g key={i}>
            <rect
              x={5}
              y={top - 2}
              width={74}
              height={bottom - top + 2}
              className="fill-settled/10 stroke-settled"
            />
            {rows}
          </g>
        )
      })}
    </svg>
  )
}

type Props = { readonly doubts: readonly Finding[]; readonly onClose: () => void }

/** Goes through the readings that are nearly equal, one after the other, by keyboard or pointer. */
export const ReviewDialog = ({ doubts, onClose }: Props) => {
  const edit = useDesk((s) => s.edit)
  const [queue] = useState(doubts)
  const [at, setAt] = useState(0)
  const finding = queue[at]
  const next = (): void => {
    if (at + 1 < queue.length) setAt(at + 1)
    else onClose()
  }
  const choose = (choice: ReadingChoice): void => {
    void edit({ kind: 'together', label: choice.label, edits: [...choice.edits] })
    next()
  }
  if (!finding?.choices) return null
  const { choices, message } = finding
  return (
    <Modal title="Rows or columns?" isOpen onClose={onClose} size="wide">
      <div
        role="group"
        aria-label="Readings"
        onKeyDown={(event) => {
          const choice = choices[Number(event.key) - 1]
          if (choice) choose(choice)
          else if (event.key === 'ArrowRight') next()
        }}
      >
        <p className="mt-2 text-soft">
          {message} {queue.length > 1 && `${at + 1} of ${queue.length}.`}
        </p>
        <div className="mt-4 flex flex-wrap gap-4">
          {choices.map((choice, i) => (
            <button
              key={choice.label}
              type="button"
              autoFocus={choice.isChosen}
              onClick={() => choose(choice)}
              className="rounded-sm border border-rule bg-sheet p-3 text-left hover:border-ink"
            >
              <span className="mb-2 block font-semibold">
                <kbd className="mr-1.5 rounded-sm border border-rule px-1 font-mono text-xs">
                  {i + 1}
                </kbd>
                {choice.label}
                {choice.isChosen && <span className="font-normal text-soft"> (read so now)</span>}
              </span>
              <span className="flex gap-3">
                <span>
                  <WideSketch groups={choice.groups} />
                  <span className="mt-1 block text-xs text-soft">As drawn</span>
                </span>
                <span>
                  <NarrowSketch groups={choice.groups} />
                  <span className="mt-1 block text-xs text-soft">On a narrow screen</span>
                </span>
              </span>
            </button>
          ))}
        </div>
        <div className="mt-5 flex items-center justify-end gap-2">
          <span className="mr-auto text-xs text-soft">
            1 and 2 choose, the right arrow leaves it open.
          </span>
          <Button onClick={next}>Leave open</Button>
          <Button onClick={onClose}>Close</Button>
        </div>
      </div>
    </Modal>
  )
}
