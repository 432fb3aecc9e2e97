import { dartFaults } from '@unimorph/cli/check'
import type { Fault, Judge } from './judge.js'

/** Checks Dart without Flutter's own tools. */
export const dart: Judge = {
  name: 'dart',
  isOurs: true,
  targets: ['flutter'],
  async judge(_folder, projects) {
    const faults: Fault[] = []
    for (const { name, files } of projects)
      for (const fault of await dartFaults(files))
        faults.push({ ...fault, file: `${name}/${fault.file}` })
    return faults
  },
}
