import { NARROWEST_PX, WIDEST_PX } from '@unimorph/core'
import { useEffect, useRef, useState } from 'react'
import { Button } from '../../../shared/ui/Button'
import { useDesk } from '../model/desk-store'
import { clampZoom, useStage } from '../model/stage-store'
import { usePreview } from '../model/use-preview'
import { useZoomAndPan } from '../model/use-zoom-and-pan'
import { DesignPane } from './DesignPane'
import { ResultPane } from './ResultPane'
import { Separator } from './Separator'
import { WidthRuler } from './WidthRuler'
import { WidthStrip } from './WidthStrip'

const MARGIN = 24
/** From this lane width on, design and result stand beside each other; below it, one under the other. */
const BESIDE_FROM = 860

const useSize = () => {
  const ref = useRef<HTMLDivElement>(null)
  const [size, setSize] = useState({ width: 0, height: 0 })
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect
      setSize({ width, height })
    })
    observer.observe(ref.current!)
    return () => observer.disconnect()
  }, [])
  return { ref, ...size }
}

/** The converted page that shows a screen: itself, or the selected part of it. */
const findPage = (
  pages: Readonly<Record<string, unknown>>,
  screen: string | undefined,
  parts: readonly string[],
): string | undefined => {
  if (screen && screen in pages) return screen
  return parts.find((key) => key in pages) ?? Object.keys(pages)[0]
}

/** The design and the running code at the same scale. */
export const Stage = () => {
  const { view, zoom, picks, width, set } = useStage()
  const drawn = useDesk((s) => s.drawn)
  const running = useDesk((s) => s.running)
  const screenKey = useDesk((s) => s.screen)
  const scope = useDesk((s) => s.scope)
  const lane = useSize()
  const screen = drawn?.screens.find((s) => s.key === screenKey)
  const parts = scope.kind === 'layers' ? scope.keys : []
  const page = running && findPage(running.pages, screenKey, parts)
  const { html, scripts, isStale } = usePreview(running, page)
  const part = drawn?.layers.find((l) => l.key === page)
  const natural = part?.box ?? { width: screen?.width ?? 1280, height: screen?.height ?? 800 }
  const setWidth = (px: number | undefined): void => set({ width: px })
  useEffect(() => set({ width: undefined }), [screenKey, page, set])

  const resultWidth = width ?? Math.max(NARROWEST_PX, Math.round(natural.width))
  const isBeside = lane.width >= BESIDE_FROM && view === 'both'
  const room = (isBeside ? lane.width / 2 : lane.width) - 2 * MARGIN
  const widest = Math.max(screen?.width ?? 0, Math.min(natural.width, WIDEST_PX))
  const toWidth = room / (widest || 1280)
  const toHeight = (lane.height - 3 * MARGIN) / (screen?.height || 800)
  const fitting = zoom === 'whole' ? Math.min(toWidth, toHeight) : toWidth
  const scale = typeof zoom === 'number' ? zoom : Math.min(1, clampZoom(fitting))
  useZoomAndPan(lane.ref, scale)

  return (
    <div className="flex h-full flex-col">
      {view !== 'design' && view !== 'strip' && (
        <WidthRuler value={resultWidth} onChange={setWidth} />
      )}
      <div
        ref={lane.ref}
        tabIndex={0}
        role="region"
        aria-label="Design and result"
        className="min-h-0 flex-1 overflow-auto -outline-offset-2"
      >
        <div className={`flex w-max min-w-full gap-6 p-6 ${isBeside ? '' : 'flex-col'}`}>
          {view === 'strip' && html && (
            <WidthStrip
              html={html}
              scripts={scripts}
              isStale={isStale}
              height={natural.height}
              laneHeight={lane.height}
            />
          )}
          {screen && (view === 'both' || view === 'design') && (
            <figure>
              <figcaption className="mb-1.5 flex h-6 items-center text-xs text-soft">
                Design, {Math.round(screen.width)} px wide
              </figcaption>
              <DesignPane screen={screen} scale={scale} />
            </figure>
          )}
          {(view === 'both' || view === 'result') && (
            <figure>
              <figcaption className="mb-1.5 flex h-6 items-center gap-2 text-xs text-soft">
                <label className="flex items-center gap-1.5">
                  Result, width
                  <input
                    type="number"
                    min={NARROWEST_PX}
                    max={WIDEST_PX}
                    value={resultWidth}
                    onChange={(event) => {
                      const next = event.target.valueAsNumber
                      if (next >= NARROWEST_PX && next <= WIDEST_PX) setWidth(next)
                    }}
                    className="h-5 w-16 rounded-sm border border-rule bg-sheet px-1 text-ink"
                  />
                  px
                </label>
                {running?.target === 'flutter' && (
                  <span title="Flutter itself does not run here: its code is read and laid out by Flutter's rules of layout.">
                    by a stand-in for Flutter
                  </span>
                )}
                {html && isStale && <span role="status">building …</span>}
                {width !== undefined && (
                  <Button
                    tone="bare"
                    className="h-5! px-1! text-xs"
                    onClick={() => setWidth(undefined)}
                  >
                    As drawn
                  </Button>
                )}
              </figcaption>
              {html ? (
                <div className="flex w-max">
                  <ResultPane
                    html={html}
                    scripts={scripts}
                    keepsSpare
                    width={resultWidth}
                    height={natural.height}
                    scale={scale}
                    picks={picks}
                    isStale={isStale}
                  />
                  <Separator
                    label="Width of the result"
                    value={resultWidth}
                    min={NARROWEST_PX}
                    max={WIDEST_PX}
                    grows="right"
                    rate={1 / scale}
                    onChange={setWidth}
                    className="ml-0! w-3! self-stretch after:w-1 after:rounded after:bg-soft"
                  />
                </div>
              ) : (
                <p className="p-4 text-soft">
                  {running?.files.length === 0
                    ? 'There is nothing to show: every layer is hidden or left out.'
                    : 'Converting …'}
                </p>
              )}
            </figure>
          )}
        </div>
      </div>
    </div>
  )
}
