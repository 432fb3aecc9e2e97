import { printBlock } from '../../script/print-block.js'
import { quoteString } from '../../script/quote-string.js'
import type { Action, CodeSpelling, Statement } from '../../project/component-code.js'
import { concat, group, ifBreak, indent, line, softline, type Doc } from '../../shared/document.js'
import { code, text } from '../../shared/markup.js'

const EVENTS = {
  click: '(click)',
  keydown: '(keydown)',
  toggle: '(toggle)',
  submit: '(ngSubmit)',
}

export const codeSpelling: CodeSpelling = {
  on: (event, handler) => code(EVENTS[event], handler),
  bind: code,
  read: (name) => `${name}()`,
  reference: (name) => text(`#${name}`, ''),
  popoverTarget: 'popovertarget',
  popoverTargetAction: 'popovertargetaction',
  tabIndex: 'tabindex',
  noValidate: code('novalidate', 'true'),
  formGroup: (name) => [code('[formGroup]', `${name}.group`)],
  enterInView: code('appEnterInView', 'enterInView'),
}

const bodyOf = (does: Action): string => {
  switch (does.kind) {
    case 'open':
      return `this.${does.dialog}().show();`
    case 'toggle':
      return `this.${does.state}.update((is) => !is);`
    case 'choose':
      return `this.${does.state}.set(${quoteString(does.value)});`
  }
}

/** A field of a class: its name, and its value on a line of its own where it has no room. */
const printField = (name: string, value: string): Doc =>
  group(concat([`protected readonly ${name} =`, indent(concat([line, value])), ';']))

/** The elements or components that are reached by a name in the template. */
export const printReference = (name: string, type: string): Doc =>
  printField(name, `viewChild.required<${type}>(${quoteString(name)})`)

/** A member of the class of a component. */
export const printStatement = (statement: Statement): Doc => {
  switch (statement.kind) {
    case 'dialog':
      return printReference(statement.name, statement.component)
    case 'state': {
      const { name, start } = statement
      return printField(
        name,
        `signal(${typeof start === 'string' ? quoteString(start) : String(start)})`,
      )
    }
    case 'form': {
      const { name, definition, route } = statement
      if (route === undefined) return printField(name, `new SentForm(${definition})`)
      const go = `this.router.navigateByUrl(${quoteString(route)})`
      return group(
        concat([
          `protected readonly ${name} = new SentForm(${definition}, () =>`,
          indent(concat([line, go, ifBreak(',', '')])),
          softline,
          ');',
        ]),
      )
    }
    case 'handler':
      return printBlock(`protected ${statement.name}() {`, [bodyOf(statement.does)], '}')
  }
}

/** What statements use of Angular itself. */
export const functionsOf = (statements: readonly Statement[]): readonly string[] => [
  ...(statements.some(({ kind }) => kind === 'state') ? ['signal'] : []),
  ...(statements.some(({ kind }) => kind === 'dialog') ? ['viewChild'] : []),
]
