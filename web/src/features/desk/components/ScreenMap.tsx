import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import type { ScreenDrawing } from '../../../engine/protocol'
import { useDesk } from '../model/desk-store'
import { layOutMap, type MapCard, type MapLine } from '../model/lay-out-map'
import { ScreenPicture } from './ScreenPicture'

const CARD = { width: 168, height: 132, gapX: 84, gapY: 28 } as const

const placeOf = ({ column, row }: MapCard): { readonly x: number; readonly y: number } => ({
  x: column * (CARD.width + CARD.gapX),
  y: row * (CARD.height + CARD.gapY),
})

/** From the side of one card to the side of another; back to an earlier column it goes below. */
const pathOf = ({ from, to }: MapLine): string => {
  const [a, b] = [placeOf(from), placeOf(to)]
  if (to.column > from.column) {
    const [x1, y1] = [a.x + CARD.width, a.y + CARD.height / 2 - 8]
    const [x2, y2] = [b.x - 4, b.y + CARD.height / 2 - 8]
    const bend = (x2 - x1) / 2
    return `M${x1} ${y1}C${x1 + bend} ${y1} ${x2 - bend} ${y2} ${x2} ${y2}`
  }
  const [x1, y1] = [a.x, a.y + CARD.height / 2 + 8]
  const [x2, y2] = [b.x + CARD.width + 4, b.y + CARD.height / 2 + 8]
  if (to.column < from.column) {
    const bend = Math.max(24, (x1 - x2) / 2)
    return `M${x1} ${y1}C${x1 - bend} ${y1} ${x2 + bend} ${y2} ${x2} ${y2}`
  }
  const right = a.x + CARD.width
  return `M${right} ${y1}C${right + 40} ${y1} ${right + 40} ${y2} ${right + 4} ${y2}`
}

const Thumbnail = ({ drawing }: { readonly drawing: ScreenDrawing | undefined }) => (
  <span className="block h-24 w-full overflow-hidden bg-white">
    {drawing && (
      <span
        className="relative block w-full"
        style={{ aspectRatio: drawing.width / drawing.height }}
      >
        <ScreenPicture screen={drawing} />
      </span>
    )}
  </span>
)

/** The screens of the project with what leads from one to the other. */
export const ScreenMap = ({ onClose }: { readonly onClose: () => void }) => {
  const flow = useDesk((s) => s.converted?.flow) ?? []
  const drawings = useDesk((s) => s.drawn?.screens) ?? []
  const showScreen = useDesk((s) => s.showScreen)
  const select = useDesk((s) => s.select)
  const { cards, lines } = layOutMap(flow)
  const width = Math.max(1, ...cards.map((card) => placeOf(card).x + CARD.width + 48))
  const height = Math.max(1, ...cards.map((card) => placeOf(card).y + CARD.height + 8))
  const nameOf = new Map(cards.map((card) => [card.key, card.name]))
  return (
    <Modal title="Map of the screens" isOpen onClose={onClose} size="wide">
      {cards.length < 2 ? (
        <p className="py-4 text-soft">
          There is one screen. Convert all screens to see how they lead to one another.
        </p>
      ) : (
        <>
          <div
            className="mt-3 max-h-[50vh] overflow-auto border border-rule bg-paper p-4"
            tabIndex={0}
            role="region"
            aria-label="Map"
          >
            <div className="relative" style={{ width, height }}>
              <svg
                aria-hidden
                className="absolute inset-0 overflow-visible"
                width={width}
                height={height}
              >
                <defs>
                  <marker
                    id="map-end"
                    viewBox="0 0 8 8"
                    refX="7"
                    refY="4"
                    markerWidth="7"
                    markerHeight="7"
                    orient="auto"
                  >
                    <path d="M0 0L8 4L0 8z" className="fill-ink" />
                  </marker>
                </defs>
                {lines.map((line) => (
                  <path
                    key={`${line.from.key} ${line.to.key}`}
                    d={pathOf(line)}
                    fill="none"
                    markerEnd="url(#map-end)"
                    strokeDasharray={line.kind === 'opens' ? '4 3' : undefined}
                    className="stroke-ink"
                  />
                ))}
              </svg>
              {cards.map((card) => {
                const { x, y } = placeOf(card)
                return (
                  <button
                    key={card.key}
                    type="button"
                    onClick={() => {
                      showScreen(card.key)
                      onClose()
                    }}
                    style={{ left: x, top: y, width: CARD.width, height: CARD.height }}
                    className={`absolute overflow-hidden border bg-sheet text-left text-xs hover:border-settled ${card.isPanel ? 'rounded-lg border-dashed border-ink' : 'rounded-sm border-ink'}`}
                  >
                    <Thumbnail drawing={drawings.find((one) => one.key === card.key)} />
                    <span className="flex h-8 items-center gap-2 border-t border-rule px-2">
                      <span className="min-w-0 flex-1 truncate font-medium">{card.name}</span>
                      {card.isPanel && <span className="text-soft">over a page</span>}
                    </span>
                  </button>
                )
              })}
            </div>
          </div>
          <h3 className="mt-3 text-xs font-semibold">What leads where</h3>
          <ul className="max-h-[14vh] overflow-auto text-xs">
            {lines.map(({ from, to, kind, layers }) => (
              <li key={`${from.key} ${to.key}`} className="flex gap-2 py-0.5">
                <button
                  type="button"
                  onClick={() => {
                    select([layers[0]!])
                    onClose()
                  }}
                  className="min-w-0 flex-1 truncate text-left hover:underline"
                >
                  {nameOf.get(from.key)} {kind === 'opens' ? 'shows' : 'leads to'}{' '}
                  {nameOf.get(to.key)}
                </button>
                <span className="text-soft tabular-nums">
                  {layers.length === 1 ? 'one layer' : `${layers.length} layers`}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="mt-4 flex justify-end">
        <Button tone="main" onClick={onClose}>
          Close
        </Button>
      </div>
    </Modal>
  )
}
