import type { ReactNode } from 'react'

type Props = {
  readonly title: string
  readonly tools?: ReactNode
  readonly isFolded: boolean
  readonly onFold: () => void
  readonly children: ReactNode
}

/** A lane of the desk; folded, only its name is left, standing upright. */
export const Lane = ({ title, tools, isFolded, onFold, children }: Props) => {
  if (isFolded) {
    return (
      <section aria-label={title} className="h-full">
        <button
          type="button"
          aria-expanded={false}
          onClick={onFold}
          className="h-full w-full py-3 font-semibold [writing-mode:vertical-rl] hover:bg-tint"
        >
          {title} ›
        </button>
      </section>
    )
  }
  return (
    <section aria-label={title} className="flex h-full min-h-0 flex-col">
      <header className="flex h-10 shrink-0 items-center gap-2 border-b border-rule px-3">
        <h2 className="font-semibold">{title}</h2>
        <span className="min-w-0 flex-1" />
        {tools}
        <button
          type="button"
          aria-expanded
          aria-label={`Fold ${title}`}
          title={`Fold ${title}`}
          onClick={onFold}
          className="h-6 w-6 rounded-sm text-soft hover:bg-tint"
        >
          ‹
        </button>
      </header>
      <div className="min-h-0 flex-1">{children}</div>
    </section>
  )
}
