import type { PartRuling } from '../../design/part.js'
import { toCamel, UniqueNames } from '../../text/names.js'
import type { PropValue } from './prop.js'

/** What a component is called inside, by the attribute that is given. */
export const ATTRIBUTE_NAMES: Readonly<Record<string, string>> = {
  src: 'picture',
  alt: 'alternative',
  to: 'address',
  href: 'address',
  'aria-label': 'label',
  htmlFor: 'id',
  for: 'id',
  formControlName: 'name',
  'aria-describedby': 'helpId',
  defaultValue: 'value',
  placeholder: 'hint',
  defaultChecked: 'isOn',
}
export const TAKEN_NAMES: readonly string[] =
  'key ref class className children default new delete in for if else return function const let var switch case this super import export props'.split(
    ' ',
  )
export const LONGEST_NAME = 18

const TAG_NAMES: Readonly<Record<string, string>> = {
  label: 'label',
  dt: 'term',
  dd: 'description',
  figcaption: 'caption',
  button: 'label',
  option: 'option',
}

/** What words are by how they are written, where nothing names them. */
export const nameOfWords = (values: readonly PropValue[], tag: string): string => {
  const said = values.filter((value): value is string => typeof value === 'string')
  const are = (pattern: RegExp): boolean => said.every((one) => pattern.test(one.trim()))
  if (/^h[1-6]$/.test(tag)) return 'title'
  if (TAG_NAMES[tag]) return TAG_NAMES[tag]
  if (are(/^\d{1,2}[:.]\d{2}$/)) return 'time'
  if (are(/^[€$£¥]\s?\d|\d\s?[€$£¥]$/)) return 'price'
  if (are(/^[\d+−-]/)) return 'value'
  return 'text'
}

export const FLAG_NAMES: Readonly<Record<string, string>> = {
  required: 'isRequired',
  disabled: 'isDisabled',
  defaultChecked: 'isOn',
  open: 'isOpen',
  'aria-invalid': 'isInvalid',
}

/** Names for the props of one component: each once, none that the languages keep to themselves, as a person has said. */
export class PropNames {
  private readonly names: UniqueNames
  private readonly said: NonNullable<PartRuling['props']>

  /** `used`: names that mean something else in the component, such as a picture that all of its uses show. */
  constructor(said: PartRuling['props'] = {}, used: readonly string[] = []) {
    this.said = said
    this.names = new UniqueNames('', [...TAKEN_NAMES, ...used])
  }

  take(wanted: string): { readonly id: string; readonly name: string } {
    const own = toCamel(wanted, 'text').slice(0, LONGEST_NAME)
    const id = this.names.take(TAKEN_NAMES.includes(own) ? `${own}Text` : own)
    const name = this.said[id]?.name
    return { id, name: name === undefined ? id : this.names.take(toCamel(name, 'text')) }
  }
}
