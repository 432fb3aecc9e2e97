/** Versions of the packages that delivered projects ask for; the command line builds with the same. */
export const VERSIONS = {
  '@angular/build': '21.2.27',
  '@angular/cli': '21.2.28',
  '@angular/common': '21.2.26',
  '@angular/compiler': '21.2.26',
  '@angular/compiler-cli': '21.2.26',
  '@angular/core': '21.2.26',
  '@angular/forms': '21.2.26',
  '@angular/platform-browser': '21.2.26',
  '@angular/router': '21.2.26',
  '@emotion/css': '11.13.5',
  '@tailwindcss/cli': '4.3.5',
  '@tailwindcss/postcss': '4.3.5',
  '@tailwindcss/vite': '4.3.5',
  '@testing-library/dom': '10.4.2',
  '@testing-library/react': '16.3.3',
  '@types/react': '19.3.0',
  '@types/react-dom': '19.3.0',
  '@vitejs/plugin-react': '6.3.0',
  '@vitejs/plugin-vue': '6.0.11',
  '@vue/test-utils': '2.6.0',
  'happy-dom': '21.0.4',
  postcss: '8.5.6',
  prettier: '3.10.1',
  react: '19.3.1',
  'react-dom': '19.3.1',
  'react-router': '7.18.5',
  rxjs: '7.8.2',
  sass: '1.97.3',
  tailwindcss: '4.3.5',
  tslib: '2.8.1',
  typescript: '6.0.3',
  vite: '8.3.8',
  vitest: '4.1.12',
  vue: '3.5.45',
  'vue-router': '4.6.4',
  'vue-tsc': '3.3.14',
} as const

export type Dependency = keyof typeof VERSIONS

/** `{ react: '19.3.1' }` for a list of names, in alphabetical order. */
export const dependencies = (names: readonly Dependency[]): Record<string, string> =>
  Object.fromEntries([...names].sort().map((name) => [name, VERSIONS[name]]))
