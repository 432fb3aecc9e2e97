import { convert, readDesign, type Design } from '../../index.js'
import { encodeBase64 } from '../../pictures/base64.js'

/** The header of a PNG so wide and high: all that is read of it here. */
const png = (width: number, height: number): string => {
  const bytes = new Uint8Array(33)
  bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52])
  const view = new DataView(bytes.buffer)
  view.setUint32(16, width)
  view.setUint32(20, height)
  return encodeBase64(bytes)
}

const design = (own: { width: number; height: number }, shownPx: number): Design => {
  const read = readDesign({
    format: 'unimorph-design',
    version: 2,
    name: 'Shores',
    assets: { shore: { name: 'shore.png', mime: 'image/png', data: png(own.width, own.height) } },
    screens: [
      {
        type: 'frame',
        key: 'home',
        name: 'Home',
        box: { x: 0, y: 0, width: 1280, height: 800 },
        children: [
          {
            type: 'image',
            key: 'picture',
            name: 'Shore',
            box: { x: 0, y: 0, width: shownPx, height: 200 },
            asset: 'shore',
            fit: 'cover',
            alt: 'The shore',
          },
        ],
      },
    ],
  })
  if (!read.ok) throw new Error(JSON.stringify(read.notes))
  return read.value
}

const emit = (
  given: Design,
  target: 'angular' | 'html' | 'react',
  extras: readonly 'sizes'[] = ['sizes'],
  pictures?: 'framework',
) => {
  const result = convert(given, [], { target, extras: [...extras], pictures })
  if (!result.ok) throw new Error(JSON.stringify(result.notes))
  const { files } = result.value
  const text = files
    .filter(({ path }) => /\.(html|tsx|ts)$/.test(path))
    .map(({ content }) => (content.kind === 'text' ? content.text : ''))
    .join('\n')
  const scaled = files.flatMap(({ path, content }) =>
    content.kind === 'bytes' && content.scaledTo !== undefined ? [[path, content.scaledTo]] : [],
  )
  return { text, scaled }
}

test('a picture comes half as wide, as wide and twice as wide as it is shown', () => {
  const { text, scaled } = emit(design({ width: 2000, height: 1000 }, 400), 'html')
  expect(scaled).toEqual([
    ['assets/shore-200.webp', 200],
    ['assets/shore-400.webp', 400],
    ['assets/shore-800.webp', 800],
  ])
  expect(text).toMatch(
    /src="assets\/shore\.png"\s+srcset="\s+assets\/shore-200\.webp 200w,\s+assets\/shore-400\.webp 400w,\s+assets\/shore-800\.webp 800w\s+"\s+sizes="400px"\s+width="2000"\s+height="1000"/,
  )
})

test('never wider than it is, nor in sizes that save nothing', () => {
  const { scaled } = emit(design({ width: 420, height: 210 }, 400), 'html')
  expect(scaled).toEqual([
    ['assets/shore-200.webp', 200],
    ['assets/shore-420.webp', 420],
  ])
})

test('what is imported is imported in each size', () => {
  const { text, scaled } = emit(design({ width: 2000, height: 1000 }, 400), 'react')
  expect(scaled).toHaveLength(3)
  expect(text).toContain('import shore400 from "../assets/shore-400.webp";')
  expect(text).toContain('srcSet={`${shore200} 200w, ${shore400} 400w, ${shore800} 800w`}')
})

test('there is one size where no others are wanted', () => {
  const { text, scaled } = emit(design({ width: 2000, height: 1000 }, 400), 'html', [])
  expect(scaled).toEqual([])
  expect(text).not.toContain('srcset')
  expect(text).toMatch(/width="2000"\s+height="1000"/)
})

test('Angular has a directive of its own, which knows of no other sizes', () => {
  const given = design({ width: 2000, height: 1000 }, 400)
  const { text, scaled } = emit(given, 'angular', ['sizes'], 'framework')
  expect(text).toMatch(/<img\s+ngSrc="assets\/shore\.png"\s+width="2000"\s+height="1000"/)
  expect(text).toContain('import { NgOptimizedImage } from "@angular/common";')
  expect(text).toMatch(/imports: \[[^\]]*NgOptimizedImage/)
  expect(text).not.toContain('srcset')
  expect(scaled).toEqual([])
})

test('what has no such way shows pictures as it does', () => {
  const { text } = emit(design({ width: 2000, height: 1000 }, 400), 'react', [], 'framework')
  expect(text).toContain('import shore from "../assets/shore.png";')
})
