import type { Edit } from '@unimorph/core'
import { toBase64 } from '../../../shared/lib/to-base64'

/** Screens with twice the dots per px are common; more is only weight. */
const DOTS_PER_PX = 2

const hasTransparency = (data: Uint8ClampedArray): boolean => {
  for (let i = 3; i < data.length; i += 4) if (data[i]! < 255) return true
  return false
}

type Picture = NonNullable<Extract<Edit, { kind: 'make-graphic' }>['picture']>

/** Draws an SVG into a picture of dots: JPEG where nothing shines through, else PNG. */
export const rasterise = async (svg: string, width: number, height: number): Promise<Picture> => {
  const address = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
  try {
    const image = new Image()
    image.src = address
    await image.decode()
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(width * DOTS_PER_PX))
    canvas.height = Math.max(1, Math.round(height * DOTS_PER_PX))
    const context = canvas.getContext('2d')!
    context.drawImage(image, 0, 0, canvas.width, canvas.height)
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height)
    const mime = hasTransparency(data) ? 'image/png' : 'image/jpeg'
    const blob = await new Promise<Blob>((done, fail) =>
      canvas.toBlob(
        (made) => (made ? done(made) : fail(new Error('The browser could not make a picture.'))),
        mime,
        0.9,
      ),
    )
    return { mime, data: await toBase64(blob), width: canvas.width, height: canvas.height }
  } finally {
    URL.revokeObjectURL(address)
  }
}
