import type { FormRuling } from '@unimorph/core'
import { useEffect, useState } from 'react'
import type { FormRow } from '../../../engine/protocol'
import { answersPath } from '../../../shared/lib/api'
import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'
import { useForms } from '../model/forms-store'
import { AnswersDialog } from './AnswersDialog'

const TO = [
  { value: 'handler', label: 'a function you write' },
  { value: 'endpoint', label: 'a URL' },
  { value: 'try', label: 'this server, to try it out' },
] as const
type To = (typeof TO)[number]['value']

/** What becomes of the answers of a form, and what was filled in for trying out. */
export const FormCard = ({ form }: { readonly form: FormRow }) => {
  const edit = useDesk((s) => s.edit)
  const project = useDesk((s) => s.project)
  const screens = useDesk((s) => s.drawn?.screens) ?? []
  const said = useDesk((s) => s.drawn?.forms[form.layer])
  const count = useForms((s) => s.answers[form.id]?.length)
  const load = useForms((s) => s.load)
  const [address, setAddress] = useState<string>()
  const [isOpen, setIsOpen] = useState(false)
  useEffect(() => void load(form.id), [form.id, load])

  const here = `${location.origin.replace('localhost', '127.0.0.1')}/api${answersPath(project?.id ?? '', form.id)}`
  const own: FormRuling = said ?? { to: { kind: 'handler' } }
  const isHere = own.to.kind === 'endpoint' && own.to.url === here
  const to: To = isHere ? 'try' : address !== undefined ? 'endpoint' : own.to.kind
  const say = (changes: Partial<FormRuling>): void => {
    setAddress(undefined)
    void edit({ kind: 'set-form', layer: form.layer, form: { ...own, ...changes } })
  }
  const choose = (next: To): void => {
    if (next === 'handler') say({ to: { kind: 'handler' } })
    else if (next === 'try') say({ to: { kind: 'endpoint', url: here } })
    else setAddress('https://')
  }
  const shown = address ?? (own.to.kind === 'endpoint' && !isHere ? own.to.url : undefined)
  return (
    <fieldset className="mb-2 flex flex-wrap items-center gap-1.5 border-t border-rule pt-2">
      <legend className="float-left w-full text-soft">
        Answers of “{form.name}”, {form.fields.length} fields
      </legend>
      <Choice label="go to" value={to} options={TO} onChange={choose} />
      {shown !== undefined && (
        <input
          aria-label="Address for answers"
          defaultValue={shown}
          key={form.layer}
          onBlur={({ target: { value } }) => {
            if (/^https?:\/\/\S+\.?\S/.test(value)) say({ to: { kind: 'endpoint', url: value } })
          }}
          className="h-7 w-full rounded-sm border border-rule bg-sheet px-2"
        />
      )}
      <Choice
        label="then"
        value={own.success ?? ''}
        options={[
          { value: '', label: 'a message' },
          ...screens.map(({ key, name }) => ({ value: key, label: name })),
        ]}
        onChange={(success) => {
          const { success: _before, ...rest } = own
          setAddress(undefined)
          const next = success ? { ...rest, success } : rest
          void edit({ kind: 'set-form', layer: form.layer, form: next })
        }}
      />
      <Button className="h-6! text-xs" onClick={() => setIsOpen(true)}>
        Answers <span className="text-soft tabular-nums">{count ?? 0}</span>
      </Button>
      <AnswersDialog form={form} isOpen={isOpen} onClose={() => setIsOpen(false)} />
    </fieldset>
  )
}
