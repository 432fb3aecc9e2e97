import { TARGETS, type StylingId } from '@unimorph/core'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'

const LABELS: Readonly<Record<StylingId, string>> = {
  tailwind: 'Tailwind',
  css: 'plain CSS',
  scss: 'SCSS',
  'css-modules': 'CSS modules',
  'css-in-js': 'CSS in JS',
}

/** How pages are styled; what is no page has a styling of its own. */
export const StylingSelect = () => {
  const styling = useDesk((s) => s.settings.styling)
  const target = useDesk((s) => s.settings.target)
  const changeSettings = useDesk((s) => s.changeSettings)
  const { stylings } = TARGETS[target]
  if (stylings.length === 0) return null
  return (
    <Choice
      label="styled by"
      // What the target does not have is written as plain CSS.
      value={stylings.includes(styling) ? styling : 'css'}
      options={stylings.map((value) => ({ value, label: LABELS[value] }))}
      isLabelHidden
      onChange={(next) => changeSettings({ styling: next })}
    />
  )
}
