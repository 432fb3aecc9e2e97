import { asDocComment } from '../shared/with-comment.js'
import { printElement } from './print-jsx.js'
import { STYLINGS } from '../styling/styling.js'
import { buildFormFile } from '../script/form-file.js'
import { vitePlaces, viteScripts } from '../project/vite-project.js'
import { componentTarget } from '../project/component-target.js'
import { buildHelpers } from './behaviour/files.js'
import { unitSpelling, writeUnit } from './emit-component.js'
import { buildIconFile } from './icon-file.js'
import { emitPart } from './print-part.js'
import { ROUTER_TAGS } from './imports.js'
import { linting } from './linting.js'
import { buildProjectFiles } from './project-files.js'
import { writeTest } from './write-test.js'

/** Function components in TypeScript, one file a screen; a router when there are several. */
export const react = componentTarget({
  id: 'react',
  label: 'React',
  stylings: STYLINGS,
  places: vitePlaces('tsx'),
  spelling: unitSpelling,
  writeUnit,
  writePart: emitPart,
  printUse: printElement,
  commentPlace: (name) => ({ before: `export function ${name}(`, comment: asDocComment }),
  writeIcon: buildIconFile,
  writeForm: buildFormFile,
  writeHelpers: buildHelpers,
  writeProject: buildProjectFiles,
  packages: {
    router: 'react-router',
    runtime: ['react', 'react-dom'],
    tools: [
      '@tailwindcss/vite',
      '@types/react',
      '@types/react-dom',
      '@vitejs/plugin-react',
      'vite',
    ],
  },
  linting,
  tests: {
    routerTags: ROUTER_TAGS,
    fieldAttributes: new Set(),
    tools: ['@testing-library/dom', '@testing-library/react', 'happy-dom', 'vitest'],
    script: 'vitest run',
    write: writeTest,
  },
  scripts: viteScripts('tsc --noEmit'),
  plainScripts: viteScripts(),
})
