import { typeOf } from '../script/print-props.js'
import { hardline, join, type Doc } from '../shared/document.js'
import type { Prop } from '../shared/prop.js'

/** The types of what a component is given, for editors that read them in comments. Nothing in it ends the comment. */
export const printPropsComment = (type: string, props: readonly Prop[]): Doc =>
  join(hardline, [
    '/**',
    ` * @typedef {object} ${type}`,
    ...props.map((prop) =>
      inComment(` * @property {${typesOf(prop).join(' | ')}} ${nameInComment(prop)}`),
    ),
    ' */',
  ])

/** Words of a design may be what would end a comment. */
const inComment = (line: string): string => line.replaceAll('*/', '*\\/')

const nameInComment = ({ name, isOptional, standard }: Prop): string =>
  isOptional || standard !== undefined ? `[${name}]` : name

/** The types a prop may have; what another file defines is said with that file. */
const typesOf = (prop: Prop): readonly string[] =>
  prop.kind === 'slot'
    ? ['import("react").ReactNode']
    : typeOf(prop).map((one) =>
        prop.of === undefined ? one : one.replace(/^\w+Props/, `import("./${prop.of.tag}").$&`),
      )
