import { useState, type PointerEvent } from 'react'
import type { Box } from '@unimorph/core'
import type { ScreenDrawing } from '../../../engine/protocol'
import { useDesk } from '../model/desk-store'
import { boxBetween, findLayerAt, findLayersIn } from '../model/hit-test'
import { useStage } from '../model/stage-store'
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
 * Darkens everything but the layer that is pointed at in the outline: four plain rectangles around it, which
 * need no painting however tall the screen is.
 */
const Lamp = ({ screen, scale }: OverlayProps) => {
  const lit = useDesk((s) => s.lit)
  const layer = useDesk((s) => s.drawn?.layers.find((l) => l.key === lit))
  if (lit === undefined || layer?.screen !== screen) return null
  const { box } = layer
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
      <div data-testid="lamp" className="absolute" style={{ left, top, width, height }} />
    </div>
  )
}

/** The selected layers, outlined. */
const Selection = ({ screen, scale }: OverlayProps) => {
  const layers = useDesk((s) => s.drawn?.layers)
  const selection = useDesk((s) => s.selection)
  const selected = new Set(selection)
  return layers
    ?.filter((l) => selected.has(l.key) && l.screen === screen)
    .map(({ key, box }) => (
      <div
        key={key}
        aria-hidden
        className="pointer-events-none absolute outline-2 -outline-offset-1 outline-[#2a6340]"
        style={placed(box, scale)}
      />
    ))
}

/** Picking layers with the pointer: one by a click, several with a frame drawn around them. */
const usePicking = (screen: string, scale: number) => {
  const select = useDesk((s) => s.select)
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
        if (drag) setDrag({ ...drag, to: pointOf(event) })
      },
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
  const onText = pointer === 'text'

  return (
    <div
      data-testid="design"
      role="group"
      aria-label={`Design of ${screen.name}`}
      {...(onText ? {} : handlers)}
      className="relative touch-none overflow-hidden bg-white shadow-sm outline outline-rule"
      style={{ width: screen.width * scale, height: screen.height * scale }}
    >
      <ScreenPicture screen={screen} />
      {onText && <TextOverlay screen={screen.key} scale={scale} />}
      <Lamp screen={screen.key} scale={scale} />
      <Arranged screen={screen.key} scale={scale} />
      <Selection screen={screen.key} scale={scale} />
      <Evidence screen={screen.key} scale={scale} />
      {!onText && !frame && <Measures screen={screen.key} scale={scale} />}
      {frame && (
        <div
          aria-hidden
          className="pointer-events-none absolute border border-dashed border-[#2a6340] bg-[#2a6340]/10"
          style={placed(frame, scale)}
        />
      )}
    </div>
  )
}
