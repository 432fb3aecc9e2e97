import type { TokenType } from '@unimorph/core'

type Shadow = { x: number; y: number; blur: number; spread: number; color: string; inset: boolean }

const round = (value: number): number => Math.round(value * 100) / 100

/** A token's value in a few words: `16/24 · 600 · Inter`. */
export const describeToken = (type: TokenType, value: unknown): string => {
  switch (type) {
    case 'color':
      return String(value)
    case 'radius':
    case 'space':
      return `${round(Number(value))} px`
    case 'type': {
      const style = value as { family: string; weight: number; size: number; lineHeight?: number }
      const height = style.lineHeight === undefined ? 'auto' : round(style.lineHeight)
      return `${round(style.size)}/${height} · ${style.weight} · ${style.family}`
    }
    case 'shadow':
      return (value as Shadow[])
        .map((s) => `${s.inset ? 'inner ' : ''}${s.x} ${s.y} ${s.blur} ${s.spread} ${s.color}`)
        .join(', ')
    case 'border': {
      const { width, color, dashed } = value as { width: number; color: string; dashed: boolean }
      return `${width} px ${dashed ? 'dashed' : 'solid'} ${color}`
    }
  }
}
