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
import { withEntry, withSource } from '../model/glossary-edits'
import { useGlossary } from '../model/glossary-store'
import { idOfSource, listSources, readConstant } from '../model/sources'
import { ComponentSelect } from './ComponentSelect'

type RowProps = {
  readonly prop: CodeProp
  readonly source: Source | undefined
  readonly thing: Covered
  readonly problems: readonly GlossaryProblem[]
  readonly onChange: (source: Source | undefined) => void
}

const SELECT = 'h-6 max-w-40 rounded-sm border border-rule bg-sheet px-1'

/** What the values of a variant are called in the code. */
const Values = ({ prop, source, thing, onChange }: RowProps) => {
  if (!source || !('property' in source) || prop.type.kind !== 'choice') return null
  const property = thing.properties.find(({ name }) => name === source.property)
  if (property?.kind !== 'variant') return null
  const { options } = prop.type
  const values = source.values ?? Object.fromEntries(property.values.map((one) => [one, one]))
  return (
    <dl className="mt-0.5 mb-1 grid grid-cols-[auto_1fr] gap-x-2 gap-y-0.5">
      {property.values.map((value) => (
        <div key={value} className="contents">
          <dt className="text-soft">{value}</dt>
          <dd>
            <select
              aria-label={`${value} in ${prop.name}`}
              className={SELECT}
              value={values[value] === undefined ? '' : String(values[value])}
              onChange={({ target }) => {
                const { [value]: _before, ...rest } = values
                const next =
                  target.value === ''
                    ? rest
                    : { ...values, [value]: readConstant(prop, target.value) }
                onChange({ property: source.property, values: next })
              }}
            >
              <option value="">nothing</option>
              {options.map((one) => (
                <option key={String(one)} value={String(one)}>
                  {String(one)}
                </option>
              ))}
            </select>
          </dd>
        </div>
      ))}
    </dl>
  )
}

/** The value of a prop that is always the same. */
const Constant = ({ prop, source, onChange }: RowProps) => {
  const value = source && 'constant' in source ? source.constant : undefined
  const [text, setText] = useState(String(value ?? ''))
  if (value === undefined) return null
  const { type } = prop
  const options =
    type.kind === 'boolean' ? [true, false] : type.kind === 'choice' ? type.options : []
  const say = (next: string): void => onChange({ constant: readConstant(prop, next) })
  if (options.length > 0) {
    return (
      <select
        aria-label={`Value of ${prop.name}`}
        className={`${SELECT} ml-1`}
        value={String(value)}
        onChange={({ target }) => say(target.value)}
      >
        {options.map((one) => (
          <option key={String(one)}>{String(one)}</option>
        ))}
      </select>
    )
  }
  return (
    <input
      aria-label={`Value of ${prop.name}`}
      className={`${SELECT} ml-1 w-24`}
      value={text}
      onChange={({ target }) => setText(target.value)}
      onBlur={() => text !== String(value) && say(text)}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  )
}

/** A prop of the component, and what it is given. */
const PropSource = (props: RowProps) => {
  const { prop, source, thing, problems, onChange } = props
  const choices = listSources(thing, prop, source)
  return (
    <tr className="border-t border-rule align-baseline">
      <th scope="row" className="py-1 pr-2 text-left font-normal" title={prop.about}>
        <span className="font-mono">{prop.name}</span>
        {prop.isRequired && <span className="text-soft"> required</span>}
        <span className="block max-w-32 truncate text-soft" title={prop.type.text}>
          {prop.type.text || prop.type.kind}
        </span>
      </th>
      <td className="py-1">
        <select
          aria-label={`What ${prop.name} is given`}
          className={SELECT}
          value={idOfSource(source)}
          onChange={({ target }) => onChange(choices.find(({ id }) => id === target.value)?.source)}
        >
          {choices.map(({ id, label }) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </select>
        <Constant key={String(source && 'constant' in source && source.constant)} {...props} />
        <Values {...props} />
        {problems.map(({ message, help, severity }) => (
          <p key={message} className={severity === 'error' ? 'text-problem' : 'text-doubt'}>
            {message}. {help}
          </p>
        ))}
      </td>
    </tr>
  )
}

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
  const replace = (next: Entry | undefined): void =>
    void save((glossary) => withEntry(glossary, at, next))
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
        <Button className="h-6! text-xs" onClick={() => replace(undefined)}>
          Write it out
        </Button>
      </div>
      <ComponentSelect
        components={components}
        value={entry.code}
        onChange={({ id }) => replace({ ...entry, code: id })}
      />
      {component?.about && <p className="mt-1 text-soft">{component.about}</p>}
      {general.map(({ message, help, remedy }) => (
        <p key={message} className="mt-1 text-problem">
          {message}. {help}{' '}
          {remedy && (
            <Button className="h-6! text-xs" onClick={() => replace(remedy)}>
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
                  onChange={(source) => replace(withSource(entry, prop.name, source))}
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
