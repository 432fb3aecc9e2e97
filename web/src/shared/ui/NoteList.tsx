import type { Note } from '@unimorph/core'

const MARKS = {
  error: { mark: '✕', word: 'Error', tone: 'text-problem' },
  warning: { mark: '!', word: 'Warning', tone: 'text-doubt' },
  info: { mark: 'i', word: 'Note', tone: 'text-soft' },
} as const

type Props = {
  readonly notes: readonly Note[]
  /** Called with the layer a note is about, where there is one. */
  readonly onShow?: (layer: string) => void
  /** Put the severity above the text, where there is little room beside it. */
  readonly isNarrow?: boolean
}

export const NoteList = ({ notes, onShow, isNarrow = false }: Props) => (
  <ul className="divide-y divide-rule">
    {notes.map((note, i) => {
      const { mark, word, tone } = MARKS[note.severity]
      const { layer } = note.where
      return (
        <li key={i} className={`flex py-2 ${isNarrow ? 'flex-col' : 'gap-3'}`}>
          <span className={`w-20 shrink-0 font-semibold ${tone}`}>
            <span aria-hidden className="mr-1.5 inline-block w-3 text-center font-mono">
              {mark}
            </span>
            {word}
          </span>
          <span className="min-w-0 flex-1">
            {note.message} <span className="text-soft">{note.help}</span>
            {layer && onShow && (
              <button
                type="button"
                onClick={() => onShow(layer)}
                className="ml-2 text-settled underline"
              >
                Show the layer
              </button>
            )}
          </span>
        </li>
      )
    })}
  </ul>
)
