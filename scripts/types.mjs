// Type-checks everything: what is emitted while it is emitted, the rest by itself. Only what has changed is looked at again.
import { checkTypes, compile, run } from './steps.mjs'

process.exit([compile(), checkTypes()].every((command) => run(...command).ok) ? 0 : 1)
