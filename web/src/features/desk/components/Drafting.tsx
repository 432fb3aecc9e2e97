import { useId, type ReactNode } from 'react'
import type { Box } from '@unimorph/core'

/**
 * The marks of a technical drawing, in px of the stage. Each is ink with a narrow edge of paper, so that it can be read on any
 * design in both themes.
 */
export const Marks = ({
  children,
  testId,
}: {
  readonly children: ReactNode
  readonly testId?: string
}) => (
  <svg
    aria-hidden
    data-testid={testId}
    className="pointer-events-none absolute inset-0 h-full w-full overflow-visible"
  >
    {children}
  </svg>
)

/** A thin line, as path data. */
export const InkLine = ({ d }: { readonly d: string }) => (
  <g fill="none" strokeLinecap="butt">
    <path d={d} className="stroke-paper/80" strokeWidth={3} />
    <path d={d} className="stroke-ink" strokeWidth={1} />
  </g>
)

/** Words or a figure beside a line, without a box behind them. */
export const Figure = ({
  x,
  y,
  anchor = 'middle',
  children,
}: {
  readonly x: number
  readonly y: number
  readonly anchor?: 'start' | 'middle' | 'end'
  readonly children: ReactNode
}) => (
  <text
    x={x}
    y={y}
    textAnchor={anchor}
    className="fill-ink stroke-paper text-[11px] tabular-nums"
    strokeWidth={3}
    strokeLinejoin="round"
    paintOrder="stroke"
  >
    {children}
  </text>
)

const GAP_PX = 2
const TICK_PX = 9

/** Marks around the corners of a box, outside it. */
export const cornerMarks = ({ x, y, width, height }: Box): string =>
  [
    [x, y, -1, -1],
    [x + width, y, 1, -1],
    [x, y + height, -1, 1],
    [x + width, y + height, 1, 1],
  ]
    .map(
      ([cx, cy, dx, dy]) =>
        `M${cx! + dx! * GAP_PX} ${cy}h${dx! * TICK_PX}M${cx} ${cy! + dy! * GAP_PX}v${dy! * TICK_PX}`,
    )
    .join('')

const HATCH_PX = 6

/** Hatched areas: one slant for gaps, the other for padding. */
export const Hatching = ({
  areas,
  slant,
}: {
  readonly areas: readonly Box[]
  readonly slant: 'gap' | 'padding'
}) => {
  const id = useId()
  return (
    <>
      <pattern
        id={id}
        width={HATCH_PX}
        height={HATCH_PX}
        patternUnits="userSpaceOnUse"
        patternTransform={`rotate(${slant === 'gap' ? 45 : -45})`}
      >
        <rect width={HATCH_PX} height={HATCH_PX} className="fill-paper/30" />
        <rect width={1} height={HATCH_PX} className="fill-ink/50" />
      </pattern>
      {areas.map(({ x, y, width, height }, i) => (
        <rect key={i} x={x} y={y} width={width} height={height} fill={`url(#${id})`} />
      ))}
    </>
  )
}

/** A box of the design on the stage. */
export const scaleBox = ({ x, y, width, height }: Box, scale: number): Box => ({
  x: x * scale,
  y: y * scale,
  width: width * scale,
  height: height * scale,
})
