import type { UiProject } from '../../ui/index.js'
import { quoteString } from '../script/quote-string.js'
import { viteFiles } from '../project/vite-project.js'
import type { ProjectStyling, ScreenFile } from '../project/component-target.js'
import { entry, scaffold, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { asModule, relativePath } from '../../text/file-paths.js'
import { entryPage } from '../shared/entry-page.js'

const singleApp = ({ component }: ScreenFile): string => `<script setup lang="ts">
import ${component} from "./screens/${component}.vue";
</script>

<template>
  <${component} />
</template>
`

const ROUTED_APP = `<template>
  <RouterView />
</template>
`

/** Vue Router writes what leads nowhere as a parameter that takes everything. */
const pathOf = (route: string): string => (route === '*' ? '/:lost(.*)*' : route)

const router = (
  screens: readonly ScreenFile[],
): string => `import { createRouter, createWebHashHistory } from "vue-router";
${screens.map(({ component }) => `import ${component} from "./screens/${component}.vue";\n`).join('')}
export const router = createRouter({
  history: createWebHashHistory(),
  routes: [
${screens.map(({ component, route }) => `    { path: ${quoteString(pathOf(route))}, component: ${component} },\n`).join('')}  ],
});
`

const main = (isRouted: boolean, sheet: string): string => `import { createApp } from "vue";
import App from "./App.vue";
${isRouted ? 'import { router } from "./router";\n' : ''}import "${asModule(relativePath('src', sheet))}";

createApp(App)${isRouted ? '.use(router)' : ''}.mount("#app");
`

/** The files around the screens: entry, routes and configuration. */
export const writeProject = (
  project: UiProject,
  screens: readonly ScreenFile[],
  around: ProjectStyling,
): EmittedFile[] => {
  const isRouted = screens.length > 1
  return [
    ...entry(
      textFile('src/App.vue', isRouted ? ROUTED_APP : singleApp(screens[0]!)),
      ...(isRouted ? [textFile('src/router.ts', router(screens))] : []),
    ),
    ...scaffold(
      textFile('src/main.ts', main(isRouted, around.sheet)),
      textFile('index.html', entryPage(project, 'app', '/src/main.ts')),
    ),
    ...viteFiles(project, 'vue', around),
  ]
}
