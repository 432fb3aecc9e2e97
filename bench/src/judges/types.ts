import { typeFaults } from '@unimorph/cli/check'
import type { Judge } from './judge.js'

/** The target's own compiler, in its strict mode. */
export const types: Judge = {
  name: 'types',
  targets: ['react', 'vue', 'angular'],
  judge: (folder, projects, target) =>
    typeFaults(
      folder,
      projects.map(({ name }) => name),
      target,
    ),
}
