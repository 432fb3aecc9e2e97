import { build, type Plugin } from 'esbuild'
import { linkAngular } from './angular-files'

/** What generated code may use besides itself: the packages of its framework, or what stands in for it, by framework. */
const PACKAGES = {
  angular: ['@angular/core', '@angular/forms', '@angular/platform-browser', '@angular/router'],
  flutter: ['@unimorph/flutter-stand-in'],
  react: ['react', 'react/jsx-runtime', 'react-dom/client', 'react-router'],
  vue: ['vue', 'vue-router'],
} as const

export type RuntimeName = keyof typeof PACKAGES

export const RUNTIMES = Object.keys(PACKAGES) as readonly RuntimeName[]

const runtimeOf = (path: string): RuntimeName | undefined =>
  RUNTIMES.find((name) => (PACKAGES[name] as readonly string[]).includes(path))

/** What frameworks ask of the bundler. */
export const DEFINES = {
  'process.env.NODE_ENV': '"production"',
  ngDevMode: 'false',
  ngI18nClosureMode: 'false',
  ngJitMode: 'false',
  // Components of a codebase may be written with options.
  __VUE_OPTIONS_API__: 'true',
  __VUE_PROD_DEVTOOLS__: 'false',
  __VUE_PROD_HYDRATION_MISMATCH_DETAILS__: 'false',
}

/** Where a page has the packages of its runtime, by the paths they are imported by. */
const PLACE = 'globalThis.previewRuntime'

/** Code for a package that the page has already. */
export const fromPage = (path: string): string => `${PLACE}[${JSON.stringify(path)}]`

/** Lets code import packages that the page has already, and notes whose they are. */
export const fromRuntime = (used: Set<RuntimeName>): Plugin => ({
  name: 'from-runtime',
  setup(bundler) {
    bundler.onResolve({ filter: /^[^.]/, namespace: 'given' }, ({ path }) => {
      const name = runtimeOf(path)
      if (!name) return undefined
      used.add(name)
      return { path, namespace: 'runtime' }
    })
    bundler.onLoad({ filter: /.*/, namespace: 'runtime' }, ({ path }) => ({
      contents: `module.exports = ${fromPage(path)}`,
      loader: 'js',
    }))
  },
})

const bundleRuntime = async (name: RuntimeName): Promise<string> => {
  const paths = PACKAGES[name]
  const imports = paths.map((path, i) => `import * as p${i} from ${JSON.stringify(path)}`)
  const given = paths.map((path, i) => `${JSON.stringify(path)}: p${i}`)
  const result = await build({
    stdin: {
      contents: `${imports.join('\n')}\n${PLACE} = Object.assign(${PLACE} ?? {}, { ${given.join(', ')} })`,
      resolveDir: __dirname,
    },
    bundle: true,
    write: false,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: DEFINES,
    logLevel: 'silent',
    plugins: [linkAngular],
  })
  return result.outputFiles[0]!.text
}

const bundled = new Map<RuntimeName, Promise<string>>()

/** A script that gives a page the packages of a framework; bundled once, so that apps are bundled without them. */
export const runtimeScript = (name: RuntimeName): Promise<string> => {
  const known = bundled.get(name)
  if (known) return known
  const script = bundleRuntime(name)
  bundled.set(name, script)
  script.catch(() => bundled.delete(name))
  return script
}
