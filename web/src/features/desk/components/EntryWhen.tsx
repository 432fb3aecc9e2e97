import type { Covered, Entry } from '@unimorph/core'
import { listConditions } from '../model/sources'
import { VariantSelect } from './VariantSelect'

type Props = {
  readonly entry: Entry
  readonly thing: Covered
  readonly onChange: (when: Entry['when']) => void
}

/** Which of a thing's instances an entry is about, by their variants. */
export const EntryWhen = ({ entry, thing, onChange }: Props) => {
  const all = Object.entries(entry.when ?? {})
  if (all.length === 0) return null
  const conditions = listConditions(thing)
  return all.map(([name, value]) => {
    const values = conditions.find((one) => one.name === name)?.values ?? []
    const change = (next: string): void => {
      const { [name]: _before, ...others } = entry.when ?? {}
      const when = next === '' ? others : { ...others, [name]: next }
      onChange(Object.keys(when).length > 0 ? when : undefined)
    }
    return (
      <p key={name} className="mt-1">
        only where {name} is{' '}
        <VariantSelect
          label={`Value of ${name} it is for`}
          values={values}
          value={value}
          none="anything"
          onChange={change}
        />
      </p>
    )
  })
}
