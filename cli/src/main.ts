import { FRAMEWORKS, SETTINGS_FILE, TARGET_IDS } from '@unimorph/core'
import { Command, CommanderError } from 'commander'
import type { ConvertOptions } from './convert-command.js'
import { Failure } from './failure.js'
import type { CheckOptions, ScanOptions, SuggestOptions } from './glossary-commands.js'
import type { FindingsOptions } from './findings-command.js'

// Each command loads what it needs when it runs: to read a codebase takes the compiler, which takes a second to load.
const createProgram = (finish: (code: number) => void): Command => {
  const program = new Command('unimorph')
    .description('Turns layered design files into component code.')
    .version('0.1.0')
    .showHelpAfterError('(--help lists the options)')
    .exitOverride()
  program
    .command('convert')
    .description('convert design files (.svg, .json) into one project')
    .argument('<file...>', 'the screens or artboards of one project, in order')
    .option('--out <dir>', 'folder to write to')
    .option('--codebase <dir>', 'write into this codebase, with its components by its glossary')
    .option('--config <file>', `settings; else ${SETTINGS_FILE} here; what is said beside it wins`)
    .option('--target <target>', `one of ${TARGET_IDS.join(', ')}; else html`)
    .option(
      '--styling <styling>',
      'tailwind, css, scss, css-modules or css-in-js; tailwind when absent',
    )
    .option('--pictures <form>', 'how React and Vue refer to pictures: import, public')
    .option('--units <units>', 'lengths in px or rem; else steps in rem and others in px')
    .option('--script <script>', 'React with types or without: typescript or javascript')
    .option('--select <layer...>', 'only these layers, by name or key')
    .option('--fonts <dir>', 'folder of fonts to measure with and to deliver')
    .option('--drawn-states', 'only states that are drawn: none are added under the pointer')
    .option('--library <how>', 'a page of all components: page, beside the screens, or only')
    .option('--grain <grain>', 'how finely long pages are cut: page, sections or fine')
    .option('--language <tag>', 'of the texts, as in de or pt-BR; else told by their words')
    .option('--edits <file>', 'edits to make first, as a JSON list')
    .option('--check', "compile what was written too, with the target's own compiler")
    .option('--force', 'overwrite files that were changed')
    .option('--json', 'print what was written and all notes as JSON')
    .action(async (files: string[], options: ConvertOptions) => {
      const { convertCommand } = await import('./convert-command.js')
      finish(await convertCommand(files, options))
    })
  program
    .command('findings')
    .description('list what in a design makes worse code, and write the edits that mend it')
    .argument('<file...>', 'the screens or artboards of one project, in order')
    .option('--edits <file>', 'edits to make first, as a JSON list')
    .option('--fonts <dir>', 'folder of fonts to measure with')
    .option('--mend <which>', 'safe, all, or a kind of finding')
    .option('--out <file>', 'where to write the edits of --mend, for convert --edits')
    .option('--json', 'print everything as JSON')
    .action(async (files: string[], options: FindingsOptions) => {
      const { findingsCommand } = await import('./findings-command.js')
      finish(findingsCommand(files, options))
    })
  program
    .command('scan')
    .description('list the components and tokens of a codebase')
    .argument('<dir>', 'folder of the codebase')
    .option('--package <name...>', 'installed component libraries to scan too')
    .option('--json', 'print everything as JSON')
    .option('--watch', 'go on, and print what changes')
    .action(async (dir: string, options: ScanOptions) => {
      const { scanCommand } = await import('./glossary-commands.js')
      finish(await scanCommand(dir, options))
    })
  program
    .command('suggest')
    .description('propose components of a codebase for what a design shows')
    .argument('<file...>', 'the screens or artboards of one project, in order')
    .requiredOption('--codebase <dir>', 'folder of the codebase')
    .option('--target <target>', `one of ${FRAMEWORKS.join(', ')}, where it has several`)
    .option('--package <name...>', 'installed component libraries to look in too')
    .option('--write', 'add what is proposed to the glossary of the codebase')
    .option('--accept <percent>', 'with --write: confirm what is at least so sure')
    .option('--json', 'print everything as JSON')
    .action(async (files: string[], options: SuggestOptions) => {
      const { suggestCommand } = await import('./glossary-commands.js')
      finish(await suggestCommand(files, options))
    })
  program
    .command('check')
    .description('tell whether the glossary of a codebase still fits its code, and a design')
    .argument('<dir>', 'folder of the codebase')
    .argument('[file...]', 'design files to check against too')
    .option('--json', 'print everything as JSON')
    .action(async (dir: string, files: string[], options: CheckOptions) => {
      const { checkCommand } = await import('./glossary-commands.js')
      finish(await checkCommand(dir, files, options))
    })
  program
    .command('build')
    .description('build a delivered project into a static site')
    .argument('<dir>', 'folder of the delivered project')
    .requiredOption('--site <dir>', 'folder to write the site to')
    .action(async (dir: string, options: { site: string }) => {
      const { buildCommand } = await import('./build-command.js')
      finish(await buildCommand(dir, options))
    })
  for (const command of program.commands) command.exitOverride()
  return program
}

/** Runs the command line. Returns the exit code: 0 done, 1 bad input, 2 wrong usage, 4 delivered code that does not build. */
export const run = async (args: readonly string[]): Promise<number> => {
  let exitCode = 0
  const program = createProgram((code) => {
    exitCode = code
  })
  try {
    await program.parseAsync(args, { from: 'user' })
    return exitCode
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : 2
    if (error instanceof Failure) {
      console.error(`error: ${error.message}`)
      return error.exitCode
    }
    const id = error instanceof Error ? error.message : String(error)
    console.error(
      `error: this should not have happened (${id}). Please report it with the input file.`,
    )
    if (process.env['UNIMORPH_DEBUG']) console.error(error)
    return 1
  }
}
