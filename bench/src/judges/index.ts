import { dart } from './dart.js'
import { format } from './format.js'
import type { Judge } from './judge.js'
import { lint } from './lint.js'
import { markup } from './markup.js'
import { own } from './own.js'
import { types } from './types.js'

/** All judges that are installed. */
export const JUDGES: readonly Judge[] = [own, types, dart, format, lint, markup]
