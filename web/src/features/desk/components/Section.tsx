import type { ReactNode } from 'react'

type Props = {
  readonly title: string
  readonly count?: number
  readonly hint?: string
  readonly children: ReactNode
}

/** A part of a tab under a heading, which can be folded. */
export const Section = ({ title, count, hint, children }: Props) => (
  <details open className="border-b border-rule [&_summary]:list-none">
    <summary
      title={hint}
      className="flex cursor-pointer items-baseline gap-2 px-3 py-1.5 text-xs font-semibold hover:bg-tint"
    >
      <span className="flex-1">{title}</span>
      {count !== undefined && <span className="font-normal text-soft tabular-nums">{count}</span>}
    </summary>
    <div className="pb-2">{children}</div>
  </details>
)
