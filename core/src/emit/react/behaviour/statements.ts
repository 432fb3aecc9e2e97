import { concat, group, ifBreak, indent, line, softline, type Doc } from '../../shared/document.js'
import type { Action, CodeSpelling, Statement } from '../../project/component-code.js'
import { code } from '../../shared/markup.js'
import { capitalise } from '../../../text/names.js'
import { quoteString } from '../../script/quote-string.js'

const EVENTS = { click: 'onClick', keydown: 'onKeyDown', toggle: 'onToggle', submit: 'onSubmit' }

export const reactSpelling: CodeSpelling = {
  on: (event, handler) => code(EVENTS[event], handler),
  bind: code,
  read: (name) => name,
  reference: (name) => code('ref', name),
  popoverTarget: 'popoverTarget',
  popoverTargetAction: 'popoverTargetAction',
  tabIndex: 'tabIndex',
  noValidate: code('noValidate', 'true'),
  enterInView: code('ref', 'enterInView'),
}

/** `isOpen` → `setIsOpen`. */
const setterOf = (state: string): string => `set${capitalise(state)}`

const bodyOf = (does: Action): string => {
  switch (does.kind) {
    case 'open':
      return `${does.dialog}.current?.showModal()`
    case 'toggle':
      return `${setterOf(does.state)}(!${does.state})`
    case 'choose':
      return `${setterOf(does.state)}(${quoteString(does.value)})`
  }
}

/** A statement of a function component. */
export const printStatement = (statement: Statement): Doc => {
  switch (statement.kind) {
    case 'dialog':
      return `const ${statement.name} = useRef<HTMLDialogElement>(null);`
    case 'state': {
      const { name, start } = statement
      const value = typeof start === 'string' ? quoteString(start) : String(start)
      return `const [${name}, ${setterOf(name)}] = useState(${value});`
    }
    case 'form': {
      const { name, definition, route } = statement
      const call = `const ${name} = useForm(${definition}`
      if (route === undefined) return `${call});`
      const go = `navigate(${quoteString(route)})`
      return group(
        concat([`${call}, () =>`, indent(concat([line, go, ifBreak(',', '')])), softline, ');']),
      )
    }
    case 'handler':
      // On two lines when one is too long.
      return group(
        concat([
          `const ${statement.name} = () =>`,
          indent(concat([line, bodyOf(statement.does)])),
          ';',
        ]),
      )
  }
}

/** The hooks of React that some statements use. */
export const hooksOf = (statements: readonly Statement[]): readonly string[] => [
  ...(statements.some(({ kind }) => kind === 'dialog') ? ['useRef'] : []),
  ...(statements.some(({ kind }) => kind === 'state') ? ['useState'] : []),
]
