import type { LayerRow } from '../../../engine/protocol'
import { useDesk } from '../model/desk-store'
import { ScreenPicture } from './ScreenPicture'

const WIDTH_PX = 288
const HEIGHT_PX = 72

type Props = { readonly row: LayerRow | undefined }

/** A layer as it is drawn, at most as large as this: a piece of the drawing of its screen. */
export const LayerPicture = ({ row }: Props) => {
  const screen = useDesk((s) => s.drawn?.screens.find(({ key }) => key === row?.screen))
  if (!row || !screen) return null
  const { x, y, width, height } = row.box
  const scale = Math.min(WIDTH_PX / Math.max(1, width), HEIGHT_PX / Math.max(1, height), 1)
  return (
    <span
      className="relative block overflow-hidden"
      style={{ width: width * scale, height: height * scale }}
    >
      <span
        className="absolute block"
        style={{
          width: screen.width * scale,
          height: screen.height * scale,
          left: -x * scale,
          top: -y * scale,
        }}
      >
        <ScreenPicture screen={screen} />
      </span>
    </span>
  )
}
