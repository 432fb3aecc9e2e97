import type { MarkupElement } from '../shared/markup.js'
import { affected, boxed, decorationOf, type Said } from './boxes.js'
import { call, list, quoteDart, raw, type Dart } from './dart.js'
import {
  attributeOf,
  flagOf,
  idOf,
  marked,
  readCode,
  textOf,
  wordsOf,
  type WidgetContext,
} from './context.js'
import { styleOf } from './texts.js'
import { dartOf } from './values-of.js'

const KEYBOARDS: Readonly<Record<string, string>> = {
  email: 'TextInputType.emailAddress',
  number: 'TextInputType.number',
  tel: 'TextInputType.phone',
  url: 'TextInputType.url',
  date: 'TextInputType.datetime',
  time: 'TextInputType.datetime',
}

/** The name its answer has. */
const nameOf = (element: MarkupElement, context: WidgetContext): string =>
  wordsOf(element, 'name', context) ?? "''"

/** What a control is called: by a label of its own, or by the one that names it. */
const labelOf = (element: MarkupElement, context: WidgetContext): string | undefined => {
  const own = wordsOf(element, 'aria-label', context)
  const id = attributeOf(element, 'id')
  const words = id && context.labels.get(idOf(id))
  if (own !== undefined || !words) return own
  if (words.kind === 'text') return quoteDart(words.text.replace(/\s*[*＊]\s*$/u, ''))
  return words.kind === 'expression' ? readCode(words.code, context) : undefined
}

const inputDecoration = (element: MarkupElement, said: Said, context: WidgetContext): Dart => {
  const hint = dartOf(said.get('hint'), context)
  return call('InputDecoration', {
    hintText: wordsOf(element, 'placeholder', context),
    hintStyle: hint ? call('TextStyle', { color: hint }) : undefined,
    isDense: 'true',
    contentPadding: dartOf(said.get('padding'), context, 'EdgeInsets.zero') ?? 'EdgeInsets.zero',
    border: 'InputBorder.none',
  })
}

const WITHOUT_PADDING = new Set(['padding'])

const without = (said: Said, slots: ReadonlySet<string>): Said =>
  new Map([...said].filter(([slot]) => !slots.has(slot)))

const textField = (element: MarkupElement, said: Said, context: WidgetContext): Dart => {
  const type = textOf(element, 'type') ?? 'text'
  const disabled = flagOf(element, 'disabled', context)
  context.helpers.add('answers')
  const isArea = element.tag === 'textarea'
  const field = call('AnswerField', {
    name: nameOf(element, context),
    label: labelOf(element, context),
    initialValue: wordsOf(element, 'value', context),
    enabled: disabled === undefined ? undefined : disabled === 'true' ? 'false' : `!${disabled}`,
    isObscured: type === 'password' ? 'true' : undefined,
    isLong: isArea ? 'true' : undefined,
    keyboardType: KEYBOARDS[type],
    style: styleOf(said, context),
    decoration: inputDecoration(element, said, context),
    isRequired: flagOf(element, 'required', context),
  })
  return boxed(field, without(said, WITHOUT_PADDING), context)!
}

const select = (element: MarkupElement, said: Said, context: WidgetContext): Dart => {
  context.helpers.add('answers')
  const [option] = element.children
  const words = option?.kind === 'element' ? option.children[0] : undefined
  const value =
    words?.kind === 'text'
      ? quoteDart(words.text)
      : words?.kind === 'expression'
        ? readCode(words.code, context)
        : undefined
  const field = call('AnswerChoice', {
    name: nameOf(element, context),
    label: labelOf(element, context),
    options: list(value === undefined ? [] : [raw(value)]),
    style: styleOf(said, context),
    padding: dartOf(said.get('padding'), context, 'EdgeInsets.zero'),
    isRequired: flagOf(element, 'required', context),
  })
  return boxed(field, without(said, WITHOUT_PADDING), context)!
}

/** A tick box, a radio button or a switch, drawn as the design has it. */
const tick = (element: MarkupElement, said: Said, context: WidgetContext): Dart => {
  context.helpers.add('answers')
  const kind = textOf(element, 'role') === 'switch' ? 'switch' : textOf(element, 'type')
  return call('AnswerTick', {
    kind: `TickKind.${kind === 'switch' ? 'toggle' : (kind ?? 'checkbox')}`,
    name: nameOf(element, context),
    value: wordsOf(element, 'value', context),
    label: labelOf(element, context),
    isOn: flagOf(element, 'checked', context),
    width: dartOf(said.get('width'), context),
    height: dartOf(said.get('height'), context),
    color: dartOf(said.get('color'), context) ?? dartOf(said.get('ink'), context),
    decoration: decorationOf(without(said, new Set(['color'])), context),
  })
}

/** A control of a form, which keeps its answer under a name. */
export const control = (element: MarkupElement, said: Said, context: WidgetContext): Dart => {
  const { tag } = element
  const type = textOf(element, 'type')
  const own =
    tag === 'select'
      ? select(element, said, context)
      : type === 'checkbox' || type === 'radio'
        ? tick(element, said, context)
        : type === 'range'
          ? call('AnswerSlider', { name: nameOf(element, context) })
          : textField(element, said, context)
  if (type === 'range') context.helpers.add('answers')
  return marked(affected(own, said, context), element, context)
}
