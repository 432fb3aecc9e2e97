import { findSettingProblem, type SettingsFile } from '@unimorph/core'
import { registerDecorator } from 'class-validator'

/** A value that a settings file may have for a field. */
export const IsSetting =
  (field: keyof SettingsFile): PropertyDecorator =>
  (owner, propertyName) => {
    registerDecorator({
      name: 'isSetting',
      target: owner.constructor,
      propertyName: String(propertyName),
      validator: {
        validate: (value: unknown) => findSettingProblem(field, value) === undefined,
        defaultMessage: (given) =>
          `${field}: ${findSettingProblem(field, given?.value) ?? 'not a setting'}`,
      },
    })
  }
