export { run, type App } from './run.js'
export { KNOWN_WIDGETS } from './layout.js'
export { SHARED_WIDGETS } from './shared-widgets.js'
