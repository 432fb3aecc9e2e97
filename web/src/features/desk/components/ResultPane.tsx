import type { Box } from '@unimorph/core'
import { useCallback, useEffect, useLayoutEffect, useReducer, useRef, useState } from 'react'
import { useDesk } from '../model/desk-store'
import { beginWith, changeFrames } from '../model/result-frames'
import { resultWatch } from '../model/result-watch'
import { useForms } from '../model/forms-store'
import { cornerMarks, InkLine, Marks, scaleBox } from './Drafting'
import { toCodeKeys, toShownKey, useWidths } from '../model/widths-store'

type Props = {
  readonly html: string
  /** What must have run in a frame before the page. */
  readonly scripts: readonly string[]
  readonly width: number
  /** Height of the design: the window the page is shown in. */
  readonly height: number
  readonly scale: number
  readonly picks: boolean
  /** Whether a newer result is being built. */
  readonly isStale: boolean
  /** Whether a frame is loaded for the next page beforehand. */
  readonly keepsSpare?: boolean
}

type Message =
  | { kind: 'ready' | 'shown' }
  | { kind: 'height'; px: number }
  | { kind: 'marked'; boxes: readonly Box[] }
  | { kind: 'select'; layer: string }
  | { kind: 'follow'; href: string }
  | { kind: 'route'; route: string }
  | { kind: 'answers'; form: string; values: Readonly<Record<string, string>> }

const TALLEST_PX = 30_000

/** The page runs code of its own: what it says is checked. */
const isBox = (value: unknown): value is Box =>
  typeof value === 'object' &&
  value !== null &&
  ['x', 'y', 'width', 'height'].every((side) =>
    Number.isFinite((value as Readonly<Record<string, unknown>>)[side]),
  )

/**
 * The generated code, running in a frame of its own origin that can reach neither the app nor the network. A frame shows one
 * page; for another, one is made anew, and is seen once the page is there.
 */
export const ResultPane = ({
  html,
  scripts,
  width,
  height,
  scale,
  picks,
  isStale,
  keepsSpare = false,
}: Props) => {
  const selection = useDesk((s) => s.selection)
  const report = useWidths((s) => s.report)
  const [state, dispatch] = useReducer(changeFrames, html, beginWith)
  const [marked, setMarked] = useState<Readonly<Record<number, readonly Box[]>>>({})
  const [heights, setHeights] = useState<Readonly<Record<number, number>>>({})
  const elements = useRef(new Map<number, HTMLIFrameElement>())
  /** What frames were told, so that nothing is told twice. */
  const told = useRef(new WeakMap<HTMLIFrameElement, { scripts?: unknown; isFilled?: boolean }>())
  const { frames, shown } = state
  const seen = shown ?? frames[0]!.id

  const post = useCallback((id: number, message: unknown): void => {
    elements.current.get(id)?.contentWindow?.postMessage(message, '*')
  }, [])
  const mark = useCallback(
    (id: number): void => {
      const { report: now } = useWidths.getState()
      post(id, { kind: 'mark', layers: toCodeKeys(now, useDesk.getState().selection) })
    },
    [post],
  )

  useEffect(() => dispatch({ kind: 'want', html }), [html])
  useEffect(() => mark(seen), [mark, report, selection, seen])
  useEffect(() => post(seen, { kind: 'picks', picks }), [picks, post, seen])

  // Frames that have loaded get what the next page needs at once, and the page when there is one.
  useEffect(() => {
    for (const frame of frames) {
      const element = elements.current.get(frame.id)
      if (!frame.isReady || !element) continue
      const before = told.current.get(element) ?? {}
      if (before.isFilled) continue
      if (before.scripts !== scripts) post(frame.id, { kind: 'prepare', scripts })
      if (frame.html !== undefined) post(frame.id, { kind: 'show', html: frame.html })
      told.current.set(element, { scripts, isFilled: frame.html !== undefined })
    }
  }, [frames, post, scripts])

  // A frame says that it is ready once: who listens must do so before it can load.
  useLayoutEffect(() => {
    const receive = ({ source, data }: MessageEvent<Message | undefined>): void => {
      const id = [...elements.current].find(
        ([, { contentWindow }]) => contentWindow === source,
      )?.[0]
      if (id === undefined || typeof data !== 'object' || data === null) return
      const { select, running, showScreen } = useDesk.getState()
      const showPage = (isPage: (page: { path: string; route: string }) => boolean): void => {
        const found = Object.entries(running?.pages ?? {}).find(([, page]) => isPage(page))
        if (found) showScreen(found[0])
      }
      switch (data.kind) {
        case 'ready':
          dispatch({ kind: 'ready', id })
          break
        case 'shown':
          dispatch({ kind: 'shown', id, keepsSpare })
          post(id, { kind: 'picks', picks })
          mark(id)
          break
        case 'height': {
          const { px } = data
          if (typeof px === 'number') setHeights((now) => ({ ...now, [id]: px }))
          break
        }
        case 'marked':
          if (Array.isArray(data.boxes)) setMarked({ [id]: data.boxes.filter(isBox) })
          break
        case 'select':
          select([
            toShownKey(useWidths.getState().report, useDesk.getState().screen, String(data.layer)),
          ])
          break
        case 'follow':
          showPage((page) => page.path === data.href)
          break
        case 'route':
          if (id === seen) showPage((page) => page.route === data.route)
          break
        case 'answers':
          void useForms.getState().add(String(data.form), data.values)
      }
    }
    window.addEventListener('message', receive)
    return () => window.removeEventListener('message', receive)
  }, [keepsSpare, mark, picks, post, seen])

  const isBusy = isStale || frames.some((frame) => frame.html !== undefined && frame.id !== shown)
  useEffect(() => {
    if (!keepsSpare) return
    resultWatch.say(isBusy ? 'older' : 'newest')
  }, [isBusy, keepsSpare])
  useEffect(() => {
    if (!keepsSpare) return
    return () => resultWatch.say(undefined)
  }, [keepsSpare])
  const tall = Math.min(TALLEST_PX, Math.max(height, heights[seen] ?? height))
  return (
    <div
      className="relative bg-white shadow-sm outline outline-rule"
      style={{ width: width * scale, height: tall * scale }}
    >
      <div className="absolute inset-0 overflow-hidden">
        {frames.map(({ id }) => {
          const isSeen = id === seen
          return (
            <iframe
              key={id}
              ref={(element) => {
                if (element) elements.current.set(id, element)
                else elements.current.delete(id)
              }}
              data-testid={isSeen ? 'result' : undefined}
              title={isSeen ? 'Generated code, running' : 'What will run next'}
              aria-busy={isSeen && isBusy}
              aria-hidden={!isSeen}
              tabIndex={isSeen ? undefined : -1}
              src="/preview"
              sandbox="allow-scripts allow-forms"
              scrolling="no"
              className={`absolute top-0 left-0 origin-top-left border-0 ${isSeen ? '' : 'pointer-events-none opacity-0'}`}
              style={{ width, height: tall, transform: `scale(${scale})` }}
            />
          )
        })}
      </div>
      <Marks testId="result-selection">
        {(marked[seen] ?? []).map((box, i, all) => {
          const place = scaleBox(box, scale)
          return (
            <g key={i}>
              <InkLine d={cornerMarks(place)} />
              {keepsSpare && i === all.length - 1 && (
                <rect data-thread="result" fill="none" {...place} />
              )}
            </g>
          )
        })}
      </Marks>
    </div>
  )
}
