import {
  checkGlossary,
  FRAMEWORKS,
  packagesOf,
  prepare,
  readFiles,
  suggestGlossary,
  type CodeComponent,
  type Codebase,
  type Design,
  type Framework,
  type Glossary,
  type GlossaryProblem,
  type Suggestion,
} from '@unimorph/core'
import type { ScanCache } from '@unimorph/codebase'
import { Failure } from './failure.js'
import { findGlossary, openCache, saveGlossary, scanFolder, watchFolder } from './glossary-files.js'
import { readInputs } from './read-inputs.js'

export type ScanOptions = {
  readonly package?: readonly string[]
  readonly json?: boolean
  readonly watch?: boolean
}

const plural = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`

const describe = ({ id, props, uses, isDeprecated }: CodeComponent): string => {
  const own = props.filter(({ isInherited }) => !isInherited)
  const used = uses > 0 ? `, used ${plural(uses, 'time')}` : ''
  return `${id}: ${own.map(({ name, isRequired }) => `${name}${isRequired ? '' : '?'}`).join(', ') || 'nothing is given'}${used}${isDeprecated ? ', deprecated' : ''}`
}

/** What another scan found that the one before did not, by component; nothing where they found the same. */
const differencesOf = (before: Codebase, after: Codebase): readonly string[] => {
  const old = new Map(before.components.map((one) => [one.id, describe(one)]))
  const now = new Map(after.components.map((one) => [one.id, describe(one)]))
  return [
    ...[...old].flatMap(([id, text]) => (now.has(id) ? [] : [`- ${text}`])),
    ...[...now].flatMap(([id, text]) => {
      const known = old.get(id)
      return known === text ? [] : [`${known === undefined ? '+' : '~'} ${text}`]
    }),
  ]
}

const watchScans = async (
  folder: string,
  { package: packages }: ScanOptions,
  first: Codebase,
  cache: ScanCache,
): Promise<void> => {
  let last = first
  let queue = Promise.resolve()
  const scanAgain = (): void => {
    queue = queue
      .then(async () => {
        const next = await scanFolder(folder, packages, cache)
        for (const line of differencesOf(last, next)) console.log(line)
        last = next
      })
      .catch((error: unknown) => console.error(error instanceof Error ? error.message : error))
  }
  await watchFolder(folder, scanAgain)
  console.log('Watching for changes; Ctrl+C ends it.')
  // What changed between the first scan and the watching was seen by neither.
  scanAgain()
}

/**
 * `unimorph scan`: the components and tokens of a codebase. Returns the exit code; with `watch` it goes on, and prints what
 * comes (`+`), goes (`-`) or changes (`~`).
 */
export const scanCommand = async (folder: string, options: ScanOptions): Promise<number> => {
  if (options.json && options.watch) {
    throw new Failure('--watch prints what changes as text; leave --json away.', 2)
  }
  const cache = openCache(folder)
  const codebase = await scanFolder(folder, options.package, cache)
  if (options.json) {
    console.log(JSON.stringify(codebase, null, 2))
    return 0
  }
  for (const component of codebase.components) console.log(describe(component))
  for (const { path, line, message } of codebase.notes) {
    console.error(`${path}${line === undefined ? '' : `:${line}`}: ${message}`)
  }
  console.log(
    `${plural(codebase.components.length, 'component')} and ${plural(codebase.tokens.length, 'token')} in ${plural(codebase.files, 'file')}`,
  )
  if (options.watch) await watchScans(folder, options, codebase, cache)
  return 0
}

const readDesign = (paths: readonly string[]): Design => {
  const intake = readFiles(readInputs(paths))
  const broken = intake.notes.find(({ severity }) => severity === 'error')
  if (!intake.design || broken) {
    throw new Failure(broken ? `${broken.message} ${broken.help}` : 'There is no design in it.')
  }
  return intake.design
}

/** The framework that is meant: the one that is named, else the only one the codebase has. */
const frameworkOf = (named: string | undefined, { frameworks, name }: Codebase): Framework => {
  if (named !== undefined) {
    const known = FRAMEWORKS.find((one) => one === named)
    if (known) return known
    throw new Failure(`--target ${named}: not known; allowed: ${FRAMEWORKS.join(', ')}.`, 2)
  }
  const [only, ...others] = frameworks
  if (only && others.length === 0) return only
  throw new Failure(
    only
      ? `${name} has components of ${frameworks.join(' and ')}; say which with --target.`
      : `${name}: no components were found in it.`,
  )
}

export type SuggestOptions = {
  readonly codebase: string
  readonly target?: string
  readonly package?: readonly string[]
  readonly accept?: string
  readonly write?: boolean
  readonly json?: boolean
}

const print = ({ entry, confidence, evidence, others }: Suggestion): void => {
  const [kind, name] = Object.entries(entry.design)[0]!
  const where =
    entry.leads === undefined
      ? ''
      : entry.leads
        ? ' that leads somewhere'
        : ' that does not lead anywhere'
  console.log(`${kind} ${name}${where} -> ${entry.code} (${Math.round(confidence * 100)} %)`)
  for (const reason of evidence) console.log(`  ${reason}`)
  if (others.length > 0) console.log(`  else ${others.join(', ')}`)
}

const readShare = (text: string | undefined): number | undefined => {
  if (text === undefined) return undefined
  const share = Number(text) / 100
  if (share >= 0 && share <= 1) return share
  throw new Failure(`--accept ${text}: a number from 0 to 100 is wanted.`, 2)
}

/** `unimorph suggest`: components of a codebase for what a design shows. Returns the exit code. */
export const suggestCommand = async (
  paths: readonly string[],
  options: SuggestOptions,
): Promise<number> => {
  const least = readShare(options.accept)
  const glossary = findGlossary(options.codebase)
  const codebase = await scanFolder(options.codebase, [
    ...(options.package ?? []),
    ...packagesOf(glossary),
  ])
  const design = readDesign(paths)
  const project = prepare(design, [])
  if (!project.ok) throw new Failure(project.notes.map(({ message }) => message).join('\n'))
  const framework = frameworkOf(options.target, codebase)
  const { components, tokens } = suggestGlossary(
    project.value,
    design,
    codebase,
    framework,
    glossary,
  )
  if (options.json) console.log(JSON.stringify({ components, tokens }, null, 2))
  else {
    components.forEach(print)
    for (const [token, name] of Object.entries(tokens)) console.log(`token ${token} -> ${name}`)
    if (components.length === 0 && Object.keys(tokens).length === 0)
      console.log('There is nothing to propose: the glossary has it all, or nothing is alike.')
  }
  if (!options.write) return 0
  const next: Glossary = {
    ...glossary,
    components: [
      ...glossary.components,
      ...components.map(({ entry, confidence }) => {
        const { status: _proposed, ...confirmed } = entry
        return least !== undefined && confidence >= least ? confirmed : entry
      }),
    ],
    tokens: { ...glossary.tokens, ...tokens },
  }
  const path = saveGlossary(options.codebase, next)
  const open = next.components.filter(({ status }) => status === 'proposed').length
  if (!options.json) {
    console.log(`written to ${path}${open > 0 ? `; ${open} wait to be confirmed` : ''}`)
  }
  return 0
}

export type CheckOptions = { readonly json?: boolean }

const printProblem = (
  { severity, entry, prop, message, help }: GlossaryProblem,
  { components }: Glossary,
): void => {
  const about = entry === undefined ? undefined : Object.values(components[entry]!.design)[0]
  const where = [about, prop].filter((one) => one !== undefined).join(', ')
  console.error(`${severity}: ${where === '' ? '' : `${where}: `}${message}. ${help}`)
}

/** `unimorph check`: whether the glossary still fits the codebase, and the design. 1 where it does not. */
export const checkCommand = async (
  folder: string,
  paths: readonly string[],
  options: CheckOptions,
): Promise<number> => {
  const glossary = findGlossary(folder)
  const codebase = await scanFolder(folder, packagesOf(glossary))
  const design = paths.length === 0 ? undefined : readDesign(paths)
  const problems = checkGlossary(glossary, codebase, design)
  const errors = problems.filter(({ severity }) => severity === 'error').length
  if (options.json) console.log(JSON.stringify({ problems }, null, 2))
  else {
    for (const problem of problems) printProblem(problem, glossary)
    if (problems.length === 0)
      console.log(`The glossary fits: ${plural(glossary.components.length, 'entry', 'entries')}.`)
  }
  return errors > 0 ? 1 : 0
}
