import { useDesk } from '../model/desk-store'
import type { BuildError } from '../model/build-errors'

type Props = {
  readonly errors: readonly BuildError[]
  readonly onOpen: (error: BuildError) => void
}

/** What keeps the code from being built; each leads to its line, and to the layer it was made for. */
export const BuildErrors = ({ errors, onOpen }: Props) => {
  const layers = useDesk((s) => s.drawn?.layers)
  if (errors.length === 0) return null
  return (
    <section
      aria-label="Errors of the build"
      className="max-h-32 shrink-0 overflow-auto border-b border-rule px-3 py-1.5 text-xs"
    >
      <h3 className="font-semibold text-problem">
        The code does not build: {errors.length} {errors.length === 1 ? 'error' : 'errors'}
      </h3>
      <ul>
        {errors.map((error, i) => {
          const { message, path, line, layer } = error
          const name = layers?.find(({ key }) => key === layer)?.name
          const where = path === undefined ? '' : `${path}${line === undefined ? '' : `:${line}`}`
          return (
            <li key={`${i} ${message}`} className="mt-0.5">
              {path !== undefined && (
                <button
                  type="button"
                  className="font-mono underline decoration-rule underline-offset-2 hover:decoration-ink"
                  onClick={() => onOpen(error)}
                >
                  {where}
                </button>
              )}{' '}
              {message}
              {name !== undefined && <span className="text-soft"> Made for {name}.</span>}
            </li>
          )
        })}
      </ul>
    </section>
  )
}
