import type { TokenType } from '@unimorph/core'

type Props = { readonly type: TokenType; readonly value: unknown; readonly title: string }

const BOX = 'size-5 shrink-0 rounded-sm border border-rule'

/** A small picture of a token's value. */
export const TokenSwatch = ({ type, value, title }: Props) => {
  switch (type) {
    case 'color':
      return <span title={title} className={BOX} style={{ background: String(value) }} />
    case 'radius':
      return (
        <span
          title={title}
          className="size-5 shrink-0 border-t border-l border-ink"
          style={{ borderTopLeftRadius: Math.min(20, Number(value)) }}
        />
      )
    case 'space':
      return (
        <span title={title} className="flex size-5 shrink-0 items-center">
          <span
            className="h-2 bg-ink"
            style={{ width: Math.min(20, Math.max(1, Number(value))) }}
          />
        </span>
      )
    case 'type': {
      const { weight, italic } = value as { weight: number; italic: boolean }
      return (
        <span
          title={title}
          className="w-5 shrink-0 text-center"
          style={{ fontWeight: weight, fontStyle: italic ? 'italic' : 'normal' }}
        >
          Aa
        </span>
      )
    }
    case 'shadow':
      return <span title={title} className={`${BOX} bg-sheet shadow-[0_2px_4px_rgb(0_0_0/0.35)]`} />
    case 'border': {
      const { color, dashed } = value as { color: string; dashed: boolean }
      return (
        <span
          title={title}
          className="size-5 shrink-0 border-2"
          style={{ borderColor: color, borderStyle: dashed ? 'dashed' : 'solid' }}
        />
      )
    }
  }
}
