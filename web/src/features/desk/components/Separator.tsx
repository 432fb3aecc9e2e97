import type { PointerEvent } from 'react'
import { followPointer } from '../../../shared/lib/follow-pointer'

type Props = {
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
  /** Which way the pointer moves to make the value larger. */
  readonly grows: 'right' | 'left'
  /** Px of value for a px of the pointer. */
  readonly rate?: number
  readonly onChange: (value: number) => void
  readonly className?: string
}

const STEP = 16

/** A bar between two parts that is dragged, or moved with the arrow keys. */
export const Separator = ({
  label,
  value,
  min,
  max,
  grows,
  rate = 1,
  onChange,
  className = '',
}: Props) => {
  const sign = grows === 'right' ? 1 : -1
  const limit = (next: number): number => Math.round(Math.min(max, Math.max(min, next)))

  const drag = (event: PointerEvent<HTMLDivElement>): void => {
    const startX = event.clientX
    followPointer(event, ({ clientX }) => onChange(limit(value + (clientX - startX) * sign * rate)))
  }

  return (
    <div
      role="separator"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={label}
      aria-valuenow={value}
      aria-valuemin={min}
      aria-valuemax={max}
      onPointerDown={drag}
      onKeyDown={(event) => {
        const direction = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
        if (!direction) return
        event.preventDefault()
        onChange(limit(value + direction * sign * STEP))
      }}
      className={`relative z-10 -mx-1 w-2 shrink-0 cursor-col-resize touch-none after:absolute after:inset-y-0 after:left-1 after:w-px after:bg-rule hover:after:w-0.5 hover:after:bg-settled ${className}`}
    />
  )
}
