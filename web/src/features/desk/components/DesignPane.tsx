import { useEffect, useRef, type MouseEvent } from 'react'
import type { ScreenDrawing } from '../../../engine/protocol'
import { useDesk } from '../model/desk-store'
import { findLayerAt } from '../model/hit-test'

type Props = { readonly screen: ScreenDrawing; readonly scale: number }

/** The design as it was drawn, with the selected layers outlined. */
export const DesignPane = ({ screen, scale }: Props) => {
  const layers = useDesk((s) => s.drawn?.layers)
  const selection = useDesk((s) => s.selection)
  const select = useDesk((s) => s.select)
  const host = useRef<HTMLDivElement>(null)

  // A shadow root keeps the drawing's ids and styles apart from the page's. The markup is our own drawing,
  // in which every text of the design is escaped.
  useEffect(() => {
    const root = host.current!.shadowRoot ?? host.current!.attachShadow({ mode: 'open' })
    root.innerHTML = `<style>svg{display:block;width:100%;height:100%}</style>${screen.svg}`
  }, [screen.svg])

  const pick = (event: MouseEvent<HTMLDivElement>): void => {
    const { left, top } = event.currentTarget.getBoundingClientRect()
    const [x, y] = [(event.clientX - left) / scale, (event.clientY - top) / scale]
    const found = findLayerAt(layers ?? [], screen.key, x, y)
    if (!found) return
    const adds = event.ctrlKey || event.metaKey || event.shiftKey
    select(adds ? [...selection.filter((k) => k !== found.key), found.key] : [found.key])
  }

  return (
    <div
      data-testid="design"
      role="img"
      aria-label={`Design of ${screen.name}`}
      onClick={pick}
      className="relative overflow-hidden bg-white shadow-sm outline outline-rule"
      style={{ width: screen.width * scale, height: screen.height * scale }}
    >
      <div ref={host} className="h-full w-full" />
      {layers
        ?.filter((l) => l.screen === screen.key && selection.includes(l.key))
        .map(({ key, box }) => (
          <div
            key={key}
            aria-hidden
            className="pointer-events-none absolute outline-2 -outline-offset-1 outline-[#2a6340]"
            style={{
              left: box.x * scale,
              top: box.y * scale,
              width: box.width * scale,
              height: box.height * scale,
            }}
          />
        ))}
    </div>
  )
}
