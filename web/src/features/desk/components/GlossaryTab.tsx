import { subjectOf, TARGETS, type Covered, type Suggestion } from '@unimorph/core'
import { useState } from 'react'
import { Button } from '../../../shared/ui/Button'
import { useDesk } from '../model/desk-store'
import { withSuggestions } from '../model/glossary-edits'
import { SURE, useGlossary } from '../model/glossary-store'
import { useFollowDrawing } from '../model/use-follow-drawing'
import { toShownKey, useWidths } from '../model/widths-store'
import { ChoiceRow } from './ChoiceRow'
import { CodebaseChooser } from './CodebaseChooser'
import { EntryCard } from './EntryCard'
import { InstanceExample } from './InstanceExample'
import { Section } from './Section'
import { SuggestionCard } from './SuggestionCard'
import { TokenNames } from './TokenNames'

const nameOfCode = (id: string): string => {
  const [from = '', exported = ''] = id.split('#')
  return exported === 'default' ? (from.split('/').at(-1) ?? from).replace(/\.\w+$/, '') : exported
}

type Standing = { readonly text: string; readonly tone: 'settled' | 'doubt' | 'soft' }

/** What a thing of the design is written as, in a few words. */
const standingOf = (
  { entries, mapped, layers }: Covered,
  codes: readonly string[],
  suggestion: Suggestion | undefined,
): Standing => {
  const names = [...new Set(entries.map((at) => nameOfCode(codes[at]!)))].join(', ')
  if (mapped === layers.length && names !== '') return { text: names, tone: 'settled' }
  if (mapped > 0) return { text: `${names}, ${mapped} of ${layers.length}`, tone: 'doubt' }
  if (suggestion) {
    const share = Math.round(suggestion.confidence * 100)
    return { text: `${nameOfCode(suggestion.entry.code)}? ${share} %`, tone: 'doubt' }
  }
  return { text: 'generic', tone: 'soft' }
}

const TONES = { settled: 'text-settled', doubt: 'text-doubt', soft: 'text-soft' } as const

/** What the codebase calls what the design shows: proposed, confirmed, and said by hand. */
export const GlossaryTab = () => {
  const drawn = useDesk((s) => s.drawn)
  const found = useDesk((s) => s.codebase)
  const project = useDesk((s) => s.project?.id)
  const target = useDesk((s) => s.settings.target)
  const changeSettings = useDesk((s) => s.changeSettings)
  const select = useDesk((s) => s.select)
  const screen = useDesk((s) => s.screen)
  const widths = useWidths((s) => s.report)
  const { report, past, changed, isScanning, scanAgain, leave, save, undo } = useGlossary()
  const [chosen, setChosen] = useState<string>()
  // Another target has other components.
  useFollowDrawing(useGlossary.getState(), drawn, found && `${found.folder} ${target}`)

  if (!found) return <CodebaseChooser />
  const { codebase, glossary, problem } = found
  const others = codebase.frameworks.filter((one) => one !== target)
  const own = codebase.components.filter(({ framework }) => framework === target)
  const header = (
    <header className="shrink-0 border-b border-rule px-3 py-2 text-xs">
      <div className="flex items-baseline gap-2">
        <h3 className="min-w-0 flex-1 truncate text-sm font-semibold" title={found.folder}>
          {codebase.name}
        </h3>
        {past.some((one) => one.project === project) && (
          <Button
            className="h-6! text-xs"
            title="Undo the last change of the glossary"
            onClick={() => void undo()}
          >
            Undo
          </Button>
        )}
        <Button
          className="h-6! text-xs"
          disabled={isScanning}
          onClick={() => void scanAgain()}
          title="Read what changed in the codebase"
        >
          {isScanning ? 'Scanning …' : 'Scan again'}
        </Button>
        <Button className="h-6! text-xs" disabled={isScanning} onClick={() => void leave()}>
          Disconnect
        </Button>
      </div>
      <p className="text-soft">
        {own.length} components of {TARGETS[target].label}, {codebase.tokens.length} tokens,{' '}
        {codebase.files} files
      </p>
      {changed.length > 0 && (
        <p className="truncate text-settled" title={changed.join('\n')} role="status">
          Scanned again, since {changed.length === 1 ? changed[0] : `${changed.length} files`}{' '}
          changed
        </p>
      )}
      {problem && <p className="mt-1 text-problem">{problem}</p>}
      {codebase.notes.length > 0 && (
        <details className="mt-1">
          <summary className="cursor-pointer text-doubt">
            {codebase.notes.length} {codebase.notes.length === 1 ? 'note' : 'notes'} of the scan
          </summary>
          <ul className="mt-1">
            {codebase.notes.map(({ path, line, message }) => (
              <li key={`${path} ${message}`}>
                <span className="font-mono">
                  {path}
                  {line === undefined ? '' : `:${line}`}
                </span>{' '}
                {message}
              </li>
            ))}
          </ul>
        </details>
      )}
    </header>
  )
  if (own.length === 0) {
    return (
      <>
        {header}
        <div className="p-3 text-xs text-soft">
          <p className="mb-2">This codebase has no components of {TARGETS[target].label}.</p>
          {others.map((one) => (
            <Button
              key={one}
              className="mr-2 text-xs"
              onClick={() => changeSettings({ target: one })}
            >
              Convert to {TARGETS[one].label}
            </Button>
          ))}
        </div>
      </>
    )
  }
  if (!report) {
    return (
      <>
        {header}
        <p className="p-3 text-xs text-soft">Looking for what the codebase has for it …</p>
      </>
    )
  }
  const { things, suggested, problems } = report
  const codes = glossary.components.map(({ code }) => code)
  const suggestionsOf = (subject: string): readonly Suggestion[] => {
    const waiting = glossary.components.flatMap((entry): Suggestion[] =>
      entry.status === 'proposed' && subjectOf(entry) === subject
        ? [
            {
              entry,
              confidence: 0,
              evidence: ['Proposed in the glossary file, not confirmed yet'],
              others: [],
            },
          ]
        : [],
    )
    const fresh = suggested.components.filter(({ entry }) => subjectOf(entry) === subject)
    return fresh.length > 0 ? fresh : waiting
  }
  const sure = suggested.components.filter(({ confidence }) => confidence >= SURE)
  const thing = things.find((one) => subjectOf(one) === chosen) ?? things[0]
  const subject = thing && subjectOf(thing)
  const confirmedEntries = thing
    ? thing.entries.filter((at) => glossary.components[at]?.status !== 'proposed')
    : []
  const open = subject === undefined ? [] : suggestionsOf(subject)
  const errors = problems.filter(({ severity }) => severity === 'error').length
  return (
    <>
      {header}
      <div className="min-h-0 flex-1 overflow-auto">
        {(sure.length > 0 || errors > 0) && (
          <div className="flex items-baseline gap-2 border-b border-rule px-3 py-1.5 text-xs">
            <span className={`min-w-0 flex-1 ${errors > 0 ? 'text-problem' : 'text-soft'}`}>
              {errors > 0
                ? `${errors} ${errors === 1 ? 'error' : 'errors'} in the glossary`
                : `${sure.length} proposed with at least ${SURE * 100} %`}
            </span>
            {sure.length > 0 && (
              <Button
                className="h-6! text-xs"
                onClick={() => void save((one) => withSuggestions(one, sure))}
              >
                Confirm {sure.length === 1 ? 'it' : `all ${sure.length}`}
              </Button>
            )}
          </div>
        )}
        <Section title="Shown by the design" count={things.length}>
          {things.length === 0 ? (
            <p className="px-3 text-xs text-soft">
              No screen shows a component or anything that repeats. Make a part of a layer under
              Parts.
            </p>
          ) : (
            <ul>
              {things.map((one) => {
                const id = subjectOf(one)
                const standing = standingOf(one, codes, suggestionsOf(id)[0])
                const isWrong = problems.some(
                  ({ entry, severity }) =>
                    severity === 'error' && entry !== undefined && one.entries.includes(entry),
                )
                return (
                  <ChoiceRow
                    key={id}
                    isChosen={one === thing}
                    onChoose={() => {
                      setChosen(id)
                      select([toShownKey(widths, screen, one.layers[0]!)])
                    }}
                  >
                    <span className="min-w-0 flex-1 truncate">{one.name}</span>
                    <span className="w-8 shrink-0 text-right text-soft tabular-nums">
                      {one.layers.length}
                    </span>
                    <span
                      className={`w-32 shrink-0 truncate text-right ${isWrong ? 'text-problem' : TONES[standing.tone]}`}
                    >
                      {isWrong ? `${standing.text}, error` : standing.text}
                    </span>
                  </ChoiceRow>
                )
              })}
            </ul>
          )}
        </Section>
        <TokenNames suggested={suggested.tokens} />
      </div>
      {thing && (
        <section
          aria-label={`${thing.name} in the codebase`}
          className="max-h-[56%] shrink-0 overflow-auto border-t border-ink p-3 text-xs"
        >
          <InstanceExample key={subject} layers={thing.layers} />
          {confirmedEntries.map((at) => (
            <EntryCard
              key={`${at} ${glossary.components[at]!.code}`}
              at={at}
              entry={glossary.components[at]!}
              thing={thing}
              components={own}
              problems={problems.filter(({ entry }) => entry === at)}
            />
          ))}
          {confirmedEntries.length === 0 && (
            <SuggestionCard key={subject} thing={thing} suggestions={open} components={own} />
          )}
        </section>
      )}
    </>
  )
}
