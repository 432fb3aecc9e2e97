import { concat, hardline, join, type Doc } from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import { printDocument } from '../shared/print-document.js'
import { capitalise, toShortPascal } from '../../text/names.js'
import { isTick, type UiForm } from '../../ui/nodes.js'
import type { Phrases } from '../../ui/phrases.js'
import { printCall } from './print-call.js'
import { quoteKey, quoteString } from './quote-string.js'
import { printBlock } from './print-block.js'
import { printProperty } from './print-property.js'

const PRINT_WIDTH = 80
/** Longer names would not leave the lines that have them twice in their width. */
const LONGEST_NAME = 17

/** What a form asks, as a type; a tick that is not set is no answer. */
const answersType = (type: string, { fields }: UiForm): Doc => {
  // Of radio buttons the one that is chosen is the answer of all.
  const known = new Map(fields.map((field) => [field.name, field]))
  if (known.size === 0) return `export type ${type} = Record<string, string>;`
  return printBlock(
    `export type ${type} = {`,
    [...known.values()].map(({ name, control }) =>
      isTick(control) ? `${quoteKey(name)}?: string;` : `${quoteKey(name)}: string;`,
    ),
    '};',
  )
}

/** The name of what a form's file exports: `logASightingForm`. */
export const formNameOf = ({ id }: UiForm): string => {
  const name = toShortPascal(id, 'Answers', LONGEST_NAME)
  return `${name.charAt(0).toLowerCase()}${name.slice(1)}Form`
}

/** The name of the type of a form's answers: `LogASightingAnswers`. */
export const answersName = (name: string): string =>
  `${capitalise(name).replace(/Form$/, '')}Answers`

/** The function that takes the answers: what it is for, and what it does with them. */
export const sendFunction = ({ id, to }: UiForm, type: string): Doc => {
  const address = to.kind === 'endpoint' ? to.url : undefined
  const send =
    address === undefined
      ? `console.info(${quoteString(id)}, answers);`
      : printCall('await postAnswers', [quoteString(address), 'answers'])
  return concat([
    address === undefined
      ? '/** Gets the answers of the form. Fill in what becomes of them. */'
      : '/** Sends the answers of the form. */',
    hardline,
    printBlock(`async function send(answers: ${type}) {`, [send], '}'),
  ])
}

/** What a form says while and after it is sent. */
export const formWords = (form: UiForm, phrases: Phrases): Doc => {
  const { missing, invalid, sending, sent, failed } = phrases
  return printBlock(
    'words: {',
    [
      printProperty('missing', quoteString(missing)),
      printProperty('invalid', quoteString(invalid)),
      printProperty('sending', quoteString(sending)),
      printProperty('sent', quoteString(form.sent ?? sent)),
      printProperty('failed', quoteString(form.failed ?? failed)),
    ],
    '},',
  )
}

/** Blocks of a file with an empty line between two, and a line end at the end. */
export const printFormFile = (path: string, blocks: readonly Doc[]): EmittedFile => {
  const document = concat([join(concat([hardline, hardline]), blocks), hardline])
  return textFile(path, printDocument(document, PRINT_WIDTH).text)
}

/** The file of a form: its answers, where they go, and what is said meanwhile. */
export const buildFormFile = (form: UiForm, name: string, phrases: Phrases): EmittedFile => {
  const type = answersName(name)
  const imports = [
    ...(form.to.kind === 'endpoint'
      ? ['import { postAnswers } from "../behaviour/postAnswers";']
      : []),
    'import type { FormDefinition } from "../behaviour/useForm";',
  ]
  return printFormFile(`src/forms/${name}.ts`, [
    join(hardline, imports),
    answersType(type, form),
    sendFunction(form, type),
    printBlock(
      `export const ${name}: FormDefinition<${type}> = {`,
      ['send,', formWords(form, phrases)],
      '};',
    ),
  ])
}
