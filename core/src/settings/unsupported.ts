import { EXTRAS, SCRIPTS, TEMPLATE_PLACES, type Target } from '../emit/target.js'
import type { SettingsFile } from './settings-file.js'

/** A setting that a target does not have, with the values that it has; none where the setting means nothing to it. */
export type Unsupported = {
  readonly field: keyof SettingsFile
  readonly value: string
  readonly allowed: readonly string[]
}

/** The settings that a target could only ignore. */
export const findUnsupported = (
  { stylings, hasPlainScript, hasTemplateFiles, hasTests }: Target,
  settings: SettingsFile,
): readonly Unsupported[] => {
  const isPage = stylings.length > 0
  const choices: readonly (readonly [keyof SettingsFile, readonly string[], readonly string[]])[] =
    [
      ['styling', settings.styling ? [settings.styling] : [], stylings],
      [
        'script',
        settings.script ? [settings.script] : [],
        hasPlainScript ? SCRIPTS : isPage ? ['typescript'] : [],
      ],
      [
        'templates',
        settings.templates ? [settings.templates] : [],
        hasTemplateFiles ? TEMPLATE_PLACES : [],
      ],
      ['units', settings.units ? [settings.units] : [], isPage ? [settings.units ?? ''] : []],
      ['extras', settings.extras ?? [], EXTRAS.filter((extra) => extra !== 'tests' || hasTests)],
    ]
  return choices.flatMap(([field, values, allowed]) =>
    values.filter((value) => !allowed.includes(value)).map((value) => ({ field, value, allowed })),
  )
}
