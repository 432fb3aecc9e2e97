import type { CodeComponent, Covered, Suggestion } from '@unimorph/core'
import { Button } from '../../../shared/ui/Button'
import { withSuggestions } from '../model/glossary-edits'
import { useGlossary } from '../model/glossary-store'
import { ComponentSelect } from './ComponentSelect'

type Props = {
  readonly thing: Covered
  readonly suggestions: readonly Suggestion[]
  readonly components: readonly CodeComponent[]
}

/** What is proposed for a thing of the design, and why. */
export const SuggestionCard = ({ thing, suggestions, components }: Props) => {
  const save = useGlossary((s) => s.save)
  const nameOf = (id: string): string => components.find((one) => one.id === id)?.name ?? id
  const choose = ({ id }: CodeComponent): void =>
    void save((glossary) => ({
      ...glossary,
      components: [...glossary.components, { design: thing.design, code: id, props: {} }],
    }))
  return (
    <>
      <h3 className="mb-1.5 text-sm font-semibold">{thing.name}</h3>
      {suggestions.length === 0 ? (
        <p className="mb-2 text-soft">
          Nothing in the codebase is alike: it is written out. Choose a component where there is
          one.
        </p>
      ) : (
        suggestions.map(({ entry, confidence, evidence }) => (
          <div key={entry.code} className="mb-3">
            <p className="mb-1">
              <span className="text-soft">
                {entry.leads === undefined
                  ? 'May be'
                  : entry.leads
                    ? 'Where it leads somewhere, may be'
                    : 'Elsewhere, may be'}
              </span>{' '}
              <strong>{nameOf(entry.code)}</strong>
              {confidence > 0 && (
                <span className="ml-1 text-doubt tabular-nums">
                  {Math.round(confidence * 100)} %
                </span>
              )}
            </p>
            <ul className="list-disc pl-4 text-soft">
              {evidence.map((reason) => (
                <li key={reason}>{reason}</li>
              ))}
            </ul>
          </div>
        ))
      )}
      <div className="flex flex-wrap items-center gap-2">
        {suggestions.length > 0 && (
          <Button
            tone="main"
            className="text-xs"
            onClick={() => void save((glossary) => withSuggestions(glossary, suggestions))}
          >
            Confirm
          </Button>
        )}
        <ComponentSelect components={components} value={undefined} onChange={choose} />
      </div>
    </>
  )
}
