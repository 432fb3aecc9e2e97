// What other packages use of the command line: converting files, writing and building what was delivered.
export { buildProject, packageFolder } from './build-command.js'
export { convertFiles, type Conversion, type ConvertOptions } from './convert-command.js'
export { Failure } from './failure.js'
export { readInputs } from './read-inputs.js'
export { writeFiles } from './write-files.js'
