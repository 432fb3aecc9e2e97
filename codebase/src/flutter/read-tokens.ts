import type { CodeToken } from '@unimorph/core'

const CONSTANT =
  /^\s*static const (?:(Color|double|EdgeInsets)\s+)?(\w+)\s*=\s*(Color\(0x([0-9a-fA-F]{8})\)|[\d.]+)\s*;/gm
const CLASS = /^(?:abstract |final |sealed )*class (\w+)/gm

/** Colours and lengths that a file of Dart has as constants of its classes: `AppColors.brand`. */
export const readDartTokens = (path: string, text: string): readonly CodeToken[] => {
  const classes = [...text.matchAll(CLASS)].map(({ index, 1: name }) => ({ index, name: name! }))
  return [...text.matchAll(CONSTANT)].flatMap(({ index, 2: name, 3: value, 4: argb }) => {
    const home = classes.findLast((one) => one.index < index)
    if (!home) return []
    const isColor = argb !== undefined
    return [
      {
        name: `${home.name}.${name!}`,
        type: isColor ? 'color' : 'length',
        value: isColor ? `#${argb.slice(2)}${argb.slice(0, 2)}`.toLowerCase() : value!,
        path,
      } as const,
    ]
  })
}
