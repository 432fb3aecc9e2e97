import { buildFormFile } from '../script/form-file.js'
import { vitePlaces, viteScripts } from '../project/vite-project.js'
import { componentTarget } from '../project/component-target.js'
import { printTags } from '../shared/print-tags.js'
import { asTagComment } from '../shared/with-comment.js'
import { writeHelpers } from './behaviour/files.js'
import { ROUTER_TAGS } from './imports.js'
import { escapeWords } from './print-file.js'
import { linting } from './linting.js'
import { writeProject } from './project-files.js'
import { toTemplate } from './to-template.js'
import { writeTest } from './write-test.js'
import { unitSpelling, writeIcon, writePart, writeUnit } from './write-unit.js'

/** Of one word are elements of HTML, now and later: components have two, as Vue's style guide has it. */
const spellName = (name: string, kind: 'screen' | 'component'): string => {
  if (!/^[A-Z][a-z0-9]*$/.test(name)) return name
  return kind === 'screen' && name !== 'Screen' ? `${name}Screen` : `App${name}`
}

/** Single-file components with `<script setup lang="ts">`, one a screen; a router when there are several. */
export const vue = componentTarget({
  id: 'vue',
  label: 'Vue',
  stylings: ['tailwind', 'css', 'scss', 'css-modules'],
  places: vitePlaces('vue'),
  spelling: unitSpelling,
  spellName,
  writeUnit,
  writePart,
  printUse: (use) => printTags(toTemplate(use), { escape: escapeWords }),
  commentPlace: () => ({ before: '<', comment: asTagComment }),
  writeIcon,
  writeForm: buildFormFile,
  writeHelpers,
  writeProject,
  packages: {
    router: 'vue-router',
    runtime: ['vue'],
    tools: ['@tailwindcss/vite', '@vitejs/plugin-vue', 'vite', 'vue-tsc'],
  },
  linting,
  tests: {
    routerTags: ROUTER_TAGS,
    fieldAttributes: new Set(),
    tools: ['@vue/test-utils', 'happy-dom', 'vitest'],
    script: 'vitest run',
    write: writeTest,
  },
  scripts: viteScripts('vue-tsc --noEmit'),
})
