import { EXTRAS, SCRIPTS, TEMPLATE_PLACES, type Target } from '../emit/target.js'
import { UNITS } from '../emit/styling/units.js'
import type { SettingsFile } from './settings-file.js'

/** A setting that a target does not have, with the values that it has; none where the setting means nothing to it. */
export type Unsupported = {
  readonly field: keyof SettingsFile
  readonly value: string
  readonly allowed: readonly string[]
}

/** A setting, what it was given, and what it may be. */
type Choice = readonly [
  field: keyof SettingsFile,
  values: readonly (string | undefined)[],
  allowed: readonly string[],
]

/** The settings that a target could only ignore. */
export const findUnsupported = (
  { stylings, hasPlainScript, hasTemplateFiles, hasTests }: Target,
  settings: SettingsFile,
): readonly Unsupported[] => {
  const isPage = stylings.length > 0
  const { styling, script, templates, units, extras = [] } = settings
  const scripts = hasPlainScript ? SCRIPTS : isPage ? ['typescript'] : []
  const choices: readonly Choice[] = [
    ['styling', [styling], stylings],
    ['script', [script], scripts],
    ['templates', [templates], hasTemplateFiles ? TEMPLATE_PLACES : []],
    ['units', [units], isPage ? UNITS : []],
    ['extras', extras, EXTRAS.filter((extra) => extra !== 'tests' || hasTests)],
  ]
  return choices.flatMap(([field, values, allowed]) =>
    values.flatMap((value) =>
      value === undefined || allowed.includes(value) ? [] : [{ field, value, allowed }],
    ),
  )
}
