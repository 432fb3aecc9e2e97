import {
  Combobox,
  ComboboxButton,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
} from '@headlessui/react'
import { inputTypeSchema, roleSchema, type Role } from '@unimorph/core'
import { useState } from 'react'
import type { NamedRole } from '../../../engine/roles'
import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'
import { FormCard } from './FormCard'
import { MotionCard } from './MotionCard'
import { PressCard } from './PressCard'
import { INPUT_NAMES, isDoubtful, ROLE_NAMES } from '../model/roles-store'

/** What a person at the page fills in. */
const CONTROLS: ReadonlySet<Role> = new Set<Role>([
  'textbox',
  'textarea',
  'combobox',
  'checkbox',
  'radio',
])

const LEVELS = ['1', '2', '3', '4', '5', '6'] as const

/** A role is chosen by typing a part of its name. */
const RoleChoice = ({
  value,
  onChange,
}: {
  readonly value: Role
  readonly onChange: (role: Role) => void
}) => {
  const [typed, setTyped] = useState('')
  const wanted = typed.trim().toLowerCase()
  const options = roleSchema.options.filter(
    (role) => ROLE_NAMES[role].includes(wanted) || role.includes(wanted),
  )
  return (
    <Combobox
      immediate
      value={value}
      onChange={(role) => role && onChange(role)}
      onClose={() => setTyped('')}
    >
      <div className="relative min-w-0 flex-1">
        <ComboboxInput
          aria-label="Role"
          displayValue={(role: Role) => ROLE_NAMES[role]}
          onChange={(event) => setTyped(event.target.value)}
          className="h-7 w-full rounded-sm border border-rule bg-sheet pr-6 pl-2 font-medium"
        />
        <ComboboxButton
          aria-label="All roles"
          className="absolute inset-y-0 right-0 px-2 text-soft"
        >
          ▾
        </ComboboxButton>
      </div>
      <ComboboxOptions
        anchor="top start"
        className="z-40 max-h-72! w-(--input-width) rounded-sm border border-ink bg-sheet py-1 text-xs shadow-md empty:hidden"
      >
        {options.map((role) => (
          <ComboboxOption
            key={role}
            value={role}
            className="px-3 py-1 data-focus:bg-tint data-selected:font-semibold"
          >
            {ROLE_NAMES[role]}
          </ComboboxOption>
        ))}
      </ComboboxOptions>
    </Combobox>
  )
}

type Props = { readonly layer: string | undefined; readonly role: NamedRole | undefined }

/** What the chosen layer is and why, and what a person says instead: of it alone or of all that are alike. */
export const RoleCard = ({ layer, role }: Props) => {
  const edit = useDesk((s) => s.edit)
  const details = useDesk((s) => s.details)
  const [all, setAll] = useState(false)
  const behaviour = useDesk((s) => (layer === undefined ? undefined : s.drawn?.behaviour[layer]))
  const form = useDesk((s) => s.converted?.forms.find((one) => one.layer === layer))
  if (layer === undefined) {
    return (
      <p className="border-t border-rule p-3 text-xs text-soft">
        Select a layer to see its role and why.
      </p>
    )
  }
  const alike = role?.alike ?? [layer]
  const layers = all ? [...alike] : [layer]
  const say = (
    next: Role,
    more: { level?: number; input?: NamedRole['input']; required?: boolean } = {},
  ): void => {
    const { level, input, required } = more
    void edit({
      kind: 'set-role',
      layers,
      role: next,
      ...(level ? { level } : {}),
      ...(input ? { input } : {}),
      ...(required === undefined ? {} : { required }),
    })
  }
  return (
    <section
      aria-label="Role of the chosen layer"
      className="max-h-[60%] shrink-0 overflow-auto border-t border-ink p-3 text-xs"
    >
      <h3 className="mb-1.5 truncate text-sm font-semibold">
        {role?.name ?? details?.name ?? layer}
      </h3>
      <div className="mb-2 flex items-center gap-2">
        <RoleChoice
          key={`${layer} ${role?.role}`}
          value={role?.role ?? 'none'}
          onChange={(next) => say(next)}
        />
        {role?.role === 'heading' && (
          <Choice
            label="level"
            value={String(role.level ?? 2)}
            options={LEVELS.map((level) => ({ value: level, label: level }))}
            onChange={(level) => say('heading', { level: Number(level) })}
          />
        )}
      </div>
      {role?.role === 'textbox' && (
        <div className="mb-2">
          <Choice
            label="Input type"
            value={role.input ?? 'text'}
            options={inputTypeSchema.options.map((input) => ({
              value: input,
              label: INPUT_NAMES[input],
            }))}
            onChange={(input) => say('textbox', { input })}
          />
        </div>
      )}
      {role && (
        <ul className="mb-2 list-disc pl-4 text-soft">
          {role.evidence.map((why) => (
            <li key={why}>{why}</li>
          ))}
        </ul>
      )}
      {alike.length > 1 && (
        <label className="mb-2 flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={all}
            onChange={(event) => setAll(event.target.checked)}
            className="accent-settled"
          />
          Apply to all {alike.length} alike
        </label>
      )}
      <div className="flex flex-wrap gap-2">
        {role && isDoubtful(role) && (
          <Button className="h-6! text-xs" onClick={() => say(role.role, role)}>
            Confirm
          </Button>
        )}
        {role?.isRuling && (
          <Button
            className="h-6! text-xs"
            onClick={() => void edit({ kind: 'set-role', layers, role: null })}
          >
            Reset
          </Button>
        )}
      </div>
      {CONTROLS.has(role?.role ?? 'none') && (
        <label className="mb-2 flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={role?.isRequired ?? false}
            onChange={(event) => say(role!.role, { ...role!, required: event.target.checked })}
            className="accent-settled"
          />
          Required
        </label>
      )}
      {form && <FormCard form={form} />}
      <PressCard layer={layer} {...(behaviour?.press ? { press: behaviour.press } : {})} />
      <MotionCard layer={layer} hover={behaviour?.hover} entrance={behaviour?.entrance} />
    </section>
  )
}
