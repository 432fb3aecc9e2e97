import { useToasts } from '../lib/toast-store'
import { Button } from './Button'

export const Toasts = () => {
  const toasts = useToasts((s) => s.toasts)
  const dismiss = useToasts((s) => s.dismiss)
  return (
    <div
      role="status"
      aria-live="polite"
      className="pointer-events-none fixed inset-x-0 bottom-4 z-50 flex flex-col items-center gap-2"
    >
      {toasts.map(({ id, text, tone, action }) => (
        <div
          key={id}
          className="pointer-events-auto flex max-w-2xl items-center gap-3 rounded border border-ink bg-sheet py-2 pr-2 pl-4 shadow-md"
        >
          {tone === 'problem' && <span className="font-semibold text-problem">Problem</span>}
          <span>{text}</span>
          {action && (
            <Button
              onClick={() => {
                dismiss(id)
                action.run()
              }}
            >
              {action.label}
            </Button>
          )}
          <Button tone="bare" onClick={() => dismiss(id)} aria-label="Dismiss">
            ×
          </Button>
        </div>
      ))}
    </div>
  )
}
