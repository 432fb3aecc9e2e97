import type { CodeComponent, Codebase, CodeProp, CodeType } from '../codebase/codebase.js'

export const STRING: CodeType = { kind: 'string', text: 'string' }
export const BOOLEAN: CodeType = { kind: 'boolean', text: 'boolean' }
export const NODE: CodeType = { kind: 'node', text: 'ReactNode' }
export const HANDLER: CodeType = { kind: 'handler', text: '() => void' }
export const oneOf = (...options: string[]): CodeType => ({
  kind: 'choice',
  text: options.map((one) => `'${one}'`).join(' | '),
  options,
})

export const prop = (name: string, type: CodeType, rest: Partial<CodeProp> = {}): CodeProp => ({
  name,
  type,
  as: name === 'children' ? 'slot' : type.kind === 'handler' ? 'event' : 'prop',
  isRequired: false,
  ...rest,
})

export const component = (
  name: string,
  props: readonly CodeProp[],
  rest: Partial<CodeComponent> = {},
): CodeComponent => ({
  id: `src/ui/${name}.tsx#${name}`,
  name,
  framework: 'react',
  path: `src/ui/${name}.tsx`,
  exported: name,
  props: [...props],
  uses: 0,
  ...rest,
})

export const codebase = (
  components: readonly CodeComponent[],
  rest: Partial<Codebase> = {},
): Codebase => ({
  name: 'shop',
  frameworks: ['react'],
  components: [...components],
  tokens: [],
  conventions: {},
  notes: [],
  files: components.length,
  ...rest,
})
