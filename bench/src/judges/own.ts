import { checkDelivered } from '@unimorph/core/deliver'
import type { Fault, Judge } from './judge.js'

/** The check that each conversion makes of itself. */
export const own: Judge = {
  name: 'own',
  isOurs: true,
  targets: ['html', 'react', 'vue', 'angular', 'flutter'],
  async judge(_folder, projects) {
    const faults: Fault[] = []
    for (const { name, files } of projects)
      for (const { path, line, what } of await checkDelivered(files))
        faults.push({ file: `${name}/${path}`, line, message: what })
    return faults
  },
}
