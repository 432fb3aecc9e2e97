import { useEffect, useState, type MouseEvent } from 'react'
import type { ScreenDrawing } from '../../../engine/protocol'
import { useDesk } from '../model/desk-store'
import { findLayerAt } from '../model/hit-test'

type Props = { readonly screen: ScreenDrawing; readonly scale: number }

/**
 * An address for an SVG text. As a picture it is drawn once and costs nothing afterwards; thousands of
 * elements in the page itself would slow down every frame. A picture can also run or load nothing.
 */
const useObjectAddress = (svg: string): string | undefined => {
  const [address, setAddress] = useState<string>()
  useEffect(() => {
    const created = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
    setAddress(created)
    return () => URL.revokeObjectURL(created)
  }, [svg])
  return address
}

/** The design as it was drawn, with the selected layers outlined. */
export const DesignPane = ({ screen, scale }: Props) => {
  const layers = useDesk((s) => s.drawn?.layers)
  const selection = useDesk((s) => s.selection)
  const select = useDesk((s) => s.select)
  const address = useObjectAddress(screen.svg)

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
      {address && <img src={address} alt="" draggable={false} className="block h-full w-full" />}
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
