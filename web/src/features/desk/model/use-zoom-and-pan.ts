import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react'
import { clampZoom, stepZoom, useStage } from './stage-store'

type Anchor = { readonly x: number; readonly y: number; readonly scale: number }

const isField = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && /^(input|textarea|select)$/i.test(target.tagName)

/**
 * Zooming with the wheel and the keyboard, keeping what is under the pointer in its place, and moving the
 * stage by dragging with the middle button or with the space bar held.
 */
export const useZoomAndPan = (lane: RefObject<HTMLDivElement | null>, scale: number): void => {
  const anchor = useRef<Anchor>(undefined)
  const latest = useRef(scale)
  latest.current = scale

  useLayoutEffect(() => {
    const element = lane.current
    const from = anchor.current
    anchor.current = undefined
    if (!element || !from) return
    const grow = scale / from.scale
    element.scrollLeft = (element.scrollLeft + from.x) * grow - from.x
    element.scrollTop = (element.scrollTop + from.y) * grow - from.y
  }, [lane, scale])

  useEffect(() => {
    const element = lane.current
    if (!element) return
    const { set } = useStage.getState()
    const zoomTo = (next: number, x: number, y: number): void => {
      anchor.current = { x, y, scale: latest.current }
      set({ zoom: clampZoom(next) })
    }
    const zoomAtCentre = (next: number): void =>
      zoomTo(next, element.clientWidth / 2, element.clientHeight / 2)

    const onWheel = (event: WheelEvent): void => {
      if (!event.ctrlKey && !event.metaKey) return
      event.preventDefault()
      const { left, top } = element.getBoundingClientRect()
      const factor = Math.exp(-event.deltaY * 0.0015)
      zoomTo(latest.current * factor, event.clientX - left, event.clientY - top)
    }

    let isSpaceDown = false
    const keys: Record<string, () => void> = {
      '+': () => zoomAtCentre(stepZoom(latest.current, 1)),
      '=': () => zoomAtCentre(stepZoom(latest.current, 1)),
      '-': () => zoomAtCentre(stepZoom(latest.current, -1)),
      '0': () => set({ zoom: 'whole' }),
      '1': () => zoomAtCentre(1),
      t: () => set({ pointer: useStage.getState().pointer === 'text' ? 'layers' : 'text' }),
    }
    const onKeyDown = (event: KeyboardEvent): void => {
      if (isField(event.target)) return
      if (event.key === ' ' && event.target === element) {
        isSpaceDown = true
        element.style.cursor = 'grab'
        event.preventDefault()
        return
      }
      const run = keys[event.key]
      if (!run || event.ctrlKey || event.metaKey || event.altKey) return
      event.preventDefault()
      run()
    }
    const onKeyUp = (event: KeyboardEvent): void => {
      if (event.key !== ' ') return
      isSpaceDown = false
      element.style.cursor = ''
    }

    let drag: { x: number; y: number } | undefined
    const onPointerDown = (event: PointerEvent): void => {
      if (event.button !== 1 && !(event.button === 0 && isSpaceDown)) return
      event.preventDefault()
      event.stopPropagation()
      drag = { x: event.clientX, y: event.clientY }
      element.setPointerCapture(event.pointerId)
    }
    const onPointerMove = (event: PointerEvent): void => {
      if (!drag) return
      element.scrollBy(drag.x - event.clientX, drag.y - event.clientY)
      drag = { x: event.clientX, y: event.clientY }
    }
    const onPointerUp = (): void => {
      drag = undefined
    }

    element.addEventListener('wheel', onWheel, { passive: false })
    element.addEventListener('keydown', onKeyDown)
    element.addEventListener('keyup', onKeyUp)
    // Before the design gets it: with the space bar held it is not a pick.
    element.addEventListener('pointerdown', onPointerDown, { capture: true })
    element.addEventListener('pointermove', onPointerMove)
    element.addEventListener('pointerup', onPointerUp)
    return () => {
      element.removeEventListener('wheel', onWheel)
      element.removeEventListener('keydown', onKeyDown)
      element.removeEventListener('keyup', onKeyUp)
      element.removeEventListener('pointerdown', onPointerDown, { capture: true })
      element.removeEventListener('pointermove', onPointerMove)
      element.removeEventListener('pointerup', onPointerUp)
    }
  }, [lane])
}
