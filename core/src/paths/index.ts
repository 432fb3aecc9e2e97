export { boundsOfParts } from './bounds.js'
export { parsePath, type Path } from './parse.js'
export { printPath } from './print.js'
export { transformPath } from './transform.js'
