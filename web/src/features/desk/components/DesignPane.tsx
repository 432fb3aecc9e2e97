import { useState, type PointerEvent } from 'react'
import type { Box } from '@unimorph/core'
import type { ScreenDrawing } from '../../../engine/protocol'
import { useDesk } from '../model/desk-store'
import { boxBetween, findLayerAt, findLayersIn } from '../model/hit-test'
import { useStage } from '../model/stage-store'
import { cornerMarks, InkLine, Marks, scaleBox } from './Drafting'
import { Measures } from './Measures'
import { ScreenPicture } from './ScreenPicture'
import { Arranged, Evidence } from './StructureOverlay'
import { TextOverlay } from './TextOverlay'

type Props = { readonly screen: ScreenDrawing; readonly scale: number }
type Point = { readonly x: number; readonly y: number }

/** A drag shorter than this is a click. */
const DRAG_PX = 4

const placed = (box: Box, scale: number) => ({
  left: box.x * scale,
  top: box.y * scale,
  width: box.width * scale,
  height: box.height * scale,
})

type OverlayProps = { readonly screen: string; readonly scale: number }

const VEIL = 'absolute bg-[#23211c]/60 will-change-transform'

/**
 * Darkens everything but one layer: four plain rectangles around it, which need no painting however tall the screen is.
 */
const Alone = ({ box, scale }: { readonly box: Box; readonly scale: number }) => {
  // Whole px: parts that share a fraction of one would show a seam.
  const edge = (px: number): number => Math.max(0, Math.round(px * scale))
  const [left, top] = [edge(box.x), edge(box.y)]
  const [right, bottom] = [edge(box.x + box.width), edge(box.y + box.height)]
  const [width, height] = [right - left, bottom - top]
  return (
    <div aria-hidden className="pointer-events-none absolute inset-0">
      <div className={VEIL} style={{ left: 0, right: 0, top: 0, height: top }} />
      <div className={VEIL} style={{ left: 0, top, width: left, height }} />
      <div className={VEIL} style={{ left: right, right: 0, top, height }} />
      <div className={VEIL} style={{ left: 0, right: 0, top: bottom, bottom: 0 }} />
      <div data-testid="alone" className="absolute" style={{ left, top, width, height }} />
    </div>
  )
}

/** The layer that is pointed at, outlined; while the key for that is held, it or the selected one alone. */
const Pointed = ({ screen, scale }: OverlayProps) => {
  const isAlone = useStage((s) => s.isAlone)
  const pointed = useDesk((s) => s.pointed)
  const selected = useDesk((s) => s.selection.at(-1))
  const key = pointed ?? (isAlone ? selected : undefined)
  const layer = useDesk((s) => s.drawn?.layers.find((l) => l.key === key))
  if (key === undefined || layer?.screen !== screen) return null
  if (isAlone) return <Alone box={layer.box} scale={scale} />
  return (
    <div
      aria-hidden
      data-testid="pointed"
      className="pointer-events-none absolute outline-1 outline-ink ring-1 ring-paper/80"
      style={placed(layer.box, scale)}
    />
  )
}

/** Marks at the corners of the selected layers. The thread begins and ends at the box of the last. */
const Selection = ({ screen, scale }: OverlayProps) => {
  const layers = useDesk((s) => s.drawn?.layers)
  const selection = useDesk((s) => s.selection)
  const selected = new Set(selection)
  const primary = selection.at(-1)
  return (
    <Marks testId="selection">
      {layers
        ?.filter((l) => selected.has(l.key) && l.screen === screen)
        .map(({ key, box }) => {
          const place = scaleBox(box, scale)
          return (
            <g key={key}>
              <InkLine d={cornerMarks(place)} />
              {key === primary && <rect data-thread="design" fill="none" {...place} />}
            </g>
          )
        })}
    </Marks>
  )
}

/** Picking layers with the pointer: one by a click, several with a frame drawn around them. */
const usePicking = (screen: string, scale: number) => {
  const select = useDesk((s) => s.select)
  const point = useDesk((s) => s.point)
  const [drag, setDrag] = useState<{ from: Point; to: Point }>()

  const pointOf = (event: PointerEvent<HTMLDivElement>): Point => {
    const { left, top } = event.currentTarget.getBoundingClientRect()
    return { x: (event.clientX - left) / scale, y: (event.clientY - top) / scale }
  }
  const isDrag = (d: { from: Point; to: Point }): boolean =>
    Math.hypot(d.to.x - d.from.x, d.to.y - d.from.y) * scale > DRAG_PX

  const finish = (event: PointerEvent<HTMLDivElement>): void => {
    if (!drag) return
    setDrag(undefined)
    const adds = event.ctrlKey || event.metaKey || event.shiftKey
    const { drawn, selection } = useDesk.getState()
    const layers = drawn?.layers ?? []
    const before = adds ? selection : []
    if (isDrag(drag)) {
      const found = findLayersIn(layers, screen, boxBetween(drag.from, drag.to)).map((l) => l.key)
      select([...before.filter((key) => !found.includes(key)), ...found])
      return
    }
    const found = findLayerAt(layers, screen, drag.to.x, drag.to.y)
    if (found) select([...before.filter((key) => key !== found.key), found.key])
  }
  return {
    frame: drag && isDrag(drag) ? boxBetween(drag.from, drag.to) : undefined,
    handlers: {
      onPointerDown: (event: PointerEvent<HTMLDivElement>) => {
        if (event.button !== 0) return
        event.currentTarget.setPointerCapture(event.pointerId)
        const point = pointOf(event)
        setDrag({ from: point, to: point })
      },
      onPointerMove: (event: PointerEvent<HTMLDivElement>) => {
        const at = pointOf(event)
        if (drag) setDrag({ ...drag, to: at })
        else point(findLayerAt(useDesk.getState().drawn?.layers ?? [], screen, at.x, at.y)?.key)
      },
      onPointerLeave: () => point(undefined),
      onPointerUp: finish,
      onPointerCancel: () => setDrag(undefined),
    },
  }
}

/**
 * The design as it was drawn, as pictures: drawn once, they cost nothing afterwards, and they can run or load
 * nothing. On top of it lie the selection, its measures and, on demand, the text.
 */
export const DesignPane = ({ screen, scale }: Props) => {
  const pointer = useStage((s) => s.pointer)
  const { frame, handlers } = usePicking(screen.key, scale)
  const isAlone = useStage((s) => s.isAlone)
  const onText = pointer === 'text'

  return (
    <div
      data-testid="design"
      role="group"
      aria-label={`Design of ${screen.name}`}
      {...(onText ? {} : handlers)}
      className="relative touch-none bg-white shadow-sm outline outline-rule"
      style={{ width: screen.width * scale, height: screen.height * scale }}
    >
      <div className="absolute inset-0 overflow-hidden">
        <ScreenPicture screen={screen} />
        {onText && <TextOverlay screen={screen.key} scale={scale} />}
      </div>
      <Pointed screen={screen.key} scale={scale} />
      {!isAlone && <Arranged screen={screen.key} scale={scale} />}
      <Selection screen={screen.key} scale={scale} />
      <Evidence screen={screen.key} scale={scale} />
      {!onText && !frame && !isAlone && <Measures screen={screen.key} scale={scale} />}
      {frame && (
        <div
          aria-hidden
          className="pointer-events-none absolute border border-dashed border-ink bg-paper/30"
          style={placed(frame, scale)}
        />
      )}
    </div>
  )
}
