import { subjectOf, type Entry, type Glossary, type Source, type Suggestion } from '@unimorph/core'

/** A glossary with one entry changed, or taken out. */
export const withEntry = (glossary: Glossary, at: number, entry: Entry | undefined): Glossary => ({
  ...glossary,
  components: glossary.components.flatMap((one, i) => (i === at ? (entry ? [entry] : []) : [one])),
})

/** A glossary in which some of what an entry is about has an entry of its own, alike at first, before it. */
export const withVariant = (
  glossary: Glossary,
  at: number,
  when: NonNullable<Entry['when']>,
): Glossary => ({
  ...glossary,
  components: glossary.components.flatMap((one, i) =>
    i === at ? [confirmed({ ...one, when: { ...one.when, ...when } }), one] : [one],
  ),
})

const confirmed = ({ status: _proposed, ...entry }: Entry): Entry => entry

/** A glossary that has what was proposed, confirmed. */
export const withSuggestions = (
  glossary: Glossary,
  suggestions: readonly Suggestion[],
): Glossary => {
  const subjects = new Set(suggestions.map(({ entry }) => subjectOf(entry)))
  return {
    ...glossary,
    components: [
      // What waits in the file for the same things is answered by this.
      ...glossary.components.filter(
        (one) => one.status !== 'proposed' || !subjects.has(subjectOf(one)),
      ),
      ...suggestions.map(({ entry }) => confirmed(entry)),
    ],
  }
}

/** An entry with a prop given something else, or nothing. */
export const withSource = (entry: Entry, prop: string, source: Source | undefined): Entry => {
  const { [prop]: _before, ...rest } = entry.props
  if (source === undefined) return confirmed({ ...entry, props: rest })
  // What stands in its place already keeps it.
  const props = Object.hasOwn(entry.props, prop)
    ? Object.fromEntries(
        Object.entries(entry.props).map(([name, own]) => [name, name === prop ? source : own]),
      )
    : { ...entry.props, [prop]: source }
  return confirmed({ ...entry, props })
}
