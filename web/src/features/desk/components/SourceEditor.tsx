import type { CodeProp, Covered, FunctionName, Source } from '@unimorph/core'
import { useState } from 'react'
import {
  FUNCTION_LABELS,
  idOfSource,
  listConditions,
  listFunctions,
  listSources,
  readConstant,
  unwrap,
  wrap,
  type Condition,
} from '../model/sources'
import { VariantSelect } from './VariantSelect'

type Props = {
  readonly prop: CodeProp
  readonly source: Source | undefined
  readonly thing: Covered
  /** What is asked for, for those who do not see where it stands. */
  readonly label: string
  readonly onChange: (source: Source | undefined) => void
}

const SELECT = 'h-6 max-w-40 rounded-sm border border-rule bg-sheet px-1'

/** What the values of a variant are called in the code. */
const Values = ({ prop, source, thing, label, onChange }: Props) => {
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
              aria-label={`${value} in ${label}`}
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
const Constant = ({ prop, source, label, onChange }: Props) => {
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
        aria-label={`Value of ${label}`}
        className={SELECT}
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
      aria-label={`Value of ${label}`}
      className={`${SELECT} w-24`}
      value={text}
      onChange={({ target }) => setText(target.value)}
      onBlur={() => text !== String(value) && say(text)}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  )
}

/** What is made of a value, one function after the other. */
const Functions = ({ prop, source, label, onChange }: Props) => {
  const { inner, functions } = unwrap(source)
  const fitting = listFunctions(prop, inner)
  if (inner === undefined || (fitting.length === 0 && functions.length === 0)) return null
  const change = (at: number, to: string): void => {
    const next = fitting.find((one) => one === to)
    const rest = functions.filter((_, i) => i !== at)
    onChange(
      wrap(inner, next ? [...functions.slice(0, at), next, ...functions.slice(at + 1)] : rest),
    )
  }
  return [...functions, undefined].map((own: FunctionName | undefined, at) => (
    <select
      key={at}
      aria-label={`What is made of ${label}${at === 0 ? '' : `, ${at + 1}`}`}
      className={`${SELECT} max-w-32! ${own ? '' : 'text-soft'}`}
      value={own ?? ''}
      onChange={({ target }) => change(at, target.value)}
    >
      <option value="">{at === 0 ? 'as it is' : own ? 'leave it' : 'then nothing'}</option>
      {[...new Set([...fitting, ...(own ? [own] : [])])].map((one) => (
        <option key={one} value={one}>
          {FUNCTION_LABELS[one]}
        </option>
      ))}
    </select>
  ))
}

/** One source or another, by what the instance is. */
const Either = ({ condition, ...props }: Props & { readonly condition: Condition }) => {
  const { thing, label, onChange } = props
  const conditions = listConditions(thing)
  const values = conditions.find(({ name }) => name === condition.when)?.values ?? []
  const { otherwise: _otherwise, ...rest } = condition
  return (
    <div className="mt-0.5 mb-1 border-l border-rule pl-2">
      <p>
        where{' '}
        <VariantSelect
          label={`What ${label} depends on`}
          values={conditions.map(({ name }) => name)}
          value={condition.when}
          onChange={(wanted) => {
            const next = conditions.find(({ name }) => name === wanted)
            if (next) onChange({ ...condition, when: next.name, is: next.values[0] ?? '' })
          }}
        />{' '}
        is{' '}
        <VariantSelect
          label={`Of what ${label} depends on, the value`}
          values={values}
          value={condition.is}
          onChange={(is) => onChange({ ...condition, is })}
        />
      </p>
      <div className="mt-0.5">
        <SourceEditor
          {...props}
          label={`${label} there`}
          source={condition.then}
          onChange={(then) => onChange(then && { ...condition, then })}
        />
      </div>
      <div className="mt-0.5">
        else{' '}
        <SourceEditor
          {...props}
          label={`${label} elsewhere`}
          source={condition.otherwise}
          onChange={(otherwise) => onChange(otherwise ? { ...rest, otherwise } : rest)}
        />
      </div>
    </div>
  )
}

/** What a prop is given: from where, and what is made of it. */
export const SourceEditor = (props: Props) => {
  const { prop, source, thing, label, onChange } = props
  const choices = listSources(thing, prop, source)
  const { inner, functions } = unwrap(source)
  const id = idOfSource(source)
  const isEither = inner !== undefined && 'when' in inner && id === 'condition'
  const own = { ...props, source: inner }
  const choose = (next: Source | undefined): void => {
    const fitting = listFunctions(prop, next)
    onChange(
      next &&
        wrap(
          next,
          functions.filter((one) => fitting.includes(one)),
        ),
    )
  }
  return (
    <>
      <span className="inline-flex flex-wrap items-center gap-1">
        <select
          aria-label={`What ${label} is given`}
          className={SELECT}
          value={id}
          onChange={({ target }) => choose(choices.find((one) => one.id === target.value)?.source)}
        >
          {choices.map((one) => (
            <option key={one.id} value={one.id}>
              {one.label}
            </option>
          ))}
        </select>
        <Constant key={String(inner && 'constant' in inner && inner.constant)} {...own} />
        <Functions {...props} />
      </span>
      <Values {...own} onChange={(next) => onChange(next && wrap(next, functions))} />
      {isEither && <Either {...own} condition={inner} />}
    </>
  )
}
