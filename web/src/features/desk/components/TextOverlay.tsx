import { useEffect, useState } from 'react'
import type { TextPiece } from '../../../engine/protocol'
import { messageOf } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { useDesk } from '../model/desk-store'

type Props = { readonly screen: string; readonly scale: number }

// How far letters reach above the baseline, about, in shares of the size: only the selection shows it.
const RISE = 0.95

/** The words of the design, invisible over its picture, so that they can be selected and copied. */
export const TextOverlay = ({ screen, scale }: Props) => {
  const drawn = useDesk((s) => s.drawn)
  const listTexts = useDesk((s) => s.listTexts)
  const [pieces, setPieces] = useState<readonly TextPiece[]>([])
  useEffect(() => {
    let isCurrent = true
    listTexts(screen)
      .then((next) => {
        if (isCurrent) setPieces(next)
      })
      .catch((error: unknown) => showProblem(messageOf(error)))
    return () => {
      isCurrent = false
    }
  }, [drawn, listTexts, screen])

  return (
    <div data-testid="design-text" className="absolute inset-0 cursor-text select-text">
      {pieces.map(({ text, x, baseline, width, size, ...piece }, i) => (
        <div
          key={i}
          className="absolute leading-none whitespace-pre text-transparent selection:bg-[#2a6340]/35"
          style={{
            left: x * scale,
            top: (baseline - size * RISE) * scale,
            width: width * scale,
            fontSize: size * scale,
            fontFamily: `"${piece.family}", sans-serif`,
            fontWeight: piece.weight,
            fontStyle: piece.italic ? 'italic' : 'normal',
            letterSpacing: piece.spacing * scale,
          }}
        >
          {/* Lines copy as lines. */}
          {text + (piece.endsLine ? '\n' : '')}
        </div>
      ))}
    </div>
  )
}
