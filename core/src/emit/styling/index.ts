import type { UiProject } from '../../ui/index.js'
import { createCss } from './css/index.js'
import { createCssInJs } from './css-in-js/index.js'
import { createCssModules } from './css-modules/index.js'
import { createScss } from './scss/index.js'
import type { Styling, StylingId, StylingOptions } from './styling.js'
import { createTailwind } from './tailwind/index.js'

const CREATORS: Readonly<
  Record<StylingId, (project: UiProject, options: StylingOptions) => Styling>
> = {
  css: createCss,
  'css-in-js': createCssInJs,
  'css-modules': createCssModules,
  scss: createScss,
  tailwind: createTailwind,
}

/** A styling by its id. */
export const createStyling = (
  id: StylingId,
  project: UiProject,
  options: StylingOptions,
): Styling => {
  // The other stylings read what Tailwind would write.
  const namesValues = id === 'tailwind' && options.namesValues === true
  return CREATORS[id](project, { ...options, namesValues })
}
