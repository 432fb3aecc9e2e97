import { useState } from 'react'
import { useNavigate } from 'react-router'
import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { Modal } from '../../../shared/ui/Modal'
import { NoteList } from '../../../shared/ui/NoteList'
import { setSameAs, startDraft, toChoice, toggleScreen } from '../model/choice'
import { useImport, type ImportState } from '../model/import-store'
import { ColorStrip } from './ColorStrip'
import { FontNeeds } from './FontNeeds'
import { ScreenCard } from './ScreenCard'

type Props = { readonly review: Extract<ImportState, { kind: 'review' }> }

const bySeverity = { error: 0, warning: 1, info: 2 }
const plural = (count: number, word: string): string => `${count} ${word}${count === 1 ? '' : 's'}`

/** What is in the files, before they are taken in: which screens, how they belong together, and what to know. */
export const Review = ({ review }: Props) => {
  const { preview, into } = review
  const { summary, thumbnails } = preview
  const accept = useImport((s) => s.accept)
  const close = useImport((s) => s.close)
  const navigate = useNavigate()
  const [draft, setDraft] = useState(() => startDraft(summary))
  const [name, setName] = useState(review.name)
  const [place, setPlace] = useState<'edition' | 'project'>('project')
  const choice = toChoice(draft, summary)
  const notes = [...review.notes].sort((a, b) => bySeverity[a.severity] - bySeverity[b.severity])
  const home = place === 'edition' ? into : undefined
  const isAll = draft.taken.size === summary.screens.length

  const takeIn = async (): Promise<void> => {
    const id = await accept(name.trim(), choice, home)
    // The same address again would not open the new edition; the state makes it another visit.
    if (id) await navigate(`/projects/${id}`, { state: { at: performance.now() } })
  }

  return (
    <Modal title="What is in these files" size="wide" isOpen onClose={close}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          void takeIn()
        }}
      >
        <div className="mt-3 grid max-h-[66vh] grid-cols-[minmax(0,1fr)_19rem] gap-6 overflow-auto pr-1">
          <section aria-label="Screens">
            <div className="flex items-center gap-3 pb-2">
              <h3 className="font-semibold">{plural(summary.screens.length, 'screen')}</h3>
              {summary.screens.length > 1 && (
                <Button
                  tone="bare"
                  onClick={() => {
                    const keys = isAll ? [] : summary.screens.map((s) => s.key)
                    setDraft({ ...draft, taken: new Set(keys) })
                  }}
                >
                  {isAll ? 'Select none' : 'Select all'}
                </Button>
              )}
            </div>
            <ul className="grid grid-cols-[repeat(auto-fill,minmax(190px,1fr))] gap-3">
              {summary.screens.map((screen) => (
                <ScreenCard
                  key={screen.key}
                  screen={screen}
                  svg={thumbnails[screen.key] ?? ''}
                  isTaken={draft.taken.has(screen.key)}
                  sameAs={draft.sameAs.get(screen.key)}
                  others={summary.screens.filter((s) => s !== screen)}
                  onToggle={() => setDraft(toggleScreen(draft, screen.key))}
                  onSameAs={(other) => setDraft(setSameAs(draft, screen.key, other))}
                />
              ))}
            </ul>
          </section>
          <div className="space-y-5">
            <FontNeeds needs={summary.fonts} incoming={review.fonts} />
            <ColorStrip colors={summary.colors} />
            <section aria-label="Notes">
              <h3 className="font-semibold">
                {notes.length === 0 ? 'No notes' : plural(notes.length, 'note')}
              </h3>
              {notes.length === 0 ? (
                <p className="mt-1 text-soft">Everything in the files could be read.</p>
              ) : (
                <NoteList notes={notes} isNarrow />
              )}
            </section>
          </div>
        </div>
        <div className="mt-4 flex items-center gap-2 border-t border-rule pt-4">
          {into && (
            <Choice
              label="Import as"
              value={place}
              options={[
                { value: 'project', label: 'a new project' },
                { value: 'edition', label: `edition ${into.edition + 1} of ${into.name}` },
              ]}
              onChange={setPlace}
            />
          )}
          {!home && (
            <label className="flex min-w-0 items-center gap-2">
              <span className="text-soft">Name</span>
              <input
                value={name}
                maxLength={200}
                onChange={(event) => setName(event.target.value)}
                className="h-7 w-64 rounded-sm border border-rule bg-paper px-2"
              />
            </label>
          )}
          <span className="flex-1" />
          <Button onClick={close}>Cancel</Button>
          <Button
            type="submit"
            tone="main"
            autoFocus
            disabled={choice.screens.length === 0 || name.trim() === ''}
          >
            Import {plural(choice.screens.length, 'screen')}
          </Button>
        </div>
      </form>
    </Modal>
  )
}
