import type { Way } from '../../design/widths.js'
import { columns } from './columns.js'
import { fold } from './fold.js'
import { scroll } from './scroll.js'
import type { Rule } from './rule.js'
import { stack } from './stack.js'
import { wrap } from './wrap.js'

/** The ways a container can give way, by name. */
export const RULES: Readonly<Record<Exclude<Way, 'keep'>, Rule>> = {
  columns,
  fold,
  scroll,
  stack,
  wrap,
}

/** The order in which they are asked: the first that suits is taken. */
export const RULE_ORDER: readonly Rule[] = [fold, scroll, columns, wrap, stack]

export { pageContext, type Rule, type RuleContext } from './rule.js'
