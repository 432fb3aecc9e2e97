import { ADDED, findSettingProblem, type HouseRules } from '@unimorph/core'
import { useState } from 'react'
import { Button } from '../../../shared/ui/Button'
import { useDesk } from '../model/desk-store'

type Rule = HouseRules[number]

const FIELD = 'h-7 min-w-0 rounded-sm border border-rule bg-paper px-2 font-mono text-xs'
const NONE: HouseRules = []

const NEW: Readonly<Record<Rule['rule'], { readonly label: string; readonly rule: Rule }>> = {
  'attribute-order': {
    label: 'Order of attributes',
    rule: { rule: 'attribute-order', order: ['id', 'class', '*', 'aria-*', 'on*'] },
  },
  'add-attribute': {
    label: 'Attribute to add',
    rule: { rule: 'add-attribute', of: 'img', name: 'loading', value: 'lazy' },
  },
  'no-arbitrary-values': {
    label: 'No arbitrary values in Tailwind classes',
    rule: { rule: 'no-arbitrary-values' },
  },
}

type RowProps<K extends Rule['rule']> = {
  readonly rule: Extract<Rule, { readonly rule: K }>
  readonly onChange: (rule: Rule) => void
}

type FieldProps = {
  readonly label: string
  readonly value: string
  readonly className?: string
  readonly placeholder?: string
  readonly onDone: (text: string) => void
}

/** A text that is taken when it is left. */
const Field = ({ label, value, className = '', placeholder, onDone }: FieldProps) => {
  const [text, setText] = useState(value)
  return (
    <input
      aria-label={label}
      className={`${FIELD} ${className}`}
      value={text}
      placeholder={placeholder}
      onChange={({ target }) => setText(target.value)}
      onBlur={() => text !== value && onDone(text.trim())}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  )
}

const Order = ({ rule, onChange }: RowProps<'attribute-order'>) => (
  <>
    on
    <Field
      label="Element whose attributes are ordered"
      className="w-16"
      value={rule.of ?? ''}
      placeholder="all"
      onDone={(of) => {
        const { of: _before, ...rest } = rule
        onChange(of === '' || of === 'all' ? rest : { ...rest, of })
      }}
    />
    <Field
      label="Order of attributes"
      className="flex-1"
      value={rule.order.join(' ')}
      onDone={(text) => onChange({ ...rule, order: text.split(/[\s,]+/) })}
    />
  </>
)

const Added = ({ rule, onChange }: RowProps<'add-attribute'>) => (
  <>
    <Field
      label="Element that gets an attribute"
      className="w-16"
      value={rule.of}
      onDone={(of) => onChange({ ...rule, of })}
    />
    has
    <Field
      label="Attribute"
      className="w-28"
      value={rule.name}
      onDone={(name) => onChange({ ...rule, name })}
    />
    =
    <Field
      label="Value of the attribute"
      className="flex-1"
      value={rule.value}
      onDone={(value) => onChange({ ...rule, value })}
    />
  </>
)

/** What is wanted of every element, in order; the first rule that is for an element holds. */
export const RulesEditor = () => {
  const rules = useDesk((s) => s.settings.rules) ?? NONE
  const changeSettings = useDesk((s) => s.changeSettings)
  const [problem, setProblem] = useState<string>()
  const save = (next: HouseRules): void => {
    const wrong = findSettingProblem('rules', next)
    setProblem(wrong)
    if (wrong === undefined) changeSettings({ rules: next.length > 0 ? next : undefined })
  }
  const change = (at: number, rule: Rule): void =>
    save(rules.map((one, i) => (i === at ? rule : one)))
  return (
    <section className="mt-5" aria-label="Rules">
      <h3 className="font-semibold">Rules</h3>
      {rules.length === 0 && (
        <p className="text-sm text-soft">
          No rules. A rule holds for every element, such as the order of its attributes.
        </p>
      )}
      <ol className="mt-1 text-sm">
        {rules.map((rule, at) => (
          <li
            key={`${at} ${JSON.stringify(rule)}`}
            className="flex items-center gap-2 border-t border-rule py-1"
          >
            {rule.rule === 'attribute-order' ? (
              <>
                Order <Order rule={rule} onChange={(next) => change(at, next)} />
              </>
            ) : rule.rule === 'add-attribute' ? (
              <>
                Always <Added rule={rule} onChange={(next) => change(at, next)} />
              </>
            ) : (
              <span className="flex-1">{NEW[rule.rule].label}</span>
            )}
            {at > 0 && (
              <Button
                tone="bare"
                className="h-6! px-1! text-xs"
                onClick={() =>
                  save([...rules.slice(0, at - 1), rule, rules[at - 1]!, ...rules.slice(at + 1)])
                }
              >
                Move up
              </Button>
            )}
            <Button
              tone="bare"
              className="h-6! px-1! text-xs"
              onClick={() => save(rules.filter((_, i) => i !== at))}
            >
              Remove
            </Button>
          </li>
        ))}
      </ol>
      {problem !== undefined && (
        <p role="alert" className="text-sm text-problem">
          Not saved: {problem}. Attributes that may be added: {ADDED.join(', ')}, data-….
        </p>
      )}
      <select
        aria-label="Add a rule"
        className={`${FIELD} mt-1 font-sans!`}
        value=""
        onChange={({ target }) => save([...rules, NEW[target.value as Rule['rule']].rule])}
      >
        <option value="">Add a rule …</option>
        {Object.entries(NEW).map(([kind, { label }]) => (
          <option key={kind} value={kind}>
            {label}
          </option>
        ))}
      </select>
    </section>
  )
}
