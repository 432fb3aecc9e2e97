import { componentTarget } from '../shared/component-target.js'
import { buildHelpers } from './behaviour/files.js'
import { unitSpelling, writeUnit } from './emit-component.js'
import { buildIconFile } from './icon-file.js'
import { emitPart } from './print-part.js'
import { buildProjectFiles } from './project-files.js'

/** Function components in TypeScript, one file a screen; a router when there are several. */
export const react = componentTarget({
  id: 'react',
  label: 'React',
  extension: 'tsx',
  spelling: unitSpelling,
  writeUnit,
  writePart: emitPart,
  writeIcon: buildIconFile,
  writeHelpers: buildHelpers,
  writeProject: buildProjectFiles,
  packages: {
    router: 'react-router',
    runtime: ['react', 'react-dom'],
    tools: ['@types/react', '@types/react-dom', '@vitejs/plugin-react'],
  },
  check: 'tsc --noEmit',
})
