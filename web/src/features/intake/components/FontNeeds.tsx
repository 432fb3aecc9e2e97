import { fallbackOf, type FontNeed, type InputFile } from '@unimorph/core'
import { findMissing, useFonts } from '../../../shared/lib/fonts-store'

type Props = {
  readonly needs: readonly FontNeed[]
  /** Font files that came along and will be added. */
  readonly incoming: readonly InputFile[]
}

/** The fonts a design asks for, and which of them are at hand. */
export const FontNeeds = ({ needs, incoming }: Props) => {
  const fonts = useFonts((s) => s.fonts)
  const missing = new Set(findMissing(needs, fonts ?? []).map((need) => need.family))
  return (
    <section aria-label="Fonts">
      <h3 className="font-semibold">Fonts</h3>
      {needs.length === 0 && <p className="mt-1 text-soft">There is no text.</p>}
      <ul>
        {needs.map(({ family, styles }) => (
          <li key={family} className="mt-1 flex gap-2">
            <span className="min-w-0 flex-1">
              {family}{' '}
              <span className="text-xs text-soft">
                {styles.map((s) => `${s.weight}${s.italic ? ' italic' : ''}`).join(', ')}
              </span>
            </span>
            {missing.has(family) ? (
              <span className="text-xs whitespace-nowrap text-doubt">
                <span aria-hidden>! </span>missing, {fallbackOf(family)} for it
              </span>
            ) : (
              <span className="text-xs whitespace-nowrap text-settled">at hand</span>
            )}
          </li>
        ))}
      </ul>
      {incoming.length > 0 && (
        <p className="mt-1 text-xs text-soft">
          Came along and will be added: {incoming.map((f) => f.name.split('/').at(-1)).join(', ')}
        </p>
      )}
    </section>
  )
}
