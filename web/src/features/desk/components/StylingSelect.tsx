import type { StylingId, TargetId } from '@unimorph/core'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'

type Option = {
  readonly value: StylingId
  readonly label: string
  /** The only target it is for. */
  readonly only?: TargetId
}

const OPTIONS: readonly Option[] = [
  { value: 'tailwind', label: 'Tailwind' },
  { value: 'css', label: 'plain CSS' },
  { value: 'scss', label: 'SCSS' },
  { value: 'css-modules', label: 'CSS modules' },
  { value: 'css-in-js', label: 'CSS in JS', only: 'react' },
]

/** How pages are styled; what is no page has a styling of its own. */
export const StylingSelect = () => {
  const styling = useDesk((s) => s.settings.styling)
  const target = useDesk((s) => s.settings.target)
  const changeSettings = useDesk((s) => s.changeSettings)
  if (target === 'flutter') return null
  const options = OPTIONS.filter(({ only }) => only === undefined || only === target)
  // What the target does not have is written as plain CSS.
  const isThere = options.some(({ value }) => value === styling)
  return (
    <Choice
      label="styled by"
      value={isThere ? styling : 'css'}
      options={options}
      isLabelHidden
      onChange={(next) => changeSettings({ styling: next })}
    />
  )
}
