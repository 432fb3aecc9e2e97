import { copyText } from '../../../shared/lib/copy-text'
import { useDesk } from '../model/desk-store'

/** The tokens of the selected layer, as the code says them; a press copies one. */
export const TokenLine = () => {
  const tokens = useDesk((s) => s.details?.tokens)
  const target = useDesk((s) => s.settings.target)
  const written = (tokens ?? []).flatMap(({ name, code }) => {
    const text = target === 'flutter' ? code.dart : code.variable
    return text === undefined ? [] : [{ name, text }]
  })
  if (written.length === 0) return null
  return (
    <ul
      aria-label="Tokens of the selected layer"
      className="flex max-h-14 shrink-0 flex-wrap gap-1 overflow-auto border-b border-rule px-3 py-1 text-xs"
    >
      {written.map(({ name, text }) => (
        <li key={name}>
          <button
            type="button"
            title={`${name}: copy ${text}`}
            className="rounded-sm border border-rule px-1 font-mono hover:bg-tint"
            onClick={() => copyText(text)}
          >
            {text}
          </button>
        </li>
      ))}
    </ul>
  )
}
