import type { ScreenDrawing } from '../../../engine/protocol'
import { useObjectAddress } from '../../../shared/lib/use-object-address'

const Sheet = ({ svg }: { readonly svg: string }) => {
  const address = useObjectAddress(svg)
  return (
    address && (
      <img
        src={address}
        alt=""
        draggable={false}
        className="absolute inset-0 h-full w-full max-w-none select-none"
      />
    )
  )
}

/** A screen as it is drawn, as large as what it is put in: sheets over each other, of which an edit changes few. */
export const ScreenPicture = ({ screen }: { readonly screen: ScreenDrawing }) =>
  screen.sheets.map((svg, i) => <Sheet key={i} svg={svg} />)
