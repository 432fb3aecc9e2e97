import { answersName, formWords, printFormFile, sendFunction } from '../script/form-file.js'
import { printBlock } from '../script/print-block.js'
import { quoteKey, quoteString } from '../script/quote-string.js'
import {
  concat,
  group,
  hardline,
  ifBreak,
  indent,
  join,
  line,
  softline,
  type Doc,
  type GroupId,
} from '../shared/document.js'
import type { EmittedFile } from '../shared/emitted-file.js'
import type { UiField, UiForm } from '../../ui/nodes.js'
import type { Phrases } from '../../ui/phrases.js'
import { toFileName } from './names.js'

type Control = {
  readonly name: string
  /** TypeScript's type of the answer, and what it is before anything is given. */
  readonly type: string
  readonly start: string
  readonly isDisabled: boolean
  readonly validators: readonly string[]
}

const isNumber = ({ control }: UiField): boolean => control === 'number' || control === 'range'

const startOf = (field: UiField): Pick<Control, 'type' | 'start'> => {
  const { control, start } = field
  if (control === 'checkbox' || control === 'switch') {
    return { type: 'boolean', start: String(start === true) }
  }
  if (isNumber(field)) {
    const isSaid = typeof start === 'string' && /^-?\d+(\.\d+)?$/.test(start)
    return { type: 'number | null', start: isSaid ? String(Number(start)) : 'null' }
  }
  return { type: 'string', start: quoteString(typeof start === 'string' ? start : '') }
}

const validatorsOf = ({ control, isRequired }: UiField): readonly string[] => {
  // A tick that is required must be set, not only be there.
  const must = control === 'checkbox' || control === 'switch' ? 'requiredTrue' : 'required'
  return [
    ...(isRequired ? [`Validators.${must}`] : []),
    ...(control === 'email' ? ['Validators.email'] : []),
  ]
}

/** The controls of a form; radio buttons of one name are one, which has what the chosen one stands for. */
const controlsOf = ({ fields }: UiForm): readonly Control[] => {
  const controls = new Map<string, Control>()
  for (const field of fields) {
    const known = controls.get(field.name)
    const isRadio = field.control === 'radio'
    const chosen = isRadio && field.start === true ? quoteString(field.id) : undefined
    const own = isRadio ? { type: 'string', start: chosen ?? '""' } : startOf(field)
    controls.set(field.name, {
      name: field.name,
      ...own,
      ...(chosen === undefined && known ? { start: known.start } : {}),
      isDisabled: field.isDisabled,
      validators: validatorsOf(field),
    })
  }
  return [...controls.values()]
}

const printControl = ({ name, type, start, isDisabled, validators }: Control): Doc => {
  const generic = type.includes('|') ? `<${type}>` : ''
  const value = isDisabled ? `{ value: ${start}, disabled: true }` : start
  const [only, ...others] = validators
  const checks = others.length === 0 ? only : `[${validators.join(', ')}]`
  const options = [
    'nonNullable: true,',
    ...(checks === undefined ? [] : [`validators: ${checks},`]),
  ]
  // A long value has a line of its own, and so have its options.
  const id: GroupId = { name: 'control' }
  const head = `${quoteKey(name)}: new FormControl${generic}(`
  const lines = indent(concat(options.flatMap((one) => [hardline, one])))
  const block = concat([lines, hardline, '}'])
  return concat([
    group(concat([head, indent(concat([softline, value, ',', line, '{']))]), { id }),
    ifBreak(concat([indent(block), ',', hardline, '),']), concat([block, '),']), id),
  ])
}

/** The file of a reactive form: its controls, where the answers go, and what is said meanwhile. */
export const writeForm = (form: UiForm, name: string, phrases: Phrases): EmittedFile => {
  const type = answersName(name)
  const controls = controlsOf(form)
  const used = [
    ...(controls.length > 0 ? ['FormControl'] : []),
    'FormGroup',
    ...(controls.some(({ validators }) => validators.length > 0) ? ['Validators'] : []),
  ]
  const imports = [
    `import { ${used.join(', ')} } from "@angular/forms";`,
    ...(form.to.kind === 'endpoint'
      ? ['import { postAnswers } from "../behaviour/post-answers";']
      : []),
    'import type { FormDefinition } from "../behaviour/sent-form";',
  ]
  const answers =
    controls.length === 0
      ? `export type ${type} = Record<string, never>;`
      : printBlock(
          `export type ${type} = {`,
          controls.map((one) => `${quoteKey(one.name)}: ${one.type};`),
          '};',
        )
  const file = toFileName(name)
  return printFormFile(`src/app/forms/${file}.ts`, [
    join(hardline, imports),
    answers,
    concat([
      printBlock(
        'function build() {',
        [printBlock('return new FormGroup({', controls.map(printControl), '});')],
        '}',
      ),
    ]),
    sendFunction(form, type),
    printBlock(
      `export const ${name}: FormDefinition<${type}> = {`,
      ['build,', 'send,', formWords(form, phrases)],
      '};',
    ),
  ])
}
