import { concat, group, ifBreak, indent, line, softline, type Doc } from '../../shared/document.js'
import type { Action, CodeSpelling, Statement } from '../../project/component-code.js'
import { code } from '../../shared/markup.js'
import { printBlock } from '../../script/print-block.js'
import { quoteString } from '../../script/quote-string.js'

const EVENTS = {
  click: '@click',
  keydown: '@keydown',
  toggle: '@toggle',
  submit: '@submit.prevent',
}

/** A text in code that stands in an attribute, whose own quotes are double. */
export const quoteInAttribute = (text: string): string =>
  `'${JSON.stringify(text).slice(1, -1).replaceAll('\\"', '"').replaceAll("'", "\\'")}'`

export const codeSpelling: CodeSpelling = {
  on: (event, handler) => code(EVENTS[event], handler),
  bind: code,
  read: (name) => name,
  reference: (name) => ({ name: 'ref', kind: 'text', text: name }),
  popoverTarget: 'popovertarget',
  popoverTargetAction: 'popovertargetaction',
  tabIndex: 'tabindex',
  noValidate: code('novalidate', 'true'),
  enterInView: code('v-enter-in-view', 'enterInView'),
}

const bodyOf = (does: Action): string => {
  switch (does.kind) {
    case 'open':
      return `${does.dialog}.value?.show();`
    case 'toggle':
      return `${does.state}.value = !${does.state}.value;`
    case 'choose':
      return `${does.state}.value = ${quoteString(does.value)};`
  }
}

/** A statement in the setup of a component. */
export const printStatement = (statement: Statement): Doc => {
  switch (statement.kind) {
    case 'dialog': {
      const { name } = statement
      return group(
        concat([
          `const ${name} =`,
          indent(concat([line, `useTemplateRef(${quoteString(name)})`])),
          ';',
        ]),
      )
    }
    case 'state': {
      const { name, start } = statement
      return `const ${name} = ref(${typeof start === 'string' ? quoteString(start) : String(start)});`
    }
    case 'form': {
      const { name, definition, route } = statement
      const call = `const ${name} = useForm(${definition}`
      if (route === undefined) return `${call});`
      const go = `router.push(${quoteString(route)})`
      return group(
        concat([`${call}, () =>`, indent(concat([line, go, ifBreak(',', '')])), softline, ');']),
      )
    }
    case 'handler':
      return printBlock(`function ${statement.name}() {`, [bodyOf(statement.does)], '}')
  }
}

/** What statements use of Vue itself. */
export const functionsOf = (statements: readonly Statement[]): readonly string[] => [
  ...(statements.some(({ kind }) => kind === 'state') ? ['ref'] : []),
  ...(statements.some(({ kind }) => kind === 'dialog') ? ['useTemplateRef'] : []),
]
