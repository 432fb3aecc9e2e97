import { useEffect, useLayoutEffect, useRef, useState } from 'react'
import { useDesk } from '../model/desk-store'
import { useForms } from '../model/forms-store'
import { toCodeKeys, toShownKey, useWidths } from '../model/widths-store'

type Props = {
  readonly html: string
  readonly width: number
  /** Height of the design: the window the page is shown in. */
  readonly height: number
  readonly scale: number
  readonly picks: boolean
  /** Whether a newer result is being built. */
  readonly isStale: boolean
}

type Message =
  | { kind: 'ready' | 'shown' }
  | { kind: 'height'; px: number }
  | { kind: 'select'; layer: string }
  | { kind: 'follow'; href: string }
  | { kind: 'route'; route: string }
  | { kind: 'answers'; form: string; values: Readonly<Record<string, string>> }

const TALLEST_PX = 30_000

/**
 * The generated code, running in a frame of its own origin that can reach neither the app nor the network.
 * A frame shows one page; for another, the pane is made anew (by its `key`), so that nothing goes on running.
 */
export const ResultPane = ({ html, width, height, scale, picks, isStale }: Props) => {
  const frame = useRef<HTMLIFrameElement>(null)
  const selection = useDesk((s) => s.selection)
  const report = useWidths((s) => s.report)
  const [content, setContent] = useState(height)
  const [isShown, setShown] = useState(false)
  const post = (message: unknown): void => frame.current?.contentWindow?.postMessage(message, '*')

  useEffect(() => setContent(height), [height, width])
  useEffect(
    () => post({ kind: 'mark', layers: toCodeKeys(report, selection) }),
    [report, selection],
  )
  useEffect(() => post({ kind: 'picks', picks }), [picks])

  // The frame says that it is ready once: who listens must do so before it can load.
  useLayoutEffect(() => {
    const receive = ({ source, data }: MessageEvent<Message | undefined>): void => {
      if (source !== frame.current?.contentWindow || typeof data !== 'object' || data === null)
        return
      const { select, converted, showScreen } = useDesk.getState()
      const showPage = (isPage: (page: { path: string; route: string }) => boolean): void => {
        const found = Object.entries(converted?.preview.pages ?? {}).find(([, page]) =>
          isPage(page),
        )
        if (found) showScreen(found[0])
      }
      switch (data.kind) {
        case 'ready':
          post({ kind: 'show', html })
          break
        case 'shown':
          setShown(true)
          post({ kind: 'picks', picks })
          post({
            kind: 'mark',
            layers: toCodeKeys(useWidths.getState().report, useDesk.getState().selection),
          })
          break
        case 'height':
          if (typeof data.px === 'number')
            setContent(Math.min(TALLEST_PX, Math.max(height, data.px)))
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
          showPage((page) => page.route === data.route)
          break
        case 'answers':
          void useForms.getState().add(String(data.form), data.values)
      }
    }
    window.addEventListener('message', receive)
    return () => window.removeEventListener('message', receive)
  }, [height, html, picks])

  return (
    <div
      className="relative overflow-hidden bg-white shadow-sm outline outline-rule"
      style={{ width: width * scale, height: content * scale }}
    >
      <iframe
        ref={frame}
        data-testid="result"
        title="Generated code, running"
        aria-busy={isStale || !isShown}
        src="/preview"
        sandbox="allow-scripts allow-forms"
        scrolling="no"
        className="origin-top-left border-0"
        style={{ width, height: content, transform: `scale(${scale})` }}
      />
    </div>
  )
}
