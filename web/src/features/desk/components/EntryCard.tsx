import type {
  CodeComponent,
  CodeProp,
  Covered,
  Entry,
  GlossaryProblem,
  Source,
} from '@unimorph/core'
import { useState } from 'react'
import { Button } from '../../../shared/ui/Button'
import { withEntry, withSource, withVariant } from '../model/glossary-edits'
import { useGlossary } from '../model/glossary-store'
import { listConditions } from '../model/sources'
import { ComponentSelect } from './ComponentSelect'
import { EntryWhen } from './EntryWhen'
import { SourceEditor } from './SourceEditor'

type RowProps = {
  readonly prop: CodeProp
  readonly source: Source | undefined
  readonly thing: Covered
  readonly problems: readonly GlossaryProblem[]
  readonly onChange: (source: Source | undefined) => void
}

/** A prop of the component, and what it is given. */
const PropSource = ({ prop, source, thing, problems, onChange }: RowProps) => (
  <tr className="border-t border-rule align-baseline">
    <th scope="row" className="py-1 pr-2 text-left font-normal" title={prop.about}>
      <span className="font-mono">{prop.name}</span>
      {prop.isRequired && <span className="text-soft"> required</span>}
      <span className="block max-w-32 truncate text-soft" title={prop.type.text}>
        {prop.type.text || prop.type.kind}
      </span>
    </th>
    <td className="py-1">
      <SourceEditor
        prop={prop}
        source={source}
        thing={thing}
        label={prop.name}
        onChange={onChange}
      />
      {problems.map(({ message, help, severity }) => (
        <p key={message} className={severity === 'error' ? 'text-problem' : 'text-doubt'}>
          {message}. {help}
        </p>
      ))}
    </td>
  </tr>
)

type Props = {
  readonly at: number
  readonly entry: Entry
  readonly thing: Covered
  readonly components: readonly CodeComponent[]
  readonly problems: readonly GlossaryProblem[]
}

/** What a thing of the design is in the codebase: the component, and what each of its props is given. */
export const EntryCard = ({ at, entry, thing, components, problems }: Props) => {
  const save = useGlossary((s) => s.save)
  const [isAll, setAll] = useState(false)
  const component = components.find(({ id }) => id === entry.code)
  /** What the entry is when its turn comes is changed, and not what it was when it was shown. */
  const change = (next: (entry: Entry) => Entry | undefined): void =>
    void save((glossary) => withEntry(glossary, at, next(glossary.components[at] ?? entry)))
  const [condition] = listConditions(thing)
  const [value] = condition?.values ?? []
  const first = condition && value !== undefined ? { [condition.name]: value } : undefined
  const props = component?.props ?? []
  const shown = props.filter(
    ({ name, isInherited }) => isAll || !isInherited || Object.hasOwn(entry.props, name),
  )
  const gone = Object.keys(entry.props).filter((name) => !props.some((prop) => prop.name === name))
  const general = problems.filter(({ prop }) => prop === undefined || gone.includes(prop))
  return (
    <div className="mb-4">
      <div className="mb-1.5 flex items-center gap-2">
        <h3 className="min-w-0 flex-1 truncate text-sm font-semibold">
          {thing.name}
          {entry.leads !== undefined && (
            <span className="ml-1 font-normal text-soft">
              {entry.leads ? 'that leads somewhere' : 'that leads nowhere'}
            </span>
          )}
        </h3>
        {first && !entry.when && (
          <Button
            className="h-6! text-xs"
            title="Another component for one of its variants"
            onClick={() => void save((glossary) => withVariant(glossary, at, first))}
          >
            Split by variant
          </Button>
        )}
        <Button className="h-6! text-xs" onClick={() => change(() => undefined)}>
          Remove mapping
        </Button>
      </div>
      <ComponentSelect
        components={components}
        value={entry.code}
        onChange={({ id }) => change((own) => ({ ...own, code: id }))}
      />
      <EntryWhen
        entry={entry}
        thing={thing}
        onChange={(when) =>
          change(({ when: _before, ...rest }) => (when ? { ...rest, when } : rest))
        }
      />
      {component?.about && <p className="mt-1 text-soft">{component.about}</p>}
      {general.map(({ message, help, remedy }) => (
        <p key={message} className="mt-1 text-problem">
          {message}. {help}{' '}
          {remedy && (
            <Button className="h-6! text-xs" onClick={() => change(() => remedy)}>
              Mend it
            </Button>
          )}
        </p>
      ))}
      {component && (
        <>
          <table className="mt-2 w-full">
            <tbody>
              {shown.map((prop) => (
                <PropSource
                  key={prop.name}
                  prop={prop}
                  source={entry.props[prop.name]}
                  thing={thing}
                  problems={problems.filter((one) => one.prop === prop.name)}
                  onChange={(source) => change((own) => withSource(own, prop.name, source))}
                />
              ))}
            </tbody>
          </table>
          {shown.length < props.length && (
            <Button tone="bare" className="h-6! px-1! text-xs" onClick={() => setAll(true)}>
              {props.length - shown.length} more that its element takes
            </Button>
          )}
        </>
      )}
    </div>
  )
}
