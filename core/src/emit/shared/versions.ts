/** Versions of the packages that delivered projects ask for; the command line builds with the same. */
export const VERSIONS = {
  '@tailwindcss/cli': '4.3.5',
  '@tailwindcss/vite': '4.3.5',
  '@types/react': '19.3.0',
  '@types/react-dom': '19.3.0',
  '@vitejs/plugin-react': '6.3.0',
  '@vitejs/plugin-vue': '6.0.11',
  prettier: '3.10.1',
  react: '19.3.1',
  'react-dom': '19.3.1',
  'react-router': '7.18.5',
  tailwindcss: '4.3.5',
  typescript: '6.0.3',
  vite: '8.3.8',
  vue: '3.5.45',
  'vue-router': '4.6.4',
  'vue-tsc': '3.3.14',
} as const

export type Dependency = keyof typeof VERSIONS

/** `{ react: '19.3.1' }` for a list of names, in alphabetical order. */
export const dependencies = (names: readonly Dependency[]): Record<string, string> =>
  Object.fromEntries([...names].sort().map((name) => [name, VERSIONS[name]]))
