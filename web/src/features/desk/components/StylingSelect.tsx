import type { StylingId } from '@unimorph/core'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'

const OPTIONS: readonly { readonly value: StylingId; readonly label: string }[] = [
  { value: 'tailwind', label: 'Tailwind' },
  { value: 'css', label: 'plain CSS' },
]

/** How pages are styled; what is no page has a styling of its own. */
export const StylingSelect = () => {
  const styling = useDesk((s) => s.settings.styling)
  const isPages = useDesk((s) => s.settings.target !== 'flutter')
  const changeSettings = useDesk((s) => s.changeSettings)
  if (!isPages) return null
  return (
    <Choice
      label="styled by"
      value={styling}
      options={OPTIONS}
      onChange={(next) => changeSettings({ styling: next })}
    />
  )
}
