import { accessSync, constants, cpSync, existsSync, mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { ConsoleLogger, Logger } from '@nestjs/common'
import type { NestExpressApplication } from '@nestjs/platform-express'
import { backUp } from './backups/back-up'
import { BACKUPS, keepDaily } from './backups/daily'
import { restore } from './backups/restore'
import { createApp } from './create-app'
import { checkDatabase, claimFolder, DATABASE_FILE } from './database/claim-folder'
import { loadDemo } from './demo/load-demo'
import { JobsService } from './jobs/jobs.service'
import { OptionsError, readCommand, type Command, type Options } from './options/options'
import { storageProblem } from './database/storage-error'
import { ProjectsService } from './projects/projects.service'

const ROOT = resolve(__dirname, '../..')

const prepareFolder = (folder: string): void => {
  try {
    mkdirSync(folder, { recursive: true })
    accessSync(folder, constants.W_OK)
  } catch {
    throw new OptionsError(`--data ${folder}: the folder cannot be written. Choose another one.`)
  }
}

/** The demo's codebases, as copies that may be written to. */
const copyCodebases = (data: string): string => {
  const folder = join(data, 'demo-codebases')
  if (!existsSync(folder)) cpSync(join(ROOT, 'demo/codebases'), folder, { recursive: true })
  return folder
}

/** How often it is looked whether a copy of the day is there, and what may go from the bin. */
const HOUR_MS = 60 * 60 * 1000

/** Empties the bin and makes the daily backup while the server runs. A failure is logged; the server goes on. */
const keepHouse = (app: NestExpressApplication, { data }: Options): void => {
  const log = new Logger('Housekeeping')
  const jobs = app.get(JobsService)
  const tell = (what: string) => (error: Error) => log.warn(`${what} failed: ${error.message}`)
  const work = async (): Promise<void> => {
    await app.get(ProjectsService).purge().catch(tell('Emptying the bin'))
    await keepDaily(data, new Date(), (file) => jobs.run('backUp', data, file)).catch(
      tell(`Today's backup in ${join(data, BACKUPS)}`),
    )
  }
  setInterval(() => void work(), HOUR_MS).unref()
  void work()
}

const start = async (options: Options): Promise<string> => {
  prepareFolder(options.data)
  await claimFolder(options.data)
  await checkDatabase(options.data)
  const app = await createApp(join(options.data, DATABASE_FILE), options.host, {
    allowed: options.codebases,
    ...(options.demo ? { demo: copyCodebases(options.data) } : {}),
    uploads: join(options.data, 'codebases'),
  })
  void app.get(JobsService).warm()
  if (options.demo) await loadDemo(app.get(ProjectsService), join(ROOT, 'demo/designs'))
  // Why listening fails is said below in words of our own.
  Logger.overrideLogger(false)
  await app.listen(options.port, options.host)
  Logger.overrideLogger(new ConsoleLogger({ logLevels: ['error', 'warn'] }))
  keepHouse(app, options)
  return (await app.getUrl()).replace('[::1]', 'localhost')
}

const takeBack = async (file: string, data: string): Promise<string> => {
  prepareFolder(data)
  await claimFolder(data)
  const kept = await restore(file, data)
  const before = kept === undefined ? '' : ` What was there before is kept in ${kept}.`
  return `${data} is as it was when ${file} was written.${before}`
}

const describe = (error: unknown, data: string, port: number | undefined): string => {
  const { code, message } = error as NodeJS.ErrnoException
  if (error instanceof OptionsError) return error.message
  if (code === 'EADDRINUSE')
    return `Port ${String(port)} is in use. Stop what runs there, or choose another with --port.`
  if (code === 'EACCES' && port !== undefined)
    return `Port ${String(port)} may not be used by this account. Choose one above 1023 with --port.`
  const storage = storageProblem(error)
  if (storage) return `Unimorph could not work on ${data}: ${storage.reason}`
  if (code?.startsWith('SQLITE_')) return `The database in ${data} cannot be opened: ${message}.`
  return `Unimorph could not go on: ${message}`
}

const run = (command: Command): Promise<string> => {
  switch (command.kind) {
    case 'serve':
      return start(command.options).then((address) => `Unimorph is ready: ${address}`)
    case 'backup':
      return backUp(command.data, command.file).then(() => `${command.file} is written.`)
    case 'restore':
      return takeBack(command.file, command.data)
  }
}

const main = async (): Promise<void> => {
  let command: Command | undefined
  try {
    command = readCommand(process.argv.slice(2), join(ROOT, 'data'))
    console.log(await run(command))
  } catch (error) {
    const { data, port } =
      command?.kind === 'serve' ? command.options : { ...command, port: undefined }
    console.error(data === undefined ? (error as Error).message : describe(error, data, port))
    process.exit(1)
  }
  // A lock would keep the program from ending.
  if (command.kind !== 'serve') process.exit()
}

void main()
