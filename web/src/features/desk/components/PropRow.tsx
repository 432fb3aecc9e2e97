import type { Prop, UiPart } from '@unimorph/core'
import { useState } from 'react'
import { useDesk } from '../model/desk-store'

const typeOf = ({ kind, of, fields, options = [] }: Prop): string => {
  if (kind === 'flag') return 'yes or no'
  if (kind === 'choice') return options.join(' | ')
  if (kind === 'slot') return 'slot'
  if (fields) return `list of ${fields.map(({ name }) => name).join(', ')}`
  if (kind === 'list') return 'texts'
  if (kind === 'classes') return 'where it stands'
  if (kind === 'code') return of ? 'handed on' : 'picture'
  return kind
}

const ALWAYS = '\u0000always'

/** The choices for a prop's default. */
const choicesOf = ({ kind, options = [] }: Prop): readonly (readonly [string, string])[] =>
  kind === 'flag'
    ? [
        ['true', 'else yes'],
        ['false', 'else no'],
      ]
    : options.map((option) => [option, `else ${option}`] as const)

type Ruling = NonNullable<UiPart['props']>[string]

type Props = {
  readonly part: UiPart
  readonly prop: Prop
  /** Some instances lack it: it cannot be asked for, and nothing can stand in for it. */
  readonly isLacking: boolean
  /** Every instance gives a number. */
  readonly mayBeNumber: boolean
}

/** Something a component is given: what it is called, what it is, and its default. */
export const PropRow = ({ part, prop, isLacking, mayBeNumber }: Props) => {
  const edit = useDesk((s) => s.edit)
  const [name, setName] = useState(prop.name)
  const [standard, setStandard] = useState(typeof prop.standard === 'string' ? prop.standard : '')
  const said = part.props?.[prop.id] ?? {}
  const say = (ruling: Ruling): void =>
    void edit({ kind: 'set-part', layers: [part.id], props: { [prop.id]: ruling } })
  const without = (...fields: readonly (keyof Ruling)[]): Ruling =>
    Object.fromEntries(
      Object.entries(said).filter(([field]) => !fields.includes(field as keyof Ruling)),
    )
  const rename = (): void => {
    const wanted = name.trim()
    if (wanted === prop.name) return
    const rest = without('name')
    say(wanted === '' ? rest : { ...rest, name: wanted })
  }
  const setOtherwise = (value: string): void => {
    const rest = without('standard', 'isRequired')
    if (value === ALWAYS) say({ ...rest, isRequired: true })
    else say({ ...rest, standard: prop.kind === 'flag' ? value === 'true' : value })
  }
  const isFixed = prop.kind === 'classes'
  const isListed = prop.kind === 'flag' || prop.kind === 'choice'
  return (
    <tr className="border-t border-rule align-baseline">
      <th scope="row" className="py-0.5 pr-2 font-normal">
        {isFixed ? (
          <span className="px-1 font-mono">{prop.name}</span>
        ) : (
          <input
            aria-label={`Name of ${prop.name}`}
            value={name}
            maxLength={40}
            onChange={(event) => setName(event.target.value)}
            onBlur={rename}
            onKeyDown={(event) => {
              if (event.key === 'Enter') rename()
              if (event.key === 'Escape') setName(prop.name)
            }}
            className={`h-6 w-24 rounded-sm border border-transparent bg-transparent px-1 font-mono hover:border-rule focus:border-rule ${said.name ? 'text-settled' : ''}`}
          />
        )}
      </th>
      <td className="py-0.5 pr-2">
        {(prop.kind === 'text' || prop.kind === 'number') && prop.type === undefined && !prop.of ? (
          <select
            aria-label={`What ${prop.name} may be`}
            value={prop.only ? 'choice' : prop.kind}
            title={prop.only?.join(' | ')}
            onChange={({ target: { value } }) =>
              say({
                ...without('type'),
                ...(value === 'choice' || value === 'number' ? { type: value } : {}),
              })
            }
            className="h-6 w-16 rounded-sm border border-transparent bg-transparent hover:border-rule focus:border-rule"
          >
            <option value="text">text</option>
            <option value="choice">one of these</option>
            {(mayBeNumber || prop.kind === 'number') && <option value="number">number</option>}
          </select>
        ) : (
          typeOf(prop)
        )}
      </td>
      <td className="py-0.5 text-right whitespace-nowrap text-soft">
        {isListed ? (
          <select
            aria-label={`${prop.name} default`}
            value={prop.standard === undefined ? ALWAYS : String(prop.standard)}
            onChange={(event) => setOtherwise(event.target.value)}
            className="h-6 max-w-28 rounded-sm border border-rule bg-sheet px-1"
          >
            {!isLacking && <option value={ALWAYS}>required</option>}
            {choicesOf(prop).map(([value, label]) => (
              <option key={value} value={value}>
                {label}
              </option>
            ))}
          </select>
        ) : (prop.kind === 'text' || prop.kind === 'number') && !isLacking ? (
          <input
            aria-label={`${prop.name} default`}
            placeholder="required"
            value={standard}
            onChange={(event) => setStandard(event.target.value)}
            onBlur={() => {
              if (standard === (prop.standard ?? '')) return
              const rest = without('standard', 'isRequired')
              say(standard === '' ? rest : { ...rest, standard })
            }}
            onKeyDown={(event) => {
              if (event.key === 'Enter') event.currentTarget.blur()
            }}
            className="h-6 w-28 rounded-sm border border-rule bg-sheet px-1"
          />
        ) : prop.isOptional ? (
          'may lack'
        ) : (
          'required'
        )}
      </td>
    </tr>
  )
}
