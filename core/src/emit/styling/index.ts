import type { UiProject } from '../../ui/index.js'
import { createCss } from './css/index.js'
import type { Styling, StylingId, StylingOptions } from './styling.js'
import { createTailwind } from './tailwind/index.js'

const CREATORS: Readonly<
  Record<StylingId, (project: UiProject, options: StylingOptions) => Styling>
> = { css: createCss, tailwind: createTailwind }

/** A styling by its id. */
export const createStyling = (
  id: StylingId,
  project: UiProject,
  options: StylingOptions,
): Styling => CREATORS[id](project, options)
