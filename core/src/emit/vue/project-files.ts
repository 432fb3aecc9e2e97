import type { UiProject } from '../../ui/index.js'
import { quoteString } from '../script/quote-string.js'
import type { ScreenFile } from '../shared/component-target.js'
import { jsonFile, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { fontReadme } from '../shared/font-readme.js'
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

const main = (isRouted: boolean): string => `import { createApp } from "vue";
import App from "./App.vue";
${isRouted ? 'import { router } from "./router";\n' : ''}import "./index.css";

createApp(App)${isRouted ? '.use(router)' : ''}.mount("#app");
`

const VITE_CONFIG = `import tailwindcss from "@tailwindcss/vite";
import vue from "@vitejs/plugin-vue";
import { defineConfig } from "vite";

// A relative base lets the built site stand in any folder.
export default defineConfig({ base: "./", plugins: [vue(), tailwindcss()] });
`

const TSCONFIG = {
  compilerOptions: {
    target: 'es2022',
    module: 'esnext',
    moduleResolution: 'bundler',
    lib: ['es2023', 'dom', 'dom.iterable'],
    types: ['vite/client'],
    strict: true,
    noUnusedLocals: true,
    noUnusedParameters: true,
    isolatedModules: true,
    skipLibCheck: true,
    noEmit: true,
  },
  include: ['src', 'vite.config.ts'],
}

const README = `# Screens

\`\`\`sh
npm install
npm run dev
\`\`\`

\`npm run build\` checks the types and writes the site to \`dist\`.
Each screen is a component in \`src/screens\`; tokens and fonts are in \`src/index.css\`.
`

/** The files around the screens: entry, routes and configuration. */
export const writeProject = (project: UiProject, screens: readonly ScreenFile[]): EmittedFile[] => {
  const isRouted = screens.length > 1
  return [
    textFile('src/App.vue', isRouted ? ROUTED_APP : singleApp(screens[0]!)),
    ...(isRouted ? [textFile('src/router.ts', router(screens))] : []),
    textFile('src/main.ts', main(isRouted)),
    textFile('index.html', entryPage(project, 'app', '/src/main.ts')),
    textFile('vite.config.ts', VITE_CONFIG),
    jsonFile('tsconfig.json', TSCONFIG),
    textFile('README.md', README + fontReadme(project)),
  ]
}
