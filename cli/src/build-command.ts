import { spawn } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
} from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { basename, dirname, join, resolve } from 'node:path'
import { describeSystemError, Failure } from './failure.js'

const require = createRequire(import.meta.url)

type Project = {
  readonly kind: 'html' | 'react' | 'vue' | 'angular'
  readonly folder: string
  /** Names of the packages it is built with. */
  readonly packages: readonly string[]
}

const readProject = (folder: string): Project => {
  type Manifest = Partial<
    Record<'dependencies' | 'devDependencies' | 'scripts', Record<string, string>>
  >
  let manifest: Manifest
  try {
    manifest = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8')) as Manifest
  } catch (error) {
    if (error instanceof SyntaxError)
      throw new Failure(`${folder}/package.json: it is not valid JSON.`)
    if (existsSync(join(folder, 'pubspec.yaml')))
      throw new Failure(
        `${folder}: it is a project of Flutter, whose own tools build it: flutter build web.`,
      )
    throw new Failure(`${folder}: no delivered project there, ${describeSystemError(error)}.`)
  }
  const packages = Object.keys({ ...manifest.dependencies, ...manifest.devDependencies })
  if (manifest.dependencies?.['react']) return { kind: 'react', folder, packages }
  if (manifest.dependencies?.['vue']) return { kind: 'vue', folder, packages }
  if (manifest.dependencies?.['@angular/core']) return { kind: 'angular', folder, packages }
  if (!manifest.dependencies && existsSync(join(folder, 'index.html')))
    return { kind: 'html', folder, packages }
  throw new Failure(`${folder}: its package.json is not one that Unimorph delivers.`)
}

const runTool = (tool: string, args: readonly string[], cwd: string): Promise<void> =>
  new Promise((done, fail) => {
    const child = spawn(process.execPath, [tool, ...args], {
      cwd,
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    let output = ''
    child.stdout.on('data', (data: Buffer) => (output += data.toString()))
    child.stderr.on('data', (data: Buffer) => (output += data.toString()))
    child.on('error', fail)
    child.on('close', (code) => {
      if (code === 0) done()
      else
        fail(
          new Failure(`${basename(tool)} ${args[0] ?? ''} failed:\n${output.trim().slice(-4000)}`),
        )
    })
  })

/** The folder of an installed package, seen from a project or, when it has none, from here. */
export const packageFolder = (name: string): string => {
  // Some packages do not export their package.json, so the folder is found from the search path.
  for (const root of require.resolve.paths(name) ?? []) {
    const folder = join(root, name)
    if (existsSync(join(folder, 'package.json'))) return folder
  }
  throw new Failure(`${name} is not installed; run npm install in Unimorph's folder.`)
}

/** Gives a project without its own packages links to the ones installed here, which have the same versions. */
const linkPackages = (project: Project, modules: string): void => {
  for (const name of project.packages) {
    const link = join(modules, name)
    mkdirSync(dirname(link), { recursive: true })
    symlinkSync(packageFolder(name), link, 'dir')
  }
}

/** Copies a project, links the packages it needs, and gives the copy to `build`. The original stays as it is. */
const withWorkingCopy = async (
  project: Project,
  build: (copy: string, modules: string) => Promise<void>,
): Promise<void> => {
  const copy = mkdtempSync(join(tmpdir(), 'unimorph-build-'))
  try {
    cpSync(project.folder, copy, {
      recursive: true,
      filter: (source) => !['node_modules', 'dist', '.git'].includes(basename(source)),
    })
    const own = join(project.folder, 'node_modules')
    const modules = join(copy, 'node_modules')
    if (existsSync(own)) symlinkSync(own, modules, 'dir')
    else linkPackages(project, modules)
    await build(copy, modules)
  } finally {
    rmSync(copy, { recursive: true, force: true })
  }
}

const copySite = (from: string, site: string): void => {
  try {
    mkdirSync(site, { recursive: true })
    cpSync(from, site, { recursive: true })
  } catch (error) {
    throw new Failure(`${site}: cannot be written, ${describeSystemError(error)}.`)
  }
}

const NOT_SERVED = new Set([
  'node_modules',
  'src',
  'package.json',
  'package-lock.json',
  'README.md',
  '.prettierrc',
  '.prettierignore',
])

const buildHtml = async (copy: string, modules: string, site: string): Promise<void> => {
  if (existsSync(join(copy, 'src/styles.css'))) {
    const cli = join(modules, '@tailwindcss/cli/dist/index.mjs')
    await runTool(cli, ['-i', 'src/styles.css', '-o', 'styles.css', '--minify'], copy)
  } else if (existsSync(join(copy, 'src/styles/index.scss'))) {
    const sass = join(modules, 'sass/sass.js')
    await runTool(sass, ['--no-source-map', 'src/styles/index.scss', 'styles.css'], copy)
  }
  for (const name of NOT_SERVED) rmSync(join(copy, name), { recursive: true, force: true })
  copySite(copy, site)
}

/** Checks the types with a tool, where there are some, and bundles. */
const buildWith =
  (checker: string) =>
  async (copy: string, modules: string, site: string): Promise<void> => {
    if (existsSync(join(copy, 'tsconfig.json')))
      await runTool(join(modules, checker), ['--noEmit'], copy)
    await runTool(join(modules, 'vite/bin/vite.js'), ['build', '--logLevel', 'warn'], copy)
    copySite(join(copy, 'dist'), site)
  }

/** Angular's own command checks types and templates, and bundles. */
const buildAngular = async (copy: string, modules: string, site: string): Promise<void> => {
  await runTool(join(modules, '@angular/cli/bin/ng.js'), ['build'], copy)
  copySite(join(copy, 'dist'), site)
}

/** Builds a delivered project into a static site, with the project's own tools, offline. */
export const buildProject = async (dir: string, site: string): Promise<void> => {
  const project = readProject(resolve(dir))
  const build = {
    angular: buildAngular,
    html: buildHtml,
    react: buildWith('typescript/bin/tsc'),
    vue: buildWith('vue-tsc/bin/vue-tsc.js'),
  }[project.kind]
  await withWorkingCopy(project, (copy, modules) => build(copy, modules, resolve(site)))
}

/** `unimorph build`. Returns the exit code. */
export const buildCommand = async (
  dir: string,
  options: { readonly site: string },
): Promise<number> => {
  await buildProject(dir, options.site)
  console.log(`site written to ${options.site}`)
  return 0
}
