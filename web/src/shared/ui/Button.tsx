import type { ComponentProps } from 'react'

const TONES = {
  plain: 'border border-rule bg-sheet hover:border-ink',
  main: 'border border-settled bg-settled text-sheet hover:opacity-90',
  bare: 'border border-transparent hover:border-rule',
} as const

type Props = ComponentProps<'button'> & { readonly tone?: keyof typeof TONES }

export const Button = ({ tone = 'plain', className = '', ...props }: Props) => (
  <button
    type="button"
    {...props}
    className={`inline-flex h-7 items-center gap-1.5 rounded-sm px-2.5 whitespace-nowrap disabled:opacity-50 aria-pressed:border-ink aria-pressed:bg-tint ${TONES[tone]} ${className}`}
  />
)
