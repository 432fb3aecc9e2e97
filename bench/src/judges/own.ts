import { checkDelivered } from '@unimorph/core/deliver'
import type { Judge } from './judge.js'

/** The check that each conversion makes of itself. */
export const own: Judge = {
  name: 'own',
  targets: ['html', 'react', 'vue', 'angular', 'flutter'],
  judge: (_folder, projects) =>
    Promise.resolve(
      projects.flatMap(({ name, files }) =>
        checkDelivered(files).map(({ message, where }) => ({
          file: `${name}/${where.path ?? ''}`,
          line: 0,
          message,
        })),
      ),
    ),
}
