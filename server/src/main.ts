import { accessSync, constants, cpSync, existsSync, mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { ConsoleLogger, Logger } from '@nestjs/common'
import { createApp } from './create-app'
import { checkDatabase, claimFolder, DATABASE_FILE } from './database/claim-folder'
import { loadDemo } from './demo/load-demo'
import { JobsService } from './jobs/jobs.service'
import { OptionsError, readOptions, type Options } from './options/options'
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
  const projects = app.get(ProjectsService)
  await projects.purge()
  if (options.demo) await loadDemo(projects, join(ROOT, 'demo/designs'))
  // Why listening fails is said below in words of our own.
  Logger.overrideLogger(false)
  await app.listen(options.port, options.host)
  Logger.overrideLogger(new ConsoleLogger({ logLevels: ['error', 'warn'] }))
  return (await app.getUrl()).replace('[::1]', 'localhost')
}

const describe = (error: unknown, { port, data }: Options): string => {
  const { code, message } = error as NodeJS.ErrnoException
  if (error instanceof OptionsError) return error.message
  if (code === 'EADDRINUSE')
    return `Port ${port} is in use. Stop what runs there, or choose another with --port.`
  if (code === 'EACCES')
    return `Port ${port} may not be used by this account. Choose one above 1023 with --port.`
  const storage = storageProblem(error)
  if (storage) return `Unimorph could not start on ${data}: ${storage.reason}`
  if (code?.startsWith('SQLITE_')) return `The database in ${data} cannot be opened: ${message}.`
  return `Unimorph could not start: ${message}`
}

const main = async (): Promise<void> => {
  let options: Options | undefined
  try {
    options = readOptions(process.argv.slice(2), join(ROOT, 'data'))
    console.log(`Unimorph is ready: ${await start(options)}`)
  } catch (error) {
    console.error(options ? describe(error, options) : (error as Error).message)
    process.exit(1)
  }
}

void main()
