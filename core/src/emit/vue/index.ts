import { buildFormFile } from '../script/form-file.js'
import { vitePlaces, viteScripts } from '../script/vite-project.js'
import { componentTarget } from '../shared/component-target.js'
import { writeHelpers } from './behaviour/files.js'
import { writeProject } from './project-files.js'
import { unitSpelling, writeIcon, writePart, writeUnit } from './write-unit.js'

/** Single-file components with `<script setup lang="ts">`, one a screen; a router when there are several. */
export const vue = componentTarget({
  id: 'vue',
  label: 'Vue',
  stylings: ['tailwind', 'css', 'scss', 'css-modules'],
  places: vitePlaces('vue'),
  spelling: unitSpelling,
  writeUnit,
  writePart,
  writeIcon,
  writeForm: buildFormFile,
  writeHelpers,
  writeProject,
  packages: {
    router: 'vue-router',
    runtime: ['vue'],
    tools: ['@tailwindcss/vite', '@vitejs/plugin-vue', 'vite', 'vue-tsc'],
  },
  scripts: viteScripts('vue-tsc --noEmit'),
})
