import { componentTarget } from '../shared/component-target.js'
import { writeHelpers } from './behaviour/files.js'
import { writeProject } from './project-files.js'
import { unitSpelling, writeIcon, writePart, writeUnit } from './write-unit.js'

/** Single-file components with `<script setup lang="ts">`, one a screen; a router when there are several. */
export const vue = componentTarget({
  id: 'vue',
  label: 'Vue',
  extension: 'vue',
  spelling: unitSpelling,
  writeUnit,
  writePart,
  writeIcon,
  writeHelpers,
  writeProject,
  packages: {
    router: 'vue-router',
    runtime: ['vue'],
    tools: ['@vitejs/plugin-vue', 'vue-tsc'],
  },
  check: 'vue-tsc --noEmit',
})
