import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { NARROWEST_PX, WIDEST_PX } from '@unimorph/core'
import { followPointer } from '../../../shared/lib/follow-pointer'
import { useWidths } from '../model/widths-store'

type Props = { readonly value: number; readonly onChange: (px: number) => void }

const STEP = 8

/** Widths are spread by proportion: from 320 to 640 is as far as from 1280 to 2560. */
const toShare = (px: number): number =>
  Math.log(px / NARROWEST_PX) / Math.log(WIDEST_PX / NARROWEST_PX)
const toPx = (share: number): number =>
  Math.round(NARROWEST_PX * (WIDEST_PX / NARROWEST_PX) ** share)
const at = (px: number): string =>
  `${Math.min(1, Math.max(0, toShare(Math.max(NARROWEST_PX, px)))) * 100}%`
const limit = (px: number): number => Math.min(WIDEST_PX, Math.max(NARROWEST_PX, Math.round(px)))

/** All widths of the window: where the screen was drawn, where it changes, where something breaks. */
export const WidthRuler = ({ value, onChange }: Props) => {
  const bar = useRef<HTMLDivElement>(null)
  const report = useWidths((s) => s.report)
  const breaks = useWidths((s) => s.faults?.breaks)
  const drawn = report?.artboards.map((artboard) => artboard.widthPx) ?? []
  const steps = report?.steps.filter((px) => px > NARROWEST_PX && !drawn.includes(px)) ?? []
  const stops = [...new Set([NARROWEST_PX, ...steps, ...drawn, WIDEST_PX])].sort((a, b) => a - b)

  const drag = (event: PointerEvent<HTMLDivElement>): void => {
    const { left, width } = bar.current!.getBoundingClientRect()
    const go = (x: number): void =>
      onChange(limit(toPx(Math.min(1, Math.max(0, (x - left) / width)))))
    go(event.clientX)
    followPointer(event, ({ clientX }) => go(clientX))
  }
  const press = (event: KeyboardEvent): void => {
    const next = {
      ArrowRight: value + (event.shiftKey ? 1 : STEP),
      ArrowLeft: value - (event.shiftKey ? 1 : STEP),
      Home: NARROWEST_PX,
      End: WIDEST_PX,
      PageUp: stops.find((px) => px > value) ?? WIDEST_PX,
      PageDown: stops.findLast((px) => px < value) ?? NARROWEST_PX,
    }[event.key]
    if (next === undefined) return
    event.preventDefault()
    onChange(limit(next))
  }

  return (
    <div className="border-b border-rule bg-paper px-6 pt-1 pb-1.5 text-[11px] text-soft">
      <div
        ref={bar}
        role="slider"
        tabIndex={0}
        aria-label="Width of the window"
        aria-valuemin={NARROWEST_PX}
        aria-valuemax={WIDEST_PX}
        aria-valuenow={value}
        aria-valuetext={`${value} px`}
        onPointerDown={drag}
        onKeyDown={press}
        className="relative h-8 cursor-col-resize touch-none select-none"
      >
        <div aria-hidden className="absolute inset-x-0 bottom-2.5 border-b border-ink" />
        {steps.map((px) => (
          <span
            key={px}
            aria-hidden
            className="absolute bottom-1 h-3 border-l border-dashed border-soft"
            style={{ left: at(px) }}
            title={`Changes from ${px} px on`}
          />
        ))}
        {drawn.map((px) => (
          <span
            key={px}
            aria-hidden
            className="absolute bottom-0 flex -translate-x-1/2 flex-col items-center"
            style={{ left: at(px) }}
          >
            <span className="tabular-nums">{px}</span>
            <span className="h-3.5 border-l-2 border-ink" />
          </span>
        ))}
        {breaks?.map((found, i) => (
          <span
            key={i}
            aria-hidden
            title={`Something breaks from ${found.fromPx} to ${found.toPx} px`}
            className="absolute bottom-0 h-1.5 min-w-1 bg-problem"
            style={{
              left: at(found.fromPx),
              width: `calc(${at(found.toPx)} - ${at(found.fromPx)})`,
            }}
          />
        ))}
        <span
          aria-hidden
          className="absolute top-0 bottom-0 flex -translate-x-1/2 flex-col items-center"
          style={{ left: at(value) }}
        >
          <span className="bg-paper px-0.5 font-semibold text-ink tabular-nums underline underline-offset-2">
            {value}
          </span>
          <span className="flex-1 border-l-2 border-ink" />
        </span>
      </div>
    </div>
  )
}
