import { useEffect, useState } from 'react'
import { useDesk } from '../model/desk-store'
import { useStage } from '../model/stage-store'
import { threadPaths, type Anchors, type Rect } from '../model/thread-path'
import { InkLine } from './Drafting'

const rectOf = (element: Element): Rect => {
  const { left, top, right, bottom } = element.getBoundingClientRect()
  return { left, top, right, bottom }
}

const anchor = (selector: string, laneSelector: string): Anchors['row'] => {
  const element = document.querySelector(selector)
  const lane = element?.closest(laneSelector)
  return element && lane ? { rect: rectOf(element), lane: rectOf(lane) } : undefined
}

const STAGE = '[aria-label="Design and result"]'

const findAnchors = (key: string): Anchors => ({
  row: anchor(`[role=row][data-key="${CSS.escape(key)}"]`, '[role=treegrid]'),
  design: anchor('[data-thread=design]', STAGE),
  result: anchor('[data-thread=result]', STAGE),
  code: anchor('.cm-thread', '.cm-scroller'),
})

/** Calls back whenever something on the desk may have moved, once a frame at most. */
const followMoves = (measure: () => void): (() => void) => {
  let frame = 0
  const schedule = (): void => {
    cancelAnimationFrame(frame)
    // What follows a change is laid out in the frame after it.
    frame = requestAnimationFrame(() => {
      measure()
      frame = requestAnimationFrame(measure)
    })
  }
  const events = ['scroll', 'resize', 'pointerup', 'keyup', 'wheel', 'message'] as const
  for (const type of events) {
    window.addEventListener(type, schedule, { capture: true, passive: true })
  }
  const sizes = new ResizeObserver(schedule)
  document.querySelectorAll('main, main > *').forEach((element) => sizes.observe(element))
  const stops = [useDesk.subscribe(schedule), useStage.subscribe(schedule)]
  schedule()
  return () => {
    cancelAnimationFrame(frame)
    for (const type of events) window.removeEventListener(type, schedule, { capture: true })
    sizes.disconnect()
    stops.forEach((stop) => stop())
  }
}

/** The line that joins the selected layer's row, its boxes and its first line of code. */
export const Thread = () => {
  const key = useDesk((s) => s.selection.at(-1))
  const [path, setPath] = useState('')
  useEffect(() => {
    if (key === undefined) return setPath('')
    return followMoves(() => setPath(threadPaths(findAnchors(key)).join('')))
  }, [key])
  if (path === '') return null
  return (
    <svg
      aria-hidden
      data-testid="thread"
      className="pointer-events-none fixed inset-0 z-20 h-full w-full opacity-70"
    >
      <InkLine d={path} />
    </svg>
  )
}
