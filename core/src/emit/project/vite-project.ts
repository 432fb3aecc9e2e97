import type { UiProject } from '../../ui/index.js'
import type { ComponentTarget, ProjectStyling } from './component-target.js'
import { jsonFile, scaffold, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { folderOf } from '../../text/file-paths.js'
import { fontReadme } from '../shared/font-readme.js'
import { ABOUT_TOOLS } from '../tooling/project-tools.js'
import { ABOUT_TESTS } from './print-test.js'

const viteConfig = (
  plugin: string,
  isTailwind: boolean,
  options: string,
  hasTests: boolean,
): string => {
  const plugins = `[${plugin}(${options})${isTailwind ? ', tailwindcss()' : ''}]`
  const config = hasTests
    ? `{
  base: "./",
  plugins: ${plugins},
  test: { environment: "happy-dom" },
}`
    : `{ base: "./", plugins: ${plugins} }`
  return `${isTailwind ? 'import tailwindcss from "@tailwindcss/vite";\n' : ''}import ${plugin} from "@vitejs/plugin-${plugin}";
import { defineConfig } from "${hasTests ? 'vitest/config' : 'vite'}";

// A relative base lets the built site stand in any folder.
export default defineConfig(${config});
`
}

const tsconfig = (more: object) => ({
  compilerOptions: {
    target: 'es2022',
    module: 'esnext',
    moduleResolution: 'bundler',
    lib: ['es2023', 'dom', 'dom.iterable'],
    ...more,
    types: ['vite/client'],
    strict: true,
    noUnusedLocals: true,
    noUnusedParameters: true,
    isolatedModules: true,
    skipLibCheck: true,
    noEmit: true,
  },
  include: ['src', 'vite.config.ts'],
})

/** What editors are told of code without types. */
const jsconfig = (more: object) => ({
  compilerOptions: {
    target: 'es2022',
    module: 'esnext',
    moduleResolution: 'bundler',
    ...more,
  },
  include: ['src'],
})

const readme = (sheet: string, isPlain: boolean, hasTests: boolean): string => `# Screens

\`\`\`sh
npm install
npm run dev
\`\`\`

\`npm run build\` ${isPlain ? '' : 'checks the types and '}writes the site to \`dist\`.${hasTests ? ABOUT_TESTS : ''}
${ABOUT_TOOLS}
Each screen is a component in \`src/screens\`; tokens and fonts are in \`${sheet.endsWith('.scss') ? folderOf(sheet) : sheet}\`.
`

/** Where projects that Vite builds have things; `extension` is that of a component's file. */
export const vitePlaces = (extension: string): ComponentTarget['places'] => ({
  markupOf: (folder, name) => `src/${folder}/${name}.${extension}`,
  assets: 'src/assets',
  publicAssets: 'public/assets',
  sheet: { folder: 'src', stem: 'index' },
})

/** The scripts of such a project; `check` is the command that checks the types, where there are some. */
export const viteScripts = (check?: string): ComponentTarget['scripts'] => ({
  dev: 'vite',
  build: check === undefined ? 'vite build' : `${check} && vite build`,
  preview: 'vite preview',
})

/** How a project in TypeScript is built; `plugin` names that of its framework, `options` are more for the compiler. */
export const viteFiles = (
  project: UiProject,
  plugin: string,
  { styling, sheet, isPlain, hasPublicPictures, hasTests }: ProjectStyling,
  options: object = {},
): EmittedFile[] => {
  // Vue would make modules of the addresses in templates.
  const asTheyAre =
    hasPublicPictures && plugin === 'vue' ? '{ template: { transformAssetUrls: false } }' : ''
  return scaffold(
    textFile('vite.config.ts', viteConfig(plugin, styling === 'tailwind', asTheyAre, hasTests)),
    isPlain
      ? jsonFile('jsconfig.json', jsconfig(options))
      : jsonFile('tsconfig.json', tsconfig(options)),
    textFile('README.md', readme(sheet, isPlain, hasTests) + fontReadme(project)),
  )
}
